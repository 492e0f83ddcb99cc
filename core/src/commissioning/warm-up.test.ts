import { describe, expect, it } from 'vitest';
import { warmUpReadings, warmUpSummary } from './index.ts';

/** Limits are those of the watch list (common practice, no source). */

const words = (...records: Parameters<typeof warmUpReadings>[0]) =>
  warmUpReadings(records).map((r) => [r.word, ...r.said].join(': '));

describe('readings of a warm-up', () => {
  it('go on while it rises evenly and holds its pressure', () => {
    expect(
      words(
        { minute: 0, coolantC: 18, oilBar: 4.2, rpm: 1200 },
        { minute: 8, coolantC: 61, oilBar: 3.1, rpm: 1100 },
        { minute: 16, coolantC: 88, oilBar: 1.4, rpm: 900, volts: 13.4 },
        { minute: 18, coolantC: 90, oilBar: 2, rpm: 1500, volts: 14.2 },
      ),
    ).toEqual(['goes-on', 'goes-on', 'goes-on', 'goes-on']);
  });
  it('stop over the coolant limit, at a jump, and when pressure is gone, hot or cold', () => {
    expect(words({ minute: 12, coolantC: 109 })).toEqual(['stop: coolant 109 °C']);
    expect(words({ minute: 3, coolantC: 40 }, { minute: 4, coolantC: 52 })).toEqual([
      'goes-on',
      'stop: coolant rose 12 K in 1 min',
    ]);
    expect(words({ minute: 1, oilBar: 0.6 })).toEqual(['stop: oil 0.6 bar']);
    expect(words({ minute: 20, coolantC: 90, oilBar: 0.4, rpm: 900 })[0]).toMatch(
      /^stop: oil 0.4 bar at 900 rpm/,
    );
    expect(words({ minute: 20, coolantC: 90, oilBar: 0.3 })[0]).toMatch(/^stop/);
  });
  it('are looked at between, and where one reading says nothing without another', () => {
    expect(words({ minute: 25, coolantC: 62 })).toEqual(['look: coolant only 62 °C after 25 min']);
    expect(words({ minute: 15, coolantC: 101 })).toEqual(['look: coolant 101 °C']);
    // A hot pressure without its engine speed is no "goes on": what nobody read is not a yes.
    expect(words({ minute: 15, coolantC: 90, oilBar: 1.5 })).toEqual([
      'look: oil hot without its engine speed: not judged',
    ]);
    expect(words({ minute: 15, volts: 14 })).toEqual([
      'look: 14 V: charging is judged from 1400 rpm on',
    ]);
    expect(words({ minute: 15, volts: 14, rpm: 800 })).toEqual([
      'look: 14 V: charging is judged from 1400 rpm on',
    ]);
    // A battery that sinks is no "goes on" because the coolant beside it is.
    expect(words({ minute: 8, coolantC: 60, volts: 11.9, rpm: 900 })).toEqual([
      'look: 11.9 V: charging is judged from 1400 rpm on',
    ]);
    expect(words({ minute: 15, volts: 13.1, rpm: 1500 })).toEqual(['look: 13.1 V at 1500 rpm']);
  });
  it('stand in the order of their minutes, whoever wrote first', () => {
    expect(
      warmUpReadings([
        { minute: 9, coolantC: 60 },
        { minute: 2, coolantC: 25 },
      ]).map((r) => r.minute),
    ).toEqual([2, 9]);
  });
  it('are told in a sentence', () => {
    expect(warmUpSummary([])).toBe('Nothing read yet.');
    expect(
      warmUpSummary(
        warmUpReadings([
          { minute: 0, coolantC: 20, oilBar: 4 },
          { minute: 14, coolantC: 109, oilBar: 2.4 },
        ]),
      ),
    ).toBe('14 min, coolant 20 °C to 109 °C, oil 2.4 bar to 4 bar; 1 reading says stop.');
  });
});
