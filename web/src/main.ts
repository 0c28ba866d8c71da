import '@fontsource/barlow/latin-400.css';
import '@fontsource/barlow/latin-500.css';
import '@fontsource/barlow-condensed/latin-500.css';
import '@fontsource/barlow-condensed/latin-600.css';
import '@fontsource/ibm-plex-mono/latin-500.css';
import '@fontsource/ibm-plex-mono/latin-600.css';
import 'vuetify/styles';
import './styles/tokens.css';
import './styles/base.css';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import { createVuetify } from 'vuetify';
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg';
import App from './App.vue';
import { router } from './router';

const colours = (dark: boolean) =>
  dark
    ? { background: '#181A16', surface: '#20231E', primary: '#EEE7D8', error: '#EE8A6E' }
    : { background: '#ECE5D6', surface: '#F7F3EA', primary: '#20231F', error: '#A23720' };

const vuetify = createVuetify({
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  theme: {
    defaultTheme: 'light',
    themes: {
      light: { dark: false, colors: colours(false) },
      dark: { dark: true, colors: colours(true) },
    },
  },
  defaults: {
    global: { ripple: false },
    VDialog: { scrim: '#20231F' },
    VCard: { rounded: 0, elevation: 0, border: true },
  },
});

createApp(App).use(createPinia()).use(router).use(vuetify).mount('#app');
