/**
 * Gives the focus to an element as soon as it can take it. What opens in a menu or dialog cannot be seen for a moment,
 * on a slow machine for longer, and a browser does not give the focus to what cannot be seen. Tried with each frame,
 * for as long as it is wanted.
 */
export function focusWhenSeen(
  find: () => HTMLElement | null | undefined,
  wanted: () => boolean,
  then?: (focused: HTMLElement) => void,
) {
  const attempt = () => {
    if (!wanted()) return
    const element = find()
    element?.focus()
    if (element && document.activeElement === element) then?.(element)
    else requestAnimationFrame(attempt)
  }
  attempt()
}
