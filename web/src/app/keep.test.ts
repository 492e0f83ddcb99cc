import { keys } from '../api/index.ts';
import { QueryClient } from '@tanstack/react-query';
import { describe, expect, it } from 'vitest';
import { worthKeeping } from './keep.ts';

/** What a device keeps for when it opens without a network. */
function query(key: readonly unknown[], data: unknown, failed = false) {
  const client = new QueryClient();
  if (data !== undefined) client.setQueryData(key, data);
  const q = client.getQueryCache().build(client, { queryKey: key });
  if (failed) q.setState({ ...q.state, status: 'error', error: new Error('no network') });
  return q;
}

describe('what is worth keeping', () => {
  it.each([
    [['job', 'a'], true],
    [keys.floor, true],
    [keys.bench, true],
    [keys.waiting, true],
    [['log-search', 'shop', 'bolt'], false],
    [keys.sessions, false],
    [['links', 'a'], false],
  ])('%j: %s', (key, kept) => expect(worthKeeping(query(key, { any: 'thing' }))).toBe(kept));
  it('a job that could not be read again still holds what was read', () =>
    expect(worthKeeping(query(['job', 'a'], { any: 'thing' }, true))).toBe(true));
  it('nothing that was never read', () =>
    expect(worthKeeping(query(['job', 'a'], undefined))).toBe(false));
  it('who is here, but not that nobody is', () => {
    expect(worthKeeping(query(keys.me, { person: { id: 'a' } }))).toBe(true);
    expect(worthKeeping(query(keys.me, { person: null }))).toBe(false);
  });
});
