// @vitest-environment happy-dom
import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { showAs } from '../testing.tsx';
import { CountFasteners } from './CountFasteners.tsx';

afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

describe('a group of fasteners that is counted', () => {
  const show = (write: (count: { done: number; of: number }) => void) =>
    showAs(
      {},
      <CountFasteners title="Bell bolts" way="out" count={{ done: 12, of: 15 }} write={write} />,
    );
  const more = () => fireEvent.click(screen.getByRole('button', { name: 'One more' }));
  it('is written once, when the tapping rests', () => {
    vi.useFakeTimers();
    const write = vi.fn();
    show(write);
    more();
    more();
    expect(screen.getByRole('status').textContent).toBe('14');
    expect(write).not.toHaveBeenCalled();
    vi.runAllTimers();
    expect(write.mock.calls).toEqual([[{ done: 14, of: 15 }]]);
  });
  it('is written also when the row is left before that', () => {
    const write = vi.fn();
    show(write);
    more();
    cleanup();
    expect(write.mock.calls).toEqual([[{ done: 13, of: 15 }]]);
  });
  it('never counts more than there are', () => {
    show(vi.fn());
    more();
    more();
    more();
    expect(screen.getByRole('button', { name: 'One more' })).toHaveProperty('disabled', true);
  });
});
