import { defineNuxtPlugin } from '#imports'
import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'
import { themes } from '~/theme'

export default defineNuxtPlugin((nuxt) => {
  const vuetify = createVuetify({
    icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
    // The page lets no style in that it has not made itself.
    theme: { defaultTheme: 'paper', themes, ...nonce() },
    defaults: {
      global: { rounded: 0, elevation: 0, ripple: false },
      VBtn: { variant: 'outlined', height: 48, class: 'text-none' },
      VTextField: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto', color: 'primary' },
      VTextarea: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto', color: 'primary' },
      VSelect: {
        variant: 'outlined',
        density: 'comfortable',
        hideDetails: 'auto',
        color: 'primary',
        menuProps: { contentClass: 'field-menu' },
      },
      VCard: { variant: 'outlined' },
      VTabs: { height: 48, color: 'primary', showArrows: false },
      VBtnToggle: { variant: 'text', divided: false },
      VExpansionPanels: { variant: 'accordion', static: true },
      VCheckbox: { hideDetails: true, color: 'primary' },
      VSnackbar: { color: 'primary', location: 'bottom', minWidth: 320 },
    },
  })
  nuxt.vueApp.use(vuetify)
})

/** What the server gave this page to know its own parts by. */
function nonce(): { cspNonce?: string } {
  const known = document.querySelector<HTMLScriptElement>('script[nonce]')?.nonce
  return known ? { cspNonce: known } : {}
}
