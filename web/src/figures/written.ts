import type { Figure } from '../api/client'
import { useSettings } from '../shared/settings'

/** Figures in the unit the workshop reads first. */
export function useWritten() {
  const settings = useSettings()
  /** Value and unit; the other unit stands apart. */
  function written(figure: Figure) {
    const metric = { value: figure.value, unit: figure.unit }
    const inchFirst = settings.settings.unit === 'inch' && figure.inch
    const [first, other] = inchFirst ? [figure.inch!, metric] : [metric, figure.inch]
    return { ...first, other: other && `${other.value} ${other.unit}` }
  }
  /** Some of them by their keys, in that order, as the bench reads them. */
  const atTheBench = (figures: Figure[], keys: readonly string[]) =>
    keys
      .map((key) => figures.find((figure) => figure.key === key))
      .filter((figure) => !!figure)
      .map((figure) => {
        const { value, unit } = written(figure)
        return { label: figure.label, value: `${value} ${unit}`.trim() }
      })
  return { written, atTheBench }
}
