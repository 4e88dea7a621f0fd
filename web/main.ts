// Where the page's first script has not run by itself yet, it runs before anything else is evaluated.
import './ahead';
import '@fontsource-variable/newsreader';
import '@fontsource-variable/newsreader/wght-italic.css';
import '@fontsource-variable/ibm-plex-sans';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import './design/tokens.css';
import './design/base.css';
import './design/parts.css';
import { router } from './router';

createApp(App).use(createPinia()).use(router).mount('#app');
