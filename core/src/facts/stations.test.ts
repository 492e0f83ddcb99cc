import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { askStations, atStation, readFact, readStations, showFact, stationLines } from './index.ts';

const columns = [
  { key: 'x', label: 'x', unit: 'mm' },
  { key: 'z', label: 'z', unit: 'mm' },
];
const value = (typed: string) => {
  const read = readStations(columns, typed);
  return read.ok ? read.value : read.sentence;
};

describe('a list of stations', () => {
  it.each([
    ['lines with semicolons', '0; 455\n100; 460'],
    ['a table from a spreadsheet', 'x\tz\n0\t455\n100\t460\n'],
    ['commas', '0,455\n100,460'],
    ['blanks, in any order', '100 460\n\n0 455'],
    ['other units', '0; 45.5 cm\n10 cm; 46 cm'],
  ])('is read from %s', (_name, typed) =>
    expect(value(typed)).toEqual([
      [0, 455],
      [100, 460],
    ]),
  );
  it('takes fractions of inches and a decimal comma where the mark between the cells is another', () => {
    expect(value('0; 17 1/2 in\n4 in; 455,5')).toEqual([
      [0, 444.5],
      [101.6, 455.5],
    ]);
  });
  it.each([
    ['0; 455', 'Two stations at least, each with x, z.'],
    ['0; 455\n100', 'Line 2: 2 numbers wanted, x, z.'],
    ['0; 455\n0; 460', 'Two stations at x 0 mm.'],
    ['0; 455\n100; high', /^Line 2, z: /],
    ['', 'Two stations at least, each with x, z.'],
    [Array.from({ length: 61 }, (_, i) => `${i}; 1`).join('\n'), 'At most 60 stations.'],
  ])('is refused by its line: %j', (typed, sentence) =>
    expect(value(typed)).toEqual(
      typeof sentence === 'string' ? sentence : expect.stringMatching(sentence),
    ),
  );
  it('asks about a station that is far off its neighbours', () => {
    const far = value('0; 455\n100; 45\n200; 460');
    expect(askStations(columns, far as number[][])).toMatch(
      /^At x 100 mm, z 45 mm is 412\.5 mm off/,
    );
    expect(askStations(columns, value('0; 455\n100; 400\n200; 460') as number[][])).toBeUndefined();
  });
  it('says a place by the line between its neighbours, and nothing outside', () => {
    const list = value('0; 400\n100; 500\n200; 450') as number[][];
    expect(atStation(list, 50)).toBe(450);
    expect(atStation(list, 150)).toBe(475);
    expect([atStation(list, 0), atStation(list, 200)]).toEqual([400, 450]);
    expect([atStation(list, -1), atStation(list, 201)]).toEqual([undefined, undefined]);
  });
  it('comes back from its own lines (property)', () => {
    const number = fc.integer({ min: -3000, max: 3000 }).map((n) => n / 2);
    fc.assert(
      fc.property(
        fc.uniqueArray(number, { minLength: 2, maxLength: 20 }),
        fc.array(number, { minLength: 20 }),
        (xs, zs) => {
          const rows = [...xs].sort((a, b) => a - b).map((x, i) => [x, zs[i]!]);
          expect(value(stationLines(rows))).toEqual(rows);
        },
      ),
    );
  });
  it('is a part of a fact: numbers are kept, what was typed beside them, and a strange one is asked about', () => {
    const read = readFact('rec-hood-profile', { profile: '0; 455\n100; 20\n200; 460' });
    expect(read).toMatchObject({
      ok: true,
      parts: {
        profile: [
          [0, 455],
          [100, 20],
          [200, 460],
        ],
      },
    });
    expect(read.ok && Object.keys(read.asks)).toEqual(['profile']);
    expect(
      read.ok &&
        showFact('rec-hood-profile', { parts: read.parts, typed: read.typed, source: 'measured' }),
    ).toBe('profile, station by station 3 stations, x 0 mm to 200 mm');
  });
});
