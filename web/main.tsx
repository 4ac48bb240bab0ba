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
import { RouterProvider } from 'react-router';
import { startOneTap } from './ui/oneTap.ts';
import { startDrafts } from './sync/listeners.ts';
import { startOutbox } from './sync/outbox.ts';
import { startServiceWorker } from './sync/serviceWorker.ts';
import { router } from './app/router.tsx';
import { store } from './sync/store.ts';
import { colours, schemeManager, theme } from './app/theme.ts';

/** The first page comes first. */
const liveAfterMs = 1000;

startOneTap();
startOutbox(store);
void startDrafts(store);
// once the first page stands
setTimeout(() => void import('./sync/live.ts').then(({ startLive }) => startLive(store)), liveAfterMs);
startServiceWorker();

const root = document.getElementById('root');
if (root) {
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
          <RouterProvider router={router} />
        </MantineProvider>
      </Provider>
    </StrictMode>,
  );
}
