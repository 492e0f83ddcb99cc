// @vitest-environment happy-dom
import { notifications } from '@mantine/notifications';
import { act, cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { forgetAll, remember, undoable } from '../api/index.ts';
import { answering, refusing, showAs } from '../testing.tsx';
import Notes from './Notes.tsx';

const nothingDone = () => {
  forgetAll();
  notifications.clean();
};
beforeEach(() => {
  nothingDone();
  vi.useFakeTimers({ shouldAdvanceTime: true });
});
afterEach(() => {
  cleanup();
  nothingDone();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const done = (commandId: string, label: string) =>
  act(() => remember({ commandId, label, at: Date.now() }));
const undo = () => screen.getByRole('button', { name: /^Undo/ });

function show(...answers: (() => Response)[]) {
  const { asked, fetched } = answering(
    ...(answers.length > 0 ? answers : [() => Response.json({ undone: [] })]),
  );
  vi.stubGlobal('fetch', fetched);
  showAs(
    {},
    <>
      <Notes />
      <input aria-label="Remark" />
    </>,
  );
  return asked;
}

describe('what was done last', () => {
  it('is told with a button that takes it back', async () => {
    const asked = show();
    done('c1', 'step done');
    expect(await screen.findByText('Step done.')).toBeTruthy();
    await userEvent.click(undo());
    await waitFor(() => expect(asked).toHaveLength(1));
    expect(asked[0]!.url).toBe('/api/commands/c1/undo');
    await waitFor(() => expect(undoable.last()).toBeUndefined());
  });
  it('is taken back by its key, but not while somebody types', async () => {
    const asked = show();
    done('c1', 'step done');
    await screen.findByText('Step done.');
    await userEvent.click(screen.getByLabelText('Remark'));
    await userEvent.keyboard('{Control>}z{/Control}');
    expect(asked).toHaveLength(0);
    act(() => screen.getByLabelText('Remark').blur());
    await userEvent.keyboard('{Control>}z{/Control}');
    await waitFor(() => expect(asked).toHaveLength(1));
  });
  it('gives way to what is done after it, and is offered again when that is taken back', async () => {
    const asked = show();
    done('c1', 'step done');
    await screen.findByText('Step done.');
    done('c2', 'hold written');
    expect(await screen.findByText('Hold written.')).toBeTruthy();
    // The one before goes with a transition.
    await waitFor(() => expect(screen.queryByText('Step done.')).toBeNull());
    await userEvent.click(undo());
    await waitFor(() => expect(asked).toHaveLength(1));
    expect(asked[0]!.url).toBe('/api/commands/c2/undo');
    expect(await screen.findByText('Step done.')).toBeTruthy();
  });
  it('is left so when it is closed', async () => {
    show();
    done('c1', 'step done');
    await screen.findByText('Step done.');
    await userEvent.click(screen.getByRole('button', { name: 'Leave it so' }));
    await waitFor(() => expect(undoable.last()).toBeUndefined());
  });
  it('says why it could not be taken back', async () => {
    show(refusing(409, 'conflict', 'Somebody built on this meanwhile.'));
    done('c1', 'step done');
    await screen.findByText('Step done.');
    await userEvent.click(undo());
    expect(await screen.findByText('Somebody built on this meanwhile.')).toBeTruthy();
  });
});
