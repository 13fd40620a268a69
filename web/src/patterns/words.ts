import type { PatternKind } from '../api/client'
import type { Word } from '../desk/desk'

const common: Record<string, Word> = {
  pieces: { title: 'How many', hint: 'a count' },
  kind: { title: 'Which finding' },
  temper: { title: 'Temper of the wire' },
  metal: { title: 'Metal' },
  section: { title: 'Section of the wire' },
  size: { title: 'Size of the wire', hint: '1 mm, 18 awg, 18 swg, .040"', length: 'of-wire' },
  lot: { title: 'Spool the wire comes from', hint: 'lot 5, or any' },
  plier: { title: 'Pliers it is rolled on' },
  hand: { title: 'Which way round' },
}

const hints = { mm: '2.5, 3/32 in', deg: 'degrees, 18', turns: '2.5, 2 1/2' } as const

/** What a word of a pattern's sentence is called and how it is typed. */
export function wordOf(slot: string, kind: PatternKind | undefined): Word {
  const parameter = kind?.parameters.find((one) => one.name === slot)
  if (!parameter) return common[slot] ?? { title: slot }
  const title = parameter.label.charAt(0).toUpperCase() + parameter.label.slice(1)
  if (parameter.unit === 'choice') return { title, says: parameter.sentence }
  const none = parameter.none ? `, or “${parameter.none}”` : ''
  return {
    title,
    says: parameter.sentence,
    hint: `${hints[parameter.unit]}${none}`,
    length: parameter.unit === 'mm' || undefined,
  }
}
