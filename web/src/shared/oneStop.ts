import type { Directive } from 'vue'

const STOPS = 'a[href], button:not([disabled]), input:not([disabled]), select:not([disabled])'
/** What takes arrows and letters itself. */
const TYPED = 'input:not([type=checkbox]):not([type=radio]), select, textarea'
/** Letters that follow each other within this time are one word, ms. */
const ONE_WORD = 800

/** What watches the rows of each list come and go. */
const watchers = new WeakMap<HTMLElement, MutationObserver>()

/**
 * A list that is one stop on the way through a view: only the row that was last in hand is on the way. Arrows go to
 * the rows around it, Home and End to the ends, letters to the next row that begins so. The rows are what the selector
 * given finds; by default its lines.
 */
export const vOneStop: Directive<HTMLElement, string | undefined> = {
  mounted(list, { value }) {
    const put = new WeakSet<HTMLElement>()
    let current: HTMLElement | null = null
    let word = ''
    let since = 0

    const rows = () => [...list.querySelectorAll<HTMLElement>(value ?? ':scope > li')]
    /** What can be focused of a row; what was left out of the way on purpose stays so. */
    const stops = (row: HTMLElement) =>
      [...(row.matches(STOPS) ? [row] : row.querySelectorAll<HTMLElement>(STOPS))].filter(
        (one) => one.tabIndex >= 0 || put.has(one),
      )
    const textOf = (row: HTMLElement) =>
      (
        [row.querySelector('h2'), ...stops(row), row].find((one) => one?.textContent?.trim())?.textContent ??
        ''
      )
        .trim()
        .toLowerCase()

    function lay() {
      const all = rows()
      if (!current || !all.includes(current)) {
        const inHand = '[aria-current]:not([aria-current=false]), [aria-pressed=true]'
        current = all.find((row) => row.matches(inHand) || row.querySelector(inHand)) ?? all[0] ?? null
      }
      for (const row of all)
        for (const one of stops(row)) {
          put.add(one)
          one.tabIndex = row === current ? 0 : -1
        }
    }

    function go(row: HTMLElement | undefined, event: KeyboardEvent) {
      if (!row || row === current) return
      const at = current ? stops(current).indexOf(event.target as HTMLElement) : 0
      const there = stops(row)
      const next = there[Math.min(Math.max(at, 0), there.length - 1)]
      if (!next) return
      event.preventDefault()
      next.focus()
    }

    /** The nearest row above or below on the screen; rows side by side are a line. */
    function upright(all: HTMLElement[], down: boolean) {
      const here = current!.getBoundingClientRect()
      const off = (row: HTMLElement) => {
        const { top, left } = row.getBoundingClientRect()
        return { away: down ? top - here.top : here.top - top, aside: Math.abs(left - here.left) }
      }
      return all
        .map((row) => ({ row, ...off(row) }))
        .filter(({ away }) => away > 4)
        .sort((a, b) => a.away - b.away || a.aside - b.aside)[0]?.row
    }

    list.addEventListener('focusin', ({ target }) => {
      const row = rows().find((one) => one.contains(target as Node))
      if (!row || row === current) return
      current = row
      lay()
    })

    list.addEventListener('keydown', (event) => {
      const all = rows()
      const at = all.findIndex((row) => row.contains(event.target as Node))
      if (at < 0 || event.ctrlKey || event.metaKey || event.altKey) return
      if ((event.target as HTMLElement).matches(TYPED)) return
      current = all[at]!
      switch (event.key) {
        case 'ArrowDown':
          return go(upright(all, true) ?? all[at + 1], event)
        case 'ArrowUp':
          return go(upright(all, false) ?? all[at - 1], event)
        case 'ArrowRight':
          return go(all[at + 1], event)
        case 'ArrowLeft':
          return go(all[at - 1], event)
        case 'Home':
          return go(all[0], event)
        case 'End':
          return go(all.at(-1), event)
      }
      if (event.key.length !== 1 || !/[\p{L}\p{N}]/u.test(event.key)) return
      word = event.timeStamp - since < ONE_WORD ? word + event.key.toLowerCase() : event.key.toLowerCase()
      since = event.timeStamp
      // A further letter of a word may stay where it is; the first goes on from there.
      const from = word.length > 1 ? at : at + 1
      go(
        [...all.slice(from), ...all.slice(0, from)].find((row) => textOf(row).startsWith(word)),
        event,
      )
    })

    const watcher = new MutationObserver(lay)
    watcher.observe(list, { childList: true, subtree: true })
    watchers.set(list, watcher)
    lay()
  },
  unmounted(list) {
    watchers.get(list)?.disconnect()
  },
}
