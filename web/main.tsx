import '@fontsource/source-sans-3/400.css';
import '@fontsource/source-sans-3/600.css';
import '@fontsource/source-sans-3/700.css';
import '@fontsource-variable/bricolage-grotesque';
import './app/mantine.css';
import './app/palette.css';
import './app/styles.css';
import './app/print.css';
import { MantineProvider } from '@mantine/core';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { startOneTap } from './ui/oneTap.ts';
import { startDrafts } from './sync/listeners.ts';
import { startOutbox } from './sync/outbox.ts';
import { startServiceWorker } from './sync/serviceWorker.ts';
import { arrive, isArriving } from './sync/carry.ts';
import { AtTheDoor } from './app/AtTheDoor.tsx';
import { store } from './sync/store.ts';
import { colours, schemeManager, theme } from './app/theme.ts';

/** The first page comes first. */
const liveAfterMs = 1000;

function start(root: HTMLElement): void {
  startOneTap();
  startOutbox(store);
  void startDrafts(store);
  // once the first page stands
  setTimeout(() => {
    void import('./sync/live.ts').then(({ startLive }) => startLive(store));
    void import('./sync/heard.ts').then(({ startHeard }) => startHeard(store));
  }, liveAfterMs);
  startServiceWorker();
  createRoot(root).render(
    <StrictMode>
      <Provider store={store}>
        <MantineProvider
          theme={theme}
          cssVariablesResolver={colours}
          colorSchemeManager={schemeManager}
          defaultColorScheme="auto"
          deduplicateCssVariables={false}
        >
          <AtTheDoor />
        </MantineProvider>
      </Provider>
    </StrictMode>,
  );
}

const root = document.getElementById('root');
// a device that comes over from the household's old name unpacks first, then begins as the same device
if (isArriving()) void arrive();
else if (root) start(root);
