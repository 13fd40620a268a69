import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'
import { en } from 'vuetify/locale'
import 'vuetify/styles'
import { t } from './text'

/** Quiet ground, ink, one accent, one colour each for watch and stop. */
const light = {
  dark: false,
  colors: {
    background: '#EFECE4',
    surface: '#F7F5EF',
    primary: '#1E6B63',
    error: '#9E3527',
    warning: '#875208',
    'on-background': '#22262B',
    'on-surface': '#22262B',
    'on-primary': '#F7F5EF',
    quiet: '#565C63',
    hairline: '#CBC5B8',
    'block-warm': '#7D4E2B',
    'block-cool': '#4B545C',
    'on-block': '#FFFFFF',
    wash: '#D5E4DE',
  },
}

const dark = {
  dark: true,
  colors: {
    background: '#1A1D20',
    surface: '#23272B',
    primary: '#74C7BB',
    error: '#F29384',
    warning: '#E3AE57',
    'on-background': '#ECE8DF',
    'on-surface': '#ECE8DF',
    'on-primary': '#10211F',
    quiet: '#A9AFB4',
    hairline: '#454C52',
    'block-warm': '#7D4E2B',
    'block-cool': '#4B545C',
    'on-block': '#FFFFFF',
    wash: '#24403C',
  },
}

export default createVuetify({
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  // What Vuetify says of its own to screen readers is in our catalogue as well.
  locale: { messages: { en: { ...en, input: { ...en.input, clear: t('theme-clear') } } } },
  theme: {
    defaultTheme: 'light',
    cspNonce: document.querySelector<HTMLMetaElement>('meta[name=csp-nonce]')?.content,
    themes: { light, dark },
  },
  defaults: {
    global: { ripple: false },
    VBtn: { variant: 'text', color: undefined, rounded: 'sm' },
    VTextField: { variant: 'underlined', density: 'comfortable', hideDetails: 'auto', color: 'primary' },
    VTextarea: { variant: 'underlined', density: 'comfortable', hideDetails: 'auto', color: 'primary' },
    VCheckboxBtn: { density: 'compact', color: 'primary' },
    VRadioGroup: { density: 'compact', hideDetails: true, color: 'primary' },
    VTable: { density: 'compact' },
    // All of a list at once: what is long is filtered, not turned over.
    VDataTable: { density: 'compact', hideDefaultFooter: true, itemsPerPage: -1, hideNoData: true },
    VSelect: { variant: 'underlined', density: 'comfortable', hideDetails: 'auto', color: 'primary' },
    VCard: { flat: true, rounded: 'sm' },
  },
})
