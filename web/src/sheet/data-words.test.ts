import { describe, expect, it } from 'vitest';
import { dataWords, fieldWords, linesOfData } from './data-words.ts';

describe('what somebody wrote, as people read it', () => {
  it('leaves names and times out, and what is not there', () =>
    expect(linesOfData({ status: 'done', by: 'OT', at: 'now', note: undefined })).toEqual([
      ['status', 'done'],
    ]));
  it('says lists and things in words', () =>
    expect(
      dataWords({
        stagesNm: [30, 60],
        source: 'memory, behind the lift',
        voided: { why: 'cap off' },
      }),
    ).toBe('stages in N·m 30 then 60; source memory, behind the lift; voided why cap off'));
  it('says names of fields in words', () =>
    expect(['waitsFor', 'handed-over', 'angleDeg', 'what'].map(fieldWords)).toEqual([
      'waits for',
      'handed over',
      'angle in degrees',
      'what',
    ]));
  it('of nothing says nothing', () => expect(dataWords(undefined)).toBe(''));
  it('stops before a line of the book is full', () =>
    expect(dataWords({ note: 'x'.repeat(5000) }).length).toBeLessThanOrEqual(600));
});
