import '@fontsource/ibm-plex-sans/latin-400.css';
import '@fontsource/ibm-plex-sans/latin-500.css';
import '@fontsource/ibm-plex-sans/latin-600.css';
import '@fontsource/ibm-plex-sans/latin-ext-400.css';
import '@fontsource/ibm-plex-sans/latin-ext-600.css';
import '@fontsource/ibm-plex-sans-condensed/latin-400.css';
import '@fontsource/ibm-plex-sans-condensed/latin-500.css';
import './app/styles.css';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import { START_LOCATION } from 'vue-router';
import App from './app/App.vue';
import { router } from './router';
import { asOfIn, useSheet } from './sheet/sheet-store';

const app = createApp(App).use(createPinia());
// The first page's sheet is on its way while the page itself is fetched.
router.beforeEach(({ params, query }, from) => {
  if (from === START_LOCATION && typeof params.playerId === 'string')
    useSheet().readAhead(params.playerId, asOfIn(query));
});
app.use(router).mount('#app');
