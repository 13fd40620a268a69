import { t } from '../text'
import type { PatternKind } from '../api/client'
import type { Word } from '../desk/types'

const common: Record<string, Word> = {
  pieces: { title: t('words-how-many'), hint: t('words-count') },
  kind: { title: t('words-which-finding') },
  temper: { title: t('words-temper-wire') },
  metal: { title: t('words-metal') },
  section: { title: t('words-section-wire') },
  size: { title: t('words-size-wire'), hint: t('words-1-mm-18-awg-18'), length: 'of-wire' },
  lot: { title: t('words-spool-wire-comes-from'), hint: t('words-lot-5-or-any') },
  plier: { title: t('words-pliers-rolled-on') },
  hand: { title: t('words-which-way-round') },
}

const hints = { mm: t('words-mm'), deg: t('words-degrees'), turns: t('words-turns') } as const

/** What a word of a pattern's sentence is called and how it is typed. */
export function wordOf(slot: string, kind: PatternKind | undefined): Word {
  const parameter = kind?.parameters.find((one) => one.name === slot)
  if (!parameter) return common[slot] ?? { title: slot }
  const title = parameter.label.charAt(0).toUpperCase() + parameter.label.slice(1)
  if (parameter.unit === 'choice') return { title, says: parameter.description }
  const none = parameter.none ? t('words-or', { none: parameter.none }) : ''
  return {
    title,
    says: parameter.description,
    hint: `${hints[parameter.unit]}${none}`,
    length: parameter.unit === 'mm' || undefined,
  }
}
