import { createVuetify } from 'vuetify';
import 'vuetify/styles/layers';
import 'vuetify/styles/core';

/** The two themes; their colours follow tokens.css, which everything drawn here by hand uses. */
export const vuetify = createVuetify({
  theme: {
    defaultTheme: 'paper',
    themes: {
      paper: {
        dark: false,
        colors: {
          background: '#f4f1ea',
          surface: '#fbfaf6',
          primary: '#42715e',
          error: '#b84d12',
          warning: '#b84d12',
        },
      },
      dim: {
        dark: true,
        colors: {
          background: '#211f1c',
          surface: '#292623',
          primary: '#86b8a3',
          error: '#e58a55',
          warning: '#e58a55',
        },
      },
    },
  },
  defaults: {
    global: { ripple: false },
    VTextField: { variant: 'underlined', density: 'compact', hideDetails: 'auto', color: 'primary' },
    VTextarea: { variant: 'underlined', density: 'compact', hideDetails: 'auto', color: 'primary' },
    VSelect: { variant: 'underlined', density: 'compact', hideDetails: 'auto', color: 'primary' },
    VAutocomplete: { variant: 'underlined', density: 'compact', hideDetails: 'auto', color: 'primary' },
    VSwitch: { density: 'compact', hideDetails: 'auto', color: 'primary', inset: true },
  },
});
