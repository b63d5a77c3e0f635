import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'
import { nonce } from './nonce'

/** Which light was chosen on this device; the system's own where none was. */
export const LIGHT = 'mildbowl.theme'

function lightChosen(): string | null {
    try {
        return localStorage.getItem(LIGHT)
    } catch {
        return null
    }
}

/** A field is a strip of paper with its name on it, always in sight. */
const field = { variant: 'filled', density: 'comfortable', hideDetails: 'auto', active: true, persistentPlaceholder: true } as const

/** Oat paper by day, a dim kitchen by night; the same words in both. How every part of the library looks stands here and in look/. */
export const vuetify = createVuetify({
    icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
    theme: {
        cspNonce: nonce,
        defaultTheme: lightChosen() ?? (matchMedia('(prefers-color-scheme: dark)').matches ? 'night' : 'day'),
        themes: {
            day: {
                dark: false,
                colors: {
                    background: '#efe6d6',
                    surface: '#fdf9f0',
                    primary: '#1f5157',
                    secondary: '#8a4f1d',
                    error: '#8f1d3f',
                    warning: '#8a4f1d',
                    info: '#2c4f7c',
                    success: '#1f5157',
                    'on-background': '#2a241c',
                    'on-surface': '#2a241c',
                },
            },
            night: {
                dark: true,
                colors: {
                    background: '#191613',
                    surface: '#25201b',
                    primary: '#8fc9c6',
                    secondary: '#e0ab72',
                    error: '#ff9db3',
                    warning: '#e8b67e',
                    info: '#a9c6ee',
                    success: '#8fc9c6',
                    'on-background': '#efe5d4',
                    'on-surface': '#efe5d4',
                    'on-primary': '#10302f',
                },
            },
        },
    },
    defaults: {
        VBtn: { variant: 'text', rounded: 'lg', height: 44, ripple: false },
        VTextField: field,
        VSelect: { ...field, itemTitle: 'name', itemValue: 'id', menuProps: { contentClass: 'slip-menu' } },
        VAutocomplete: { ...field, menuProps: { contentClass: 'slip-menu' } },
        VCombobox: { ...field, menuProps: { contentClass: 'slip-menu' } },
        VTextarea: { ...field, autoGrow: true, rows: 2 },
        VFileInput: field,
        VBtnToggle: { variant: 'outlined', divided: true, rounded: 'lg', color: 'primary' },
        VChip: { rounded: 'lg', size: 'default' },
        VDialog: { scrollable: true },
        VTooltip: { openDelay: 400 },
        VTabs: { color: 'secondary', sliderColor: 'secondary', height: 48 },
        VSlider: { color: 'primary', hideDetails: true, thumbSize: 24 },
        VSnackbar: { color: 'surface', rounded: 'lg' },
        VExpansionPanels: { variant: 'accordion', elevation: 0 },
        VMenu: { contentClass: 'slip-menu' },
    },
})
