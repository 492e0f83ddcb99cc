import '@fontsource-variable/ibm-plex-sans/index.css';
import '@fontsource/barlow-semi-condensed/latin-500.css';
import '@fontsource/barlow-semi-condensed/latin-600.css';
import '@fontsource/barlow-semi-condensed/latin-700.css';
import '@fontsource/ibm-plex-mono/latin-400.css';
import '@fontsource/ibm-plex-mono/latin-600.css';
import './app/styles.css';
import { MantineProvider } from '@mantine/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router/dom';
import { router } from './app/router.tsx';
import { theme } from './app/theme.ts';
import { Refused } from './api/index.ts';

const client = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 20_000,
      // A refusal stays a refusal; only a lost connection is worth another try.
      retry: (count, error) => (error instanceof Refused && error.problem.status !== 0 ? false : count < 2),
    },
  },
});

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <MantineProvider theme={theme} defaultColorScheme="auto">
      <QueryClientProvider client={client}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </MantineProvider>
  </StrictMode>,
);
