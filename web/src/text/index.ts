import { FluentBundle, FluentResource } from '@fluent/bundle'

/**
 * The texts of the pages, in catalogues by their rooms: `en/*.ftl`. That each name is in one, with its values, is tested by
 * `crates/text/tests/catalogues.rs`.
 */
const catalogues = import.meta.glob<string>('./en/*.ftl', { query: '?raw', import: 'default', eager: true })

/** Letters that nobody types: what is seen in plain ones is in no catalogue. */
const SMALL = 'ȧƀƈḓḗƒɠħīĵķŀḿƞǿƥɋřşŧŭṽẇẋẏẑ'
const LARGE = 'ȦƁƇḒḖƑƓĦĪĴĶĿḾȠǾƤɊŘŞŦŬṼẆẊẎẐ'
const otherLetters = (text: string) =>
  text
    .replace(/[a-z]/g, (letter) => SMALL.charAt(letter.charCodeAt(0) - 97))
    .replace(/[A-Z]/g, (letter) => LARGE.charAt(letter.charCodeAt(0) - 65))

const pseudo = document.documentElement.lang === 'en-x-pseudo'
const bundle = new FluentBundle('en', {
  useIsolating: false,
  transform: pseudo ? otherLetters : undefined,
})
for (const source of Object.values(catalogues)) bundle.addResource(new FluentResource(source))

/** A value of a text, shown as it is. */
type Value = string | number | null | undefined

/** A text by its name, with its values by theirs; the name where no catalogue has it. */
export function t(name: string, values: Record<string, Value> = {}): string {
  const pattern = bundle.getMessage(name)?.value
  if (!pattern) return name
  const shown = Object.entries(values).map(([key, value]) => [key, value == null ? '' : String(value)])
  return bundle.formatPattern(pattern, Object.fromEntries(shown) as Record<string, string>)
}
