import { MantineProvider } from '@mantine/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import type { Me, Person } from '@bay/contract/crew';
import { keys } from './api/index.ts';

/** Shows a part as it stands in the application, with somebody at the device; for component tests. */
export function showAs(person: Partial<Person> | null, what: React.ReactNode) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } });
  client.setQueryData<Me>(keys.me, {
    needsSetup: false,
    shop: { id: 's', name: 'Shop', bays: ['1'], currency: 'EUR' },
    person: person && {
      id: '00000000-0000-4000-8000-000000000001',
      name: 'Osk Tiller',
      initials: 'OT',
      role: 'technician',
      hasPin: true,
      signsIn: false,
      ...person,
    },
    token: 't',
    now: '2026-11-26T10:00:00.000Z',
  });
  return {
    client,
    ...render(
      <MantineProvider env="test">
        <QueryClientProvider client={client}>
          <MemoryRouter>{what}</MemoryRouter>
        </QueryClientProvider>
      </MantineProvider>,
    ),
  };
}
