import { MantineProvider } from '@mantine/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import type { Me, Person } from '@bay/contract/crew';
import { computePlan, planInputOf } from '@bay/core/plan';
import type { JobSheet } from '@bay/contract/jobs';
import type { RecordKind } from '@bay/contract/records';
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

export const testJob = '00000000-0000-4000-8000-0000000000aa';

/** A sheet of an open job with nothing but these records. */
export const sheetOf = (
  ...records: [kind: RecordKind, key: string, data: Record<string, unknown>, revision: number][]
): JobSheet =>
  ({
    job: {
      id: testJob,
      number: '0401',
      carName: 'Car',
      engineName: null,
      customer: 'C',
      wish: 'w',
      faults: '',
      bay: null,
      promised: null,
      station: 'scope',
      signedStations: [],
      closedAt: null,
      openedAt: '2026-11-01T08:00:00.000Z',
      revision: 1,
    },
    units: [],
    facts: [],
    records: records.map(([kind, key, data, revision]) => ({
      kind,
      key,
      data,
      revision,
      by: 'A',
      at: '2026-11-02T08:00:00.000Z',
    })),
    shopSchools: {},
    log: [],
    running: [],
  }) as unknown as JobSheet;

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
