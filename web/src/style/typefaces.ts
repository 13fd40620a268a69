/** The typefaces of the first look. */
const faces = [
  '400 1em Alegreya',
  '700 1em Alegreya',
  '400 1em "Alegreya Sans"',
  '500 1em "Alegreya Sans"',
  '700 1em "Alegreya Sans"',
]

/** Longest that is waited for them, ms. */
const PATIENCE = 1500

/** Settles once the typefaces are there: what is drawn before moves when they come, under a finger that was about to press. */
export const typefaces = Promise.race([
  Promise.all(faces.map((face) => document.fonts.load(face))),
  new Promise((done) => setTimeout(done, PATIENCE)),
])
