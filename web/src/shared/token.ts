/** A name nobody else has chosen: for a press, or a request. Works without a secure context, as on a workshop's own network. */
export const token = () =>
  [...crypto.getRandomValues(new Uint32Array(3))].map((part) => part.toString(36)).join('-')
