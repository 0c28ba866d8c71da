import 'vuetify/styles/core';
import './tokens.css';
import './base.css';
import './controls.css';
import { createVuetify } from 'vuetify';
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg';

const colours = (dark: boolean) =>
  dark
    ? { background: '#181A16', surface: '#20231E', primary: '#EEE7D8', error: '#EE8A6E', 'on-error': '#181A16' }
    : { background: '#ECE5D6', surface: '#F7F3EA', primary: '#20231F', error: '#A23720', 'on-error': '#FFFFFF' };

/** How every control looks, said once: variants and densities here, their lines and colours in `controls.css`. No view styles a control. */
export const vuetify = createVuetify({
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  theme: {
    defaultTheme: 'light',
    themes: {
      light: { dark: false, colors: colours(false) },
      dark: { dark: true, colors: colours(true) },
    },
  },
  display: { mobileBreakpoint: 760, thresholds: { xs: 0, sm: 420, md: 760, lg: 1180, xl: 1920, xxl: 2560 } },
  defaults: {
    global: { ripple: false },
    VDialog: { scrim: '#20231F' },
    VCard: { rounded: 0, elevation: 0, border: true },
    // Framed: the act of a form. Tonal: another act. Plain: a word in a line that acts. Text: a row or a picture that can be pressed.
    VBtn: { variant: 'outlined', rounded: 0 },
    VBtnToggle: { variant: 'tonal', mandatory: true },
    VTextField: {
      variant: 'outlined',
      density: 'compact',
      hideDetails: 'auto',
      rounded: 0,
      persistentPlaceholder: true,
    },
    VTextarea: { variant: 'outlined', density: 'compact', hideDetails: 'auto', rounded: 0 },
    VSelect: { variant: 'outlined', density: 'compact', hideDetails: 'auto', rounded: 0 },
    VAutocomplete: { variant: 'outlined', density: 'compact', hideDetails: 'auto', rounded: 0 },
    VCombobox: { variant: 'outlined', density: 'compact', hideDetails: 'auto', rounded: 0 },
    VFileInput: { variant: 'outlined', density: 'compact', hideDetails: 'auto', rounded: 0 },
    VCheckbox: { density: 'compact', hideDetails: 'auto' },
    VRadioGroup: { density: 'compact', hideDetails: 'auto' },
    VSwitch: { density: 'compact', hideDetails: 'auto' },
    VSlider: { hideDetails: true, trackSize: 2, thumbSize: 18, color: 'primary' },
    VTabs: { density: 'comfortable', grow: false, showArrows: false },
    VMenu: { contentClass: 'menu', transition: false },
    VTable: { density: 'compact' },
    VExpansionPanels: { variant: 'accordion', static: true, flat: true, rounded: 0 },
    VChip: { rounded: 0, size: 'small', variant: 'outlined' },
    VSnackbarQueue: { location: 'bottom', timeout: 4000, rounded: 0 },
  },
});
