import { styleNonce } from './ui/style-nonce.ts';
import { keys, recall, Refused } from './api/index.ts';
import '@fontsource-variable/ibm-plex-sans/index.css';
import '@fontsource/barlow-semi-condensed/latin-500.css';
import '@fontsource/barlow-semi-condensed/latin-600.css';
import '@fontsource/barlow-semi-condensed/latin-700.css';
import '@fontsource/ibm-plex-mono/latin-400.css';
import '@fontsource/ibm-plex-mono/latin-600.css';
import './app/styles.css';
import { MantineProvider } from '@mantine/core';
import { QueryClient } from '@tanstack/react-query';
import { PersistQueryClientProvider } from '@tanstack/react-query-persist-client';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router/dom';
import { keepDays, persister, worthKeeping } from './app/keep.ts';
import { router } from './app/router.tsx';
import { theme } from './app/theme.ts';

const client = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 20_000,
      gcTime: keepDays * 86_400_000,
      // A device that says it is offline may still reach the shop's server, and the other way round.
      networkMode: 'always',
      // A refusal stays a refusal; only a lost connection is worth another try.
      retry: (count, error) => (error instanceof Refused && error.problem.status !== 0 ? false : count < 2),
    },
    mutations: { networkMode: 'always' },
  },
});

if ('serviceWorker' in navigator && import.meta.env.PROD)
  void navigator.serviceWorker.register('/sw.js').catch(() => undefined);

// The page may write styles under the number that the server gave it. The part that holds the page still under a sheet looks for it there.
const nonce = styleNonce();
Object.assign(globalThis, { __webpack_nonce__: nonce });

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <MantineProvider theme={theme} defaultColorScheme="auto" getStyleNonce={() => nonce}>
      <PersistQueryClientProvider
        client={client}
        persistOptions={{
          persister,
          maxAge: keepDays * 86_400_000,
          buster: '4',
          dehydrateOptions: { shouldDehydrateQuery: worthKeeping },
        }}
        onSuccess={() => {
          recall(client.getQueryData(keys.me));
          // What was kept is shown at once and read again at once: it is only what stood here last time.
          void client.invalidateQueries();
        }}
      >
        <RouterProvider router={router} />
      </PersistQueryClientProvider>
    </MantineProvider>
  </StrictMode>,
);
