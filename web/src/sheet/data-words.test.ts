import { describe, expect, it } from 'vitest';
import { dataWords, linesOfData } from './data-words.ts';

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
    ).toBe('stagesNm 30 then 60; source memory, behind the lift; voided why cap off'));
  it('of nothing says nothing', () => expect(dataWords(undefined)).toBe(''));
  it('stops before a line of the book is full', () =>
    expect(dataWords({ note: 'x'.repeat(5000) }).length).toBeLessThanOrEqual(600));
});
