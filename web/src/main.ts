import '@fontsource/ibm-plex-sans/latin-400.css';
import '@fontsource/ibm-plex-sans/latin-500.css';
import '@fontsource/ibm-plex-sans/latin-600.css';
import '@fontsource/ibm-plex-sans/latin-ext-400.css';
import '@fontsource/ibm-plex-sans/latin-ext-600.css';
import '@fontsource/ibm-plex-sans-condensed/latin-400.css';
import '@fontsource/ibm-plex-sans-condensed/latin-500.css';
import './app/styles.css';
import './app/tables.css';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import { START_LOCATION } from 'vue-router';
import App from './app/App.vue';
import { keepDoubleClicksTogether } from './app/double-click';
import { keepPressesThatMove } from './app/moved-press';
import { watchParts } from './offline/missing-part';
import { rangeWorker } from './range/range-link';
import { readRangeAhead } from './range/range-questions';
import { router } from './router';
import { asOfIn, useSheet } from './sheet/sheet-store';

const app = createApp(App).use(createPinia());
// The page's data is requested while its code is fetched.
router.beforeEach(({ name, params: { playerId, sessionId }, query }, from) => {
  if (typeof playerId !== 'string') return;
  if (from === START_LOCATION) useSheet().readAhead(playerId, asOfIn(query));
  if (name === 'range' && from.name !== 'range') {
    readRangeAhead(playerId, typeof sessionId === 'string' && sessionId !== '' ? sessionId : 'newest');
    rangeWorker();
  }
});
watchParts(router);
keepDoubleClicksTogether(document);
keepPressesThatMove(window);
app.use(router).mount('#app');
