import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readDay, readLogLine, understoodWords } from './index.ts';

// A Tuesday.
const today = '2026-11-24';

describe('days as people say them', () => {
  it.each([
    ['today', '2026-11-24'],
    ['tomorrow', '2026-11-25'],
    ['Thursday', '2026-11-26'],
    ['thu', '2026-11-26'],
    ['Tuesday', '2026-12-01'],
    ['in 3 days', '2026-11-27'],
    ['26 Nov', '2026-11-26'],
    ['3 January', '2027-01-03'],
    ['2026-12-24', '2026-12-24'],
    ['whenever', undefined],
    ['th', undefined],
  ])('%s', (said, day) => expect(readDay(said, today)).toBe(day));
});

describe('one line', () => {
  it.each([
    ['bore 3 86.02', { kind: 'measurement', sheet: 'bore', place: '3', valueMm: 86.02 }],
    ['lash 2 0,25', { kind: 'measurement', sheet: 'lash', place: '2', valueMm: 0.25 }],
    ['ring gap 1 0.014 in', { kind: 'measurement', sheet: 'ring-gap', place: '1' }],
    [
      'held: waiting for coolant neck, Thursday',
      { kind: 'hold', waitsFor: 'coolant neck', due: '2026-11-26' },
    ],
    ['held by paint', { kind: 'hold', waitsFor: 'paint' }],
    ['hold: engine stand, bay 2', { kind: 'hold', waitsFor: 'engine stand, bay 2' }],
    ['arrived: coolant neck', { kind: 'arrival', what: 'coolant neck' }],
    [
      'received tach divider, label K-118',
      { kind: 'arrival', what: 'tach divider', label: 'K-118' },
    ],
    ['released: coolant neck', { kind: 'release', what: 'coolant neck' }],
    ['torque main caps 3 65 Nm', { kind: 'torque', joint: 'main caps', bolt: '3', torqueNm: 65 }],
    ['torque main caps 3 30 Nm + 90 deg', { kind: 'torque', angleDeg: 90 }],
    ['loose: left mount, 2 bolts', { kind: 'provisional', what: 'loose: left mount, 2 bolts' }],
    ['engine mass 128 kg', { kind: 'fact', factId: 'eng-mass', partKey: 'value' }],
    [
      'bay length to core rear face 25 1/4 in',
      { kind: 'fact', factId: 'rec-bay-length', partKey: 'to-core-rear-face' },
    ],
    ['chain and guides look good', { kind: 'note' }],
    ['trial fit 1: slope 5.1 deg, tail too low', { kind: 'note' }],
  ])('%s', (line, wanted) => expect(readLogLine(line, today)).toMatchObject(wanted));

  it('a torque in foot pounds is kept in newton metres', () => {
    const draft = readLogLine('torque head 1 40 lbft', today);
    expect(draft.kind === 'torque' && draft.torqueNm).toBeCloseTo(54.23, 2);
  });
  it('a line that breaks off is a note with a hint', () => {
    expect(readLogLine('bore 3 wide', today)).toMatchObject({
      kind: 'note',
      hint: expect.stringContaining('wide') as string,
    });
    expect(readLogLine('torque cap', today)).toMatchObject({
      kind: 'note',
      hint: expect.stringContaining('torque main cap') as string,
    });
  });
  it('says before Enter what it took', () => {
    expect(understoodWords(readLogLine('bore 3 86.02', today))).toBe(
      'measurement: bore, cylinder 3, 86.02 mm = 3.387 in',
    );
    expect(understoodWords(readLogLine('hello', today))).toBe('note');
  });
  it('never loses a word and never throws (property)', () => {
    fc.assert(
      fc.property(
        fc.string({ minLength: 1 }),
        (line) => readLogLine(line, today).text === line.trim(),
      ),
    );
  });
});
