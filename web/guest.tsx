import '@fontsource/source-sans-3/400.css';
import '@fontsource/source-sans-3/600.css';
import '@fontsource/source-sans-3/700.css';
import '@fontsource-variable/bricolage-grotesque';
import './app/mantine.css';
import './app/palette.css';
import './app/styles.css';
import { MantineProvider } from '@mantine/core';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { colours, schemeManager, theme } from './app/theme.ts';
import { HelperPage } from './guest/HelperPage.tsx';
import { TrustPage } from './guest/TrustPage.tsx';
import { startOneTap } from './ui/oneTap.ts';

/** What a device sees before it trusts the household, and what a helper sees of one evening: no queue, nothing kept, one question each. */
const token = /^\/h\/([\w-]{20,100})$/.exec(location.pathname)?.[1];

startOneTap();
const root = document.getElementById('root');
if (root)
  createRoot(root).render(
    <StrictMode>
      <MantineProvider
        theme={theme}
        cssVariablesResolver={colours}
        colorSchemeManager={schemeManager}
        defaultColorScheme="auto"
        deduplicateCssVariables={false}
      >
        {token === undefined ? <TrustPage /> : <HelperPage token={token} />}
      </MantineProvider>
    </StrictMode>,
  );
