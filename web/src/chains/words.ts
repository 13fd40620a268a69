import type { ChainSlot } from '../api/client'
import type { Word } from '../desk/types'
import { t } from '../text'

/** What a chain can be printed or exported as. */
export const files = [
  {
    file: 'plan.pdf',
    says: t('chain-view-plan-weaving-steps-pdf'),
    hint: t('chain-view-a4-six-rows-drawn-at'),
  },
  { file: 'drawing.svg', says: t('chain-view-drawing-svg'), hint: t('chain-view-six-rows-from-three-sides') },
  { file: 'chain.stl', says: t('chain-view-solid-rings-stl'), hint: t('chain-view-its-first-24-rows-at') },
  { file: 'rings.csv', says: t('chain-view-rings-make-csv'), hint: t('chain-view-one-line-per-part') },
  { file: 'placings.csv', says: t('chain-view-weaving-steps-csv'), hint: t('chain-view-one-line-per-ring') },
  { file: 'chain.json', says: t('chain-view-chain-json'), hint: t('chain-view-can-be-imported-again') },
  {
    file: 'weave.json',
    says: t('chain-view-weave-json'),
    hint: t('chain-view-rings-links-for-another-workshop'),
  },
]

/** The words of its sentence, each with what can be typed. */
export const words: Record<ChainSlot, Word> = {
  chains: { title: t('chain-view-how-many-chains'), hint: t('chain-view-count') },
  length: {
    title: t('chain-view-length-when-worn-with-clasp'),
    hint: t('chain-view-42-cm-16-1-2'),
    length: true,
  },
  weave: { title: t('chain-view-weave'), hint: t('chain-view-byzantine-4-in-1-sheet') },
  across: { title: t('chain-view-width-in-repeats'), hint: t('chain-view-count') },
  temper: { title: t('chain-view-temper-wire') },
  metal: { title: t('chain-view-metal') },
  size: { title: t('chain-view-size-wire'), hint: t('chain-view-1-2-mm-16-awg'), length: 'of-wire' },
  lot: { title: t('chain-view-spool-wire-comes-from'), hint: t('chain-view-lot-5-or-any') },
  winding: { title: t('chain-view-how-rings-wound') },
  mandrel: { title: t('chain-view-rod-they-wound-on'), hint: t('chain-view-5-mm-3-16-in') },
  cutting: { title: t('chain-view-how-coil-cut') },
  blade: { title: t('chain-view-saw-blade') },
  second: { title: t('chain-view-rings-second-part'), says: t('chain-view-same-as-others-or-another') },
  'second-metal': { title: t('chain-view-metal-second-part') },
  'second-size': {
    title: t('chain-view-wire-second-part'),
    hint: t('chain-view-1-mm-18-awg'),
    length: 'of-wire',
  },
  'second-mandrel': { title: t('chain-view-rod-second-part'), hint: t('chain-view-4-mm-5-32-in') },
  clasp: { title: t('chain-view-clasp'), hint: t('chain-view-s-clasp-or-no-clasp') },
  ease: {
    title: t('chain-view-ease'),
    hint: t('chain-view-5-mm-or-5-mm'),
    length: true,
    says: t('chain-view-chain-stretches-with-wear-so'),
  },
  spares: { title: t('chain-view-spare-rings'), hint: t('chain-view-count') },
  scrap: { title: t('chain-view-expected-scrap'), hint: '3 %' },
}
