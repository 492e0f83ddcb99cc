import { MantineProvider } from '@mantine/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import type { Me, Person } from '@bay/contract/crew';
import { computePlan, planInputOf } from '@bay/core/plan';
import type { JobSheet } from '@bay/contract/jobs';
import { keys } from './api/index.ts';
import { JobCtx } from './sheet/index.ts';
import type { Conflict } from './sheet/index.ts';

/** Shows a part as it stands in the application, with somebody at the device; for component tests. */
export function showAs(
  person: Partial<Person> | null,
  what: React.ReactNode,
  client = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } }),
) {
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

/** A part inside of the page of a job. */
export function inJob(sheet: JobSheet, what: React.ReactNode, conflict: (clash: Conflict) => void = () => undefined) {
  const plan = computePlan(planInputOf({ jobId: sheet.job.id, ...sheet }));
  return <JobCtx value={{ sheet, plan, mayWrite: true, isManager: false, conflict }}>{what}</JobCtx>;
}

/** Answers what is sent, in turn, and keeps what was asked. */
export function answering(...answers: (() => Response)[]) {
  const asked: { method: string; url: string; body: Record<string, unknown> }[] = [];
  const fetched = (url: string, init: { method?: string; body?: string } = {}): Promise<Response> => {
    asked.push({
      method: init.method ?? 'GET',
      url,
      body: init.body === undefined ? {} : (JSON.parse(init.body) as Record<string, unknown>),
    });
    const answer = answers.length > 1 ? answers.shift()! : answers[0]!;
    try {
      return Promise.resolve(answer());
    } catch (error) {
      return Promise.reject(error);
    }
  };
  return { asked, fetched };
}
export const refusing =
  (status: number, code: string, title: string, more: Record<string, unknown> = {}) =>
  (): Response =>
    Response.json({ type: 'about:blank', code, title, status, ...more }, { status });
