// @vitest-environment happy-dom
import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { kitLines } from '@bay/core/kit';
import type { KitLine, KitRecord } from '@bay/core/kit';
import { keepPerson, keys } from '../api/index.ts';
import { sheetOf } from '../sheet/testing.ts';
import { answering, inJob, showAs } from '../testing.tsx';
import { KitCard } from './KitCard.tsx';

const lathe = {
  id: '00000000-0000-4000-8000-0000000000c1',
  name: 'Lathe and Loom',
  revision: 1,
  lines: 2,
};
const def = kitLines.find((l) => l.id === 'kit-sump')!;
const line: KitLine = {
  def,
  state: 'needed',
  because: [],
  needs: [],
  filled: [],
  blanks: [],
} as unknown as KitLine;

afterEach(() => {
  cleanup();
  localStorage.clear();
  vi.unstubAllGlobals();
});

function show(
  role: 'manager' | 'technician',
  record: Partial<KitRecord> | undefined,
  known: boolean,
) {
  keepPerson({ id: '00000000-0000-4000-8000-000000000001', name: 'Osk Tiller' });
  const { asked, fetched } = answering(() =>
    Response.json({
      record: {
        kind: 'kit',
        key: 'kit-sump',
        data: {},
        revision: 2,
        by: 'O',
        at: '2026-11-26T10:00:00.000Z',
      },
    }),
  );
  vi.stubGlobal('fetch', (url: string, init?: { method?: string; body?: string }) =>
    /\/api\/(?:suppliers|tried)/.test(url) && init?.method === 'GET'
      ? new Promise(() => undefined)
      : fetched(url, init),
  );
  const sheet = sheetOf(['kit', 'kit-sump', { status: 'wanted', ...record }, 1]);
  const card = inJob(sheet, <KitCard line={line} record={{ status: 'wanted', ...record }} />);
  const shown = showAs({ role }, null);
  if (known) shown.client.setQueryData(keys.suppliers, { suppliers: [lathe] });
  shown.unmount();
  // Shown once more with what is known in its place.
  const again = showAs({ role }, card, shown.client);
  return { asked, ...again };
}
const value = (label: string | RegExp) =>
  screen.getByLabelText<HTMLInputElement>(label, { selector: 'input' }).value;
const save = () => userEvent.click(screen.getByRole('button', { name: 'Save' }));

describe('a kit line', () => {
  it('shows the supplier by name and keeps it when something else is changed', async () => {
    const { asked } = show('technician', { supplierId: lathe.id }, true);
    expect(value('From')).toBe('Lathe and Loom');
    await userEvent.type(screen.getByLabelText('Note'), 'dented');
    await save();
    await waitFor(() => expect(asked).toHaveLength(1));
    expect(asked[0]!.body).toMatchObject({ data: { note: 'dented', supplierId: lathe.id } });
  });
  it('is not written while nobody knows whom the shop buys from: that would take the supplier away', () => {
    show('technician', { supplierId: lathe.id }, false);
    expect(screen.queryByRole('button', { name: 'Save' })).toBeNull();
    expect(screen.getByText(/not known here yet/)).toBeTruthy();
  });
  it('takes a new name as a new supplier, once, and the same name in other letters as the same', async () => {
    const { asked } = show('technician', {}, true);
    await userEvent.type(screen.getByLabelText('From', { selector: 'input' }), 'lathe AND loom');
    await save();
    await waitFor(() => expect(asked).toHaveLength(1));
    expect(asked[0]!.body).toMatchObject({ data: { supplierId: lathe.id } });
  });
  it("shows what was paid in the shop's currency, and sends it in its smallest unit", async () => {
    const { asked } = show('manager', { price: 125_050 }, true);
    expect(value('Paid, EUR')).toBe('1250.50');
    await userEvent.clear(screen.getByLabelText('Paid, EUR'));
    await userEvent.type(screen.getByLabelText('Paid, EUR'), '1,300');
    expect(screen.getByText('1,300.00 EUR')).toBeTruthy();
    await save();
    await waitFor(() => expect(asked).toHaveLength(1));
    expect(asked[0]!.body).toMatchObject({ data: { price: 130_000 } });
  });
  it('an amount that is none is refused with a sentence, and nothing is sent', async () => {
    const { asked } = show('manager', {}, true);
    await userEvent.type(screen.getByLabelText('Paid, EUR'), 'about 12');
    await save();
    expect(screen.getByText('An amount is a number, like 1250 or 1250.50.')).toBeTruthy();
    expect(asked).toEqual([]);
  });
  it('a technician is asked for no amount and sends none', async () => {
    const { asked } = show('technician', {}, true);
    expect(screen.queryByLabelText(/Paid/)).toBeNull();
    await save();
    await waitFor(() => expect(asked).toHaveLength(1));
    expect(asked[0]!.body['data']).not.toHaveProperty('price');
  });
});
