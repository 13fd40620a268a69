import { computed } from 'vue'
import { useTheme } from 'vuetify'

/** The look all plots have in common, in the theme's colours. */
export function usePlotLook() {
  const theme = useTheme()
  return computed(() => {
    const colours = theme.current.value.colors
    const text = { fontFamily: 'Alegreya Sans', fontSize: 14, color: colours.quiet }
    return {
      colours,
      text,
      axis: {
        type: 'value',
        axisLabel: text,
        nameTextStyle: { ...text, color: colours['on-background'] },
        splitLine: { lineStyle: { color: colours.hairline, opacity: 0.5 } },
        axisLine: { lineStyle: { color: colours.hairline } },
        nameLocation: 'middle',
      },
      tooltip: {
        trigger: 'item',
        renderMode: 'richText',
        backgroundColor: colours.surface,
        borderColor: colours.hairline,
        textStyle: { ...text, color: colours['on-background'] },
      },
    }
  })
}
