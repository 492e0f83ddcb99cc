// @vitest-environment happy-dom
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { LogEntry } from '@bay/contract/logbook';
import { showAs } from '../testing.tsx';
import { EntryLine } from './EntryLine.tsx';

const me = '00000000-0000-4000-8000-000000000001';
const other = '00000000-0000-4000-8000-000000000002';
const entry = (more: Partial<LogEntry> = {}): LogEntry => ({
  id: 7,
  kind: 'note',
  station: null,
  text: 'stud sheared at 3, due 2026-11-27',
  about: null,
  data: {},
  byId: me,
  by: 'Osk Tiller',
  initials: 'OT',
  at: '2026-11-26T09:30:00.000Z',
  receivedAt: null,
  commandId: null,
  marks: [],
  ...more,
});
const correction = {
  kind: 'corrected',
  text: 'stud sheared at 4',
  by: 'Osk Tiller',
  at: '2026-11-26T10:00:00.000Z',
} as const;

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  localStorage.clear();
});

const open = () => userEvent.click(screen.getByRole('button', { name: /stud sheared/ }));

describe('a line of the book', () => {
  it('says dates as people do, and shows the last wording with the earlier one inside', async () => {
    showAs({}, <EntryLine jobId="j" entry={entry({ marks: [correction] })} />);
    expect(document.body.textContent).toContain('stud sheared at 4');
    expect(document.body.textContent).not.toContain('at 3');
    await open();
    expect(document.body.textContent).toContain('stud sheared at 3');
  });
  it('says dates as people do', () => {
    showAs({}, <EntryLine jobId="j" entry={entry()} />);
    expect(document.body.textContent).toContain('due Fri 27 Nov');
  });
  it.each([
    ['its author', me, 'technician', true],
    ['somebody else', other, 'technician', false],
    ['the manager', other, 'manager', true],
    ['an onlooker', other, 'onlooker', false],
  ] as const)('is corrected by %s: %s %s', async (_who, byId, role, may) => {
    showAs({ role }, <EntryLine jobId="j" entry={entry({ byId })} />);
    await open();
    expect(screen.queryByRole('button', { name: /Correct/ }) !== null).toBe(may);
  });
  it('is not struck without a word why', async () => {
    const asked = vi.fn();
    vi.stubGlobal('fetch', asked);
    showAs({}, <EntryLine jobId="00000000-0000-4000-8000-00000000000a" entry={entry()} />);
    await open();
    await userEvent.click(screen.getByRole('button', { name: /Strike/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Strike it' }));
    expect(screen.getByRole('dialog').querySelector('[aria-invalid=true]')).toBeTruthy();
    expect(asked).not.toHaveBeenCalled();
  });
});
