import './noEval';
import '@fontsource/barlow/latin-400.css';
import '@fontsource/barlow/latin-500.css';
import '@fontsource/barlow-condensed/latin-500.css';
import '@fontsource/barlow-condensed/latin-600.css';
import '@fontsource/ibm-plex-mono/latin-500.css';
import '@fontsource/ibm-plex-mono/latin-600.css';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { router } from './router';
import { vuetify } from './theme';

const app = createApp(App).use(createPinia());
// One breath before each of the two long parts: a press that was made meanwhile is answered first.
setTimeout(() => {
  app.use(vuetify).use(router);
  setTimeout(() => app.mount('#app'));
});
