import { describe, expect, it } from 'vitest';
import { bookFrom } from '../plan/testing.ts';
import { besideSister } from './sister.ts';

const line = (
  id: string,
  old: Parameters<typeof bookFrom>[0],
  next: Parameters<typeof bookFrom>[0],
) => besideSister(bookFrom(old), bookFrom(next)).find((l) => l.def.id === id)!;

/** Facts of the trade: common practice, no source. */
describe('an engine beside its sister', () => {
  it('what differs and can be taken over moves, what cannot stops', () => {
    expect(
      line('sis-intake', { 'eng-throttle-kind': 'cable' }, { 'eng-throttle-kind': 'by-wire' }),
    ).toMatchObject({ word: 'moves', differs: [{ old: 'cable', next: 'by wire' }] });
    expect(
      line('sis-bell', { 'eng-bell-pattern': 'QR six-bolt' }, { 'eng-bell-pattern': 'four-bolt' })
        .word,
    ).toBe('stops');
  });
  it('what is known of one of them alone is not the same', () => {
    expect(line('sis-bell', { 'eng-bell-pattern': 'QR six-bolt' }, {})).toMatchObject({
      word: 'not-known',
      needs: [{ factId: 'eng-bell-pattern', of: 'new' }],
    });
    const half = line(
      'sis-alternator',
      { 'eng-alternator': { output: '90 A', exciter: 'lamp-wire' } },
      { 'eng-alternator': { output: '90 A' } },
    );
    expect(half).toMatchObject({
      word: 'not-known',
      needs: [{ factId: 'eng-alternator', of: 'new' }],
    });
  });
  it('is the same where all of it is known and alike', () => {
    const both = { 'eng-cam-sensor': { value: 'one-hall', 'tooth-pattern': '4+1' } } as const;
    expect(line('sis-cam-sensor', both, both)).toMatchObject({
      word: 'same',
      needs: [],
      differs: [],
    });
  });
  it('one that differs already need not wait for the rest of it', () => {
    const found = line(
      'sis-crank-sensor',
      { 'eng-crank-sensor': 'two-wire-inductive' },
      { 'eng-crank-sensor': 'three-wire-hall' },
    );
    expect(found.word).toBe('moves');
    expect(found.needs).toHaveLength(2);
  });
});
