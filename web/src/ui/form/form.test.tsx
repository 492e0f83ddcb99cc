// @vitest-environment happy-dom
import { TextInput } from '@mantine/core';
import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { kindSchema } from '@bay/contract/records';
import { setPin } from '@bay/contract/crew';
import { Refused } from '../../api/index.ts';
import { showAs } from '../../testing.tsx';
import { FormDialog, measured, useForm, words } from './index.ts';
import { MeasuredInput } from '../MeasuredInput.tsx';

afterEach(() => {
  cleanup();
  localStorage.clear();
});

const other = { id: '00000000-0000-4000-8000-000000000002', name: 'Jun Varga' };

function Page({ send, was = '' }: { send: (input: unknown) => Promise<unknown>; was?: string }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button onClick={() => setOpen(true)}>Something found</button>
      {open && <Finding send={send} was={was} close={() => setOpen(false)} />}
    </>
  );
}

function Finding({
  send,
  was,
  close,
}: {
  send: (input: unknown) => Promise<unknown>;
  was: string;
  close: () => void;
}) {
  const form = useForm({
    draft: 'job:finding',
    initial: { what: was, follows: '' },
    schema: kindSchema('finding').input,
    sent: (v) => ({ on: 'engine', what: v.what, follows: words(v.follows) }),
  });
  return (
    <FormDialog
      title="A finding"
      submit="Write it"
      of={form}
      send={send}
      close={close}
      cancel={close}
    >
      <TextInput label="What" data-autofocus {...form.field('what')} />
      <TextInput label="Follows" {...form.field('follows')} />
    </FormDialog>
  );
}

const open = () => userEvent.click(screen.getByRole('button', { name: 'Something found' }));
const type = (text: string) => userEvent.type(screen.getByLabelText('What'), text);
const press = (name: string) => userEvent.click(screen.getByRole('button', { name }));
const valueOf = (label: string) => screen.getByLabelText<HTMLInputElement>(label).value;
const gone = () => waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());

describe('a form', () => {
  it("holds what is typed to the contract's schema, with the contract's sentence, and sends nothing before", async () => {
    const send = vi.fn(() => Promise.resolve());
    showAs({}, <Page send={send} />);
    await open();
    await type('x');
    await press('Write it');
    expect(screen.getByText('Say what was found.')).toBeTruthy();
    expect(screen.getByLabelText('What').getAttribute('aria-invalid')).toBe('true');
    expect(send).not.toHaveBeenCalled();
    await type(' crack');
    await press('Write it');
    await gone();
    expect(send).toHaveBeenCalledExactlyOnceWith({
      on: 'engine',
      what: 'x crack',
      follows: undefined,
    });
  });
  it('gives the focus back to what opened it', async () => {
    showAs({}, <Page send={() => Promise.resolve()} />);
    await open();
    await press('Not now');
    await gone();
    await waitFor(() => expect(document.activeElement?.textContent).toBe('Something found'));
  });
  it('keeps what was typed when it is left, and forgets it when it is sent', async () => {
    showAs({}, <Page send={() => Promise.resolve()} />);
    await open();
    await type('a crack');
    await userEvent.keyboard('{Escape}');
    await gone();
    await open();
    expect(valueOf('What')).toBe('a crack');
    expect(screen.getByText(/You typed this earlier/)).toBeTruthy();
    await press('Write it');
    await gone();
    await open();
    expect(valueOf('What')).toBe('');
  });
  it('shows nobody what somebody else typed at the same tablet', async () => {
    const first = showAs({}, <Page send={() => Promise.resolve()} />);
    await open();
    await type('a crack');
    first.unmount();
    const second = showAs(other, <Page send={() => Promise.resolve()} />);
    await open();
    expect(valueOf('What')).toBe('');
    await press('Not now');
    second.unmount();
    showAs({}, <Page send={() => Promise.resolve()} />);
    await open();
    expect(valueOf('What')).toBe('a crack');
    await press('Start anew');
    expect(valueOf('What')).toBe('');
  });
  it('says so when what it began from is another by now', async () => {
    const first = showAs({}, <Page send={() => Promise.resolve()} was="scored" />);
    await open();
    await type(' deeply');
    first.unmount();
    showAs({}, <Page send={() => Promise.resolve()} was="polished" />);
    await open();
    expect(valueOf('What')).toBe('scored deeply');
    expect(screen.getByText(/typed this before what it speaks of changed/)).toBeTruthy();
  });
  it('puts the sentence of the server at its field, and keeps everything', async () => {
    const refused = new Refused({
      type: 'about:blank',
      code: 'bad-input',
      title: 'Not so.',
      status: 422,
      fields: { follows: 'Nobody does that.' },
    });
    showAs({}, <Page send={() => Promise.reject(refused)} />);
    await open();
    await type('a crack');
    await press('Write it');
    expect(await screen.findByText('Nobody does that.')).toBeTruthy();
    expect(screen.getByLabelText('Follows').getAttribute('aria-invalid')).toBe('true');
    expect(valueOf('What')).toBe('a crack');
  });
  it('says nothing of a value that was typed anew before the server refused the one before', async () => {
    let refuse: (e: Error) => void = () => undefined;
    const send = vi.fn(() => new Promise((_, no) => (refuse = no)));
    showAs({}, <Page send={send} />);
    await open();
    await type('crack');
    await press('Write it');
    await type(' in the head');
    refuse(
      new Refused({
        type: 'about:blank',
        code: 'bad-input',
        status: 422,
        title: 'Say where.',
        fields: { what: 'Say where.', follows: 'Say what follows.' },
      }),
    );
    await screen.findAllByText('Say what follows.');
    expect(screen.getByLabelText('What').getAttribute('aria-invalid')).not.toBe('true');
    expect(valueOf('What')).toBe('crack in the head');
  });
  it('says beside its button what is wrong with no field, and sends once however often it is pressed', async () => {
    let refuse: (e: unknown) => void = () => undefined;
    const send = vi.fn(() => new Promise((_, reject) => (refuse = reject)));
    showAs({}, <Page send={send} />);
    await open();
    await type('a crack{Enter}{Enter}');
    expect(send).toHaveBeenCalledOnce();
    refuse(
      new Refused({
        type: 'about:blank',
        code: 'no-connection',
        title: 'No connection.',
        status: 0,
      }),
    );
    expect((await screen.findByRole('alert')).textContent).toBe('No connection.');
  });
  it('keeps nothing of a PIN', async () => {
    function Pin() {
      const form = useForm({ initial: { pin: '' }, schema: setPin.body.pick({ pin: true }) });
      return (
        <FormDialog
          title="A new one"
          submit="Set"
          of={form}
          send={() => Promise.resolve()}
          close={() => undefined}
        >
          <TextInput label="PIN" {...form.field('pin')} />
        </FormDialog>
      );
    }
    showAs({}, <Pin />);
    await userEvent.type(screen.getByLabelText('PIN'), '77');
    await press('Set');
    expect(screen.getByText('A PIN has 4 to 8 figures.')).toBeTruthy();
    expect(Object.keys(localStorage).filter((k) => k !== 'bay-clock-offset')).toEqual([]);
  });
  it('sends no words for a number', async () => {
    const send = vi.fn(() => Promise.resolve());
    function Gap() {
      const form = useForm({
        initial: { bar: '' },
        schema: kindSchema('priming').input,
        sent: (v) => ({ way: 'pump-drive', bar: measured(v.bar, 'bar'), seconds: 2 }),
      });
      return (
        <FormDialog title="Gap" submit="Log" of={form} send={send} close={() => undefined}>
          <MeasuredInput label="Pressure" unit="bar" {...form.field('bar')} />
        </FormDialog>
      );
    }
    showAs({}, <Gap />);
    await press('Log');
    expect(screen.getByText('This is wanted.')).toBeTruthy();
    await userEvent.type(screen.getByLabelText('Pressure, bar'), 'plenty');
    await press('Log');
    expect(send).not.toHaveBeenCalled();
  });
});
