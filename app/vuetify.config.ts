import { defineVuetifyConfiguration } from 'vuetify-nuxt-module/custom-configuration'

const paper = {
  background: '#f4efe4',
  surface: '#fbf8f1',
  primary: '#2b5d8a',
  secondary: '#6b6357',
  error: '#a3271b',
  warning: '#8a5a00',
  success: '#3f6b35',
  'on-background': '#26221c',
  'on-surface': '#26221c',
}
const dim = {
  background: '#1d1b18',
  surface: '#262320',
  primary: '#8fbbe0',
  secondary: '#b3a996',
  error: '#f0907f',
  warning: '#e2b45c',
  success: '#9cc78e',
  'on-background': '#ece5d8',
  'on-surface': '#ece5d8',
}

export default defineVuetifyConfiguration({
  icons: { defaultSet: 'mdi-svg' },
  theme: {
    defaultTheme: 'paper',
    themes: { paper: { dark: false, colors: paper }, dim: { dark: true, colors: dim } },
  },
  defaults: {
    VBtn: { variant: 'text', class: 'text-none' },
    VTextField: { variant: 'outlined', density: 'compact', hideDetails: 'auto' },
    VSelect: { variant: 'outlined', density: 'compact', hideDetails: 'auto' },
    VTextarea: { variant: 'outlined', density: 'compact', hideDetails: 'auto' },
  },
})
