// @vitest-environment happy-dom
import { TextInput } from '@mantine/core';
import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { JobSheet } from '@bay/contract/jobs';
import { keepPerson } from '../api/index.ts';
import { sheetOf } from './testing.ts';
import { answering, inJob, refusing, showAs } from '../testing.tsx';
import { Form } from '../ui/index.ts';
import { useRecordForm } from './useRecordForm.ts';

const osk = { id: '00000000-0000-4000-8000-000000000001', name: 'Osk Tiller' };

afterEach(() => {
  cleanup();
  localStorage.clear();
  vi.unstubAllGlobals();
});

function Note({ line }: { line?: string }) {
  const form = useRecordForm({
    kind: 'kit',
    key: line,
    initial: { note: '' },
    sent: ({ note }) => ({ status: 'wanted', note }),
  });
  return (
    <Form of={form} submit="Save" send={form.send}>
      <TextInput label="Note" {...form.field('note')} />
    </Form>
  );
}

const written = (revision: number) => () =>
  Response.json({
    record: {
      kind: 'kit',
      key: 'k',
      data: {},
      revision,
      by: 'Osk',
      at: '2026-11-26T10:00:00.000Z',
    },
  });

function show(sheet: JobSheet, line: string | undefined, ...answers: (() => Response)[]) {
  keepPerson(osk);
  const { asked, fetched } = answering(...answers);
  vi.stubGlobal('fetch', fetched);
  const conflict = vi.fn();
  const part = (s: JobSheet) =>
    inJob(s, <Note {...(line === undefined ? {} : { line })} />, conflict);
  const shown = showAs({}, part(sheet));
  return { asked, conflict, ...shown };
}
const type = (text: string) => userEvent.type(screen.getByLabelText('Note'), text);
/** Typed and left on Monday, on top of revision 4; opened again when the ninth stands there. */
const leftOnMonday = async () => {
  const sheet = (status: string, revision: number) =>
    sheetOf(['kit', 'kit-sump', { status }, revision]);
  const first = show(sheet('wanted', 4), 'kit-sump', written(5));
  await type('from Monday');
  first.unmount();
  return show(sheet('here', 9), 'kit-sump', written(10));
};
const save = () => userEvent.click(screen.getByRole('button', { name: 'Save' }));

describe('a form that writes a record', () => {
  it('writes on top of the revision that stood there when it was begun, and goes on from what it wrote', async () => {
    const { asked } = show(
      sheetOf(['kit', 'kit-sump', { status: 'wanted' }, 4]),
      'kit-sump',
      written(5),
      written(6),
    );
    await type('one');
    await save();
    await waitFor(() => expect(asked).toHaveLength(1));
    expect(asked[0]).toMatchObject({
      method: 'PUT',
      url: expect.stringMatching(/records\/kit\/kit-sump$/) as string,
      body: { data: { status: 'wanted', note: 'one' }, revision: 4, writtenBy: osk.id },
    });
    await type(' more');
    await save();
    await waitFor(() => expect(asked).toHaveLength(2));
    expect(asked[1]!.body).toMatchObject({ revision: 5 });
  });
  it('shows both versions when somebody changed it meanwhile, and overwrites nothing', async () => {
    const current = {
      kind: 'kit',
      key: 'kit-sump',
      data: { status: 'here' },
      revision: 5,
      by: 'Jun',
      at: '2026-11-26T10:00:00.000Z',
    };
    const { conflict } = show(
      sheetOf(['kit', 'kit-sump', { status: 'wanted' }, 4]),
      'kit-sump',
      refusing(409, 'stale', 'Jun changed this meanwhile.', { current }),
    );
    await type('mine');
    await save();
    await waitFor(() => expect(conflict).toHaveBeenCalledOnce());
    expect(conflict.mock.calls[0]![0]).toMatchObject({
      mine: { status: 'wanted', note: 'mine' },
      theirs: { revision: 5, by: 'Jun' },
    });
  });
  it('typed days ago, it is still on top of what stood there then', async () => {
    const second = await leftOnMonday();
    expect(screen.getByLabelText<HTMLInputElement>('Note').value).toBe('from Monday');
    await save();
    await waitFor(() => expect(second.asked).toHaveLength(1));
    expect(second.asked[0]!.body).toMatchObject({ revision: 4 });
  });
  it('thrown away, it begins from what stands there now', async () => {
    const second = await leftOnMonday();
    await userEvent.click(screen.getByRole('button', { name: 'Start anew' }));
    await type('today');
    await save();
    await waitFor(() => expect(second.asked).toHaveLength(1));
    expect(second.asked[0]!.body).toMatchObject({ data: { note: 'today' }, revision: 9 });
  });
  it('a new record keeps its key through every try, and the next one has another', async () => {
    const { asked } = show(
      sheetOf(),
      undefined,
      refusing(422, 'bad-input', 'Not so.'),
      written(1),
      written(1),
    );
    await type('new');
    await save();
    expect(await screen.findByText('Not so.')).toBeTruthy();
    await save();
    await waitFor(() => expect(asked).toHaveLength(2));
    await type(' again');
    await save();
    await waitFor(() => expect(asked).toHaveLength(3));
    const keys = asked.map((a) => a.url.split('/').at(-1));
    expect(keys[0]).toBe(keys[1]);
    expect(keys[2]).not.toBe(keys[0]);
    expect(asked.map((a) => a.body['revision'])).toEqual([0, 0, 0]);
  });
});
