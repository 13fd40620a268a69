/** Whether a key press belongs to a field that is being typed into. */
export function isTyping(event: KeyboardEvent): boolean {
  const target = event.target
  if (!(target instanceof HTMLElement)) return false
  return target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName)
}

/** A whole number from 1 on; none where it is something else. */
export const countOf = (text: string) => (/^\d{1,6}$/.test(text.trim()) ? Number(text) : null)
