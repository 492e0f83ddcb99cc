import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { jointState, judgeSheet, sheetDefs, sheetOf } from './index.ts';
import type { TorqueRecord } from './index.ts';

const bore = {
  'top-along': 86.042,
  'top-across': 86.018,
  'middle-along': 86.02,
  'middle-across': 86.016,
  'bottom-along': 86.012,
  'bottom-across': 86.01,
};
const finding = (v: ReturnType<typeof judgeSheet>, label: string) =>
  v.findings.find((f) => f.label === label)!;

describe('bores', () => {
  it('out-of-round is the largest difference at one height, taper top less bottom', () => {
    const v = judgeSheet('bore', bore, {});
    expect(finding(v, 'Out-of-round').value).toBeCloseTo(0.024, 9);
    expect(finding(v, 'Taper').value).toBeCloseTo(0.019, 9);
    expect(finding(v, 'Largest bore').value).toBe(86.042);
    expect(finding(v, 'Out-of-round').sum).toBe('top: 86.042 mm − 86.018 mm');
  });
  it('common practice raises doubt, the maker condemns', () => {
    expect(
      finding(judgeSheet('bore', { ...bore, 'top-along': 86.08 }, {}), 'Out-of-round'),
    ).toMatchObject({ word: 'doubtful', source: 'common practice' });
    expect(judgeSheet('bore', bore, { 'out-of-round': 0.02 }).word).toBe('out-of-limits');
    expect(
      judgeSheet('bore', bore, { 'out-of-round': 0.024, taper: 0.02, 'largest-size': 86.05 }).word,
    ).toBe('in-limits');
  });
  it('says which readings are still to take', () =>
    expect(judgeSheet('bore', { 'top-along': 86.02 }, {}).open).toHaveLength(5));
  it('nothing read is nothing judged', () =>
    expect(judgeSheet('bore', {}, {}).word).toBe('not-read'));
  it('out-of-round and taper are never negative (property)', () => {
    const reading = fc.double({ min: 80, max: 90, noNaN: true });
    fc.assert(
      fc.property(fc.tuple(reading, reading, reading, reading, reading, reading), (six) =>
        judgeSheet(
          'bore',
          Object.fromEntries(Object.keys(bore).map((k, i) => [k, six[i]!])),
          {},
        ).findings.every((f) => f.value >= 0),
      ),
    );
  });
});

describe('journals', () => {
  const journal = {
    'front-vertical': 50.8,
    'front-level': 50.79,
    'rear-vertical': 50.8,
    'rear-level': 50.8,
  };
  it('clearance is the bearing less the largest journal', () => {
    // 50.8 mm is 2 in: 0.001 in per inch + 0.0005 in = 0.0025 in = 0.0635 mm (common practice)
    const v = judgeSheet('journal', { ...journal, 'bearing-bore': 50.8635 }, {});
    expect(finding(v, 'Bearing clearance').value).toBeCloseTo(0.0635, 6);
    expect(finding(v, 'Bearing clearance').word).toBe('in-limits');
    expect(
      finding(judgeSheet('journal', { ...journal, 'bearing-bore': 50.95 }, {}), 'Bearing clearance')
        .word,
    ).toBe('doubtful');
    expect(
      finding(judgeSheet('journal', { ...journal, 'bearing-bore': 50.79 }, {}), 'Bearing clearance')
        .word,
    ).toBe('out-of-limits');
  });
  it("the maker's clearance goes first", () =>
    expect(
      finding(
        judgeSheet(
          'journal',
          { ...journal, 'bearing-bore': 50.8635 },
          { 'least-clearance': 0.02, 'largest-clearance': 0.05 },
        ),
        'Bearing clearance',
      ).word,
    ).toBe('out-of-limits'));
  it('above 0.013 mm out of round is doubtful (common practice)', () =>
    expect(
      finding(judgeSheet('journal', { ...journal, 'front-level': 50.78 }, {}), 'Out-of-round').word,
    ).toBe('doubtful'));
});

describe('ring gaps and lash', () => {
  it('0.004 in per inch of bore is the least gap for the street', () => {
    expect(judgeSheet('ring-gap', { top: 0.35, second: 0.33 }, { 'nominal-bore': 86 }).word).toBe(
      'doubtful',
    );
    expect(judgeSheet('ring-gap', { top: 0.35, second: 0.36 }, { 'nominal-bore': 86 }).word).toBe(
      'in-limits',
    );
    expect(judgeSheet('ring-gap', { top: 0.35 }, {}).word).toBe('no-limit');
  });
  it('lash has no limit until the shop enters the maker’s', () => {
    expect(judgeSheet('lash', { intake: 0.2, exhaust: 0.3 }, {}).word).toBe('no-limit');
    expect(
      judgeSheet(
        'lash',
        { intake: 0.1, exhaust: 0.3 },
        { 'least-size': 0.15, 'largest-size': 0.35 },
      ).word,
    ).toBe('out-of-limits');
  });
  it('an exhaust valve at the lash of an intake valve is too tight', () => {
    const limits = {
      'intake-least': 0.15,
      'intake-largest': 0.25,
      'exhaust-least': 0.25,
      'exhaust-largest': 0.35,
    };
    expect(judgeSheet('lash', { intake: 0.2, exhaust: 0.3 }, limits).word).toBe('in-limits');
    expect(judgeSheet('lash', { intake: 0.2, exhaust: 0.2 }, limits).word).toBe('out-of-limits');
    expect(judgeSheet('lash', { intake: 0.3, exhaust: 0.3 }, limits).word).toBe('out-of-limits');
  });
  it('lash that was found out of limits and set is in limits, and both are said', () => {
    const limits = {
      'intake-least': 0.15,
      'intake-largest': 0.25,
      'exhaust-least': 0.25,
      'exhaust-largest': 0.35,
    };
    const set = judgeSheet('lash', { intake: 0.1, exhaust: 0.3, 'intake-set': 0.2 }, limits);
    expect(set).toMatchObject({ word: 'in-limits', open: [] });
    expect(set.findings[0]!.sum).toBe('found 0.1 mm, set to 0.2 mm');
    expect(judgeSheet('lash', { 'intake-set': 0.4, intake: 0.2, exhaust: 0.3 }, limits).word).toBe(
      'out-of-limits',
    );
  });
  it('every sheet has its row in the table of measurements', () =>
    expect(sheetDefs.map((d) => d.measurement)).toEqual([
      'msr-bore',
      'msr-journal',
      'msr-ring-gap',
      'msr-lash',
    ]));
  it('refuses a sheet that does not exist', () =>
    expect(() => sheetOf('wings')).toThrow(/Unknown sheet/));
});

describe('joints', () => {
  const bolt = (n: string, over: Partial<TorqueRecord> = {}): TorqueRecord => ({
    joint: 'main caps',
    on: 'engine',
    bolt: n,
    stagesNm: [30],
    angleDeg: 90,
    source: 'manual, 3-12',
    ...over,
  });
  it('is done when every bolt has a live record with value and source', () => {
    expect(jointState([bolt('1'), bolt('2')], 2).done).toBe(true);
    expect(jointState([bolt('1'), bolt('2')], 3).done).toBe(false);
  });
  it('a part taken off again reopens it', () =>
    expect(
      jointState([bolt('1'), bolt('2', { voided: { by: 'A', at: '', why: 'cap off' } })], 2),
    ).toEqual({
      done: false,
      said: '1 of 2 bolts, taken apart since',
    }));
  it('an unknown value is not tight', () => {
    expect(jointState([bolt('1', { source: 'unknown' })], 1).done).toBe(false);
    expect(jointState([bolt('1', { stagesNm: [], angleDeg: undefined })], 1).done).toBe(false);
  });
});
