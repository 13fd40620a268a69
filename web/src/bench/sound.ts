import { useLocalStorage } from '@vueuse/core'

/** Sounds, made here: a short tick for each piece, two tones when something is ready. Off until they are wanted. */
const on = useLocalStorage('lorimant.sound', false)
let context: AudioContext | undefined

function tone(hertz: number, after: number, lasts: number) {
  context ??= new AudioContext()
  const begins = context.currentTime + after
  const [oscillator, gain] = [context.createOscillator(), context.createGain()]
  oscillator.frequency.value = hertz
  gain.gain.setValueAtTime(0.15, begins)
  gain.gain.exponentialRampToValueAtTime(0.001, begins + lasts)
  oscillator.connect(gain).connect(context.destination)
  oscillator.start(begins)
  oscillator.stop(begins + lasts)
}

export const useSound = () => ({
  on,
  tick: () => on.value && tone(880, 0, 0.08),
  ready: () => {
    if (!on.value) return
    tone(660, 0, 0.25)
    tone(990, 0.3, 0.4)
  },
})
