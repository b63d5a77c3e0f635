import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'
import { nonce } from './nonce'


/** Oat paper by day, a dim kitchen by night; the same words in both. */
export const vuetify = createVuetify({
    icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
    theme: {
        cspNonce: nonce,
        defaultTheme: localStorage.getItem('mildbowl.theme') ?? (matchMedia('(prefers-color-scheme: dark)').matches ? 'night' : 'day'),
        themes: {
            day: {
                dark: false,
                colors: { background: '#efe6d6', surface: '#fdf9f0', primary: '#1f5157', secondary: '#8a4f1d', error: '#8f1d3f', warning: '#8a4f1d', info: '#2c4f7c', success: '#1f5157', 'on-background': '#2a241c', 'on-surface': '#2a241c' },
            },
            night: {
                dark: true,
                colors: { background: '#191613', surface: '#25201b', primary: '#8fc9c6', secondary: '#e0ab72', error: '#ff9db3', warning: '#e8b67e', info: '#a9c6ee', success: '#8fc9c6', 'on-background': '#efe5d4', 'on-surface': '#efe5d4', 'on-primary': '#10302f' },
            },
        },
    },
    defaults: {
        VBtn: { variant: 'text', rounded: 'lg', height: 44 },
        VTextField: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto' },
        VSelect: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto' },
        VAutocomplete: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto' },
    },
})
