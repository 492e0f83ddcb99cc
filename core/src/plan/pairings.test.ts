import { describe, expect, it } from 'vitest';
import {
  byNearness,
  carKind,
  familyOf,
  learntFrom,
  nearness,
  provedOn,
  sizesIn,
  variantOf,
} from './pairings.ts';
import { bookFrom } from './testing.ts';
import type { Near, Pair } from './pairings.ts';
import type { Recorded } from '../records/index.ts';

const pair = (over: Partial<Pair> = {}): Pair => ({
  engineCode: 'WX20, variant T44, serial 871',
  engineName: '2.0 twin-cam four',
  engineYear: '2010',
  carName: '1982 Wendling camper',
  carYear: 1982,
  ...over,
});

describe('a pairing', () => {
  it('is told by family and variant, not by the serial number', () => {
    expect(familyOf('WX-20, variant T44, serial 871')).toBe('wx20');
    expect(variantOf('WX20, variant T44, serial 871')).toBe('variantt44');
    expect(carKind('1982 Wendling camper')).toBe(carKind('Wendling Camper'));
    expect(carKind('2.0 Wendling')).not.toBe(carKind('Wendling'));
  });

  it('the same car of another year, and another variant, are near and say what differs', () => {
    expect(nearness(pair(), pair())).toEqual({ near: 'engine-and-car', differs: [] });
    expect(nearness(pair(), pair({ carName: '1984 Wendling camper', carYear: 1984 }))).toEqual({
      near: 'engine-and-car',
      differs: ['car of 1984'],
    });
    expect(
      nearness(
        pair(),
        pair({ engineCode: 'WX20, variant T46', carName: '1977 Other', carYear: 1977 }),
      ),
    ).toEqual({
      near: 'engine',
      differs: ['variant WX20, variant T46', 'another car, 1977 Other'],
    });
  });

  it('what nobody wrote is not taken for the same', () => {
    expect(nearness(pair(), pair({ engineCode: 'WX20' }))!.differs).toEqual([
      'the exact variant of one of them is not written',
    ]);
    expect(nearness(pair(), pair({ carYear: undefined }))!.differs).toEqual([
      'the year of one of the cars is not written',
    ]);
    expect(
      nearness(
        pair({ engineCode: undefined, carName: 'A' }),
        pair({ engineCode: undefined, carName: 'B' }),
      ),
    ).toBe(undefined);
    expect(nearness(pair({ carName: '' }), pair({ engineCode: 'OTHER', carName: '' }))).toBe(
      undefined,
    );
  });

  it('the nearest stands first', () => {
    const near = (n: Near['near'], differs: number): Near => ({
      near: n,
      differs: Array(differs).fill('x') as string[],
    });
    const all = [
      near('car', 0),
      near('engine', 1),
      near('engine-and-car', 2),
      near('engine-and-car', 0),
    ];
    expect(all.sort(byNearness).map((n) => `${n.near} ${n.differs.length}`)).toEqual([
      'engine-and-car 0',
      'engine-and-car 2',
      'engine 1',
      'car 0',
    ]);
  });

  it('a way out carries what it was proved on', () => {
    expect(provedOn('notch', '0401', { near: 'engine', differs: ['car of 1984'] })).toBe(
      'notch (as on 0401, which had car of 1984)',
    );
  });

  it('teaches what was chosen, read, tried in vain, and found at its start', () => {
    const records = [
      { kind: 'fit', key: 'fit-hood', data: { resolution: { text: 'notch', kit: [], asked: [] } } },
      { kind: 'tried', key: 'a', data: { part: 'neck', how: 'too long', back: true } },
      { kind: 'tried', key: 'b', data: { part: 'hose', how: 'fits', fits: 'fits', back: false } },
      {
        kind: 'case',
        key: 'c',
        data: {
          symptom: 'no fire',
          touched: [],
          closed: { faultId: 'f-pump-relay', reason: 'relay dead' },
        },
      },
      { kind: 'case', key: 'd', data: { symptom: 'open still', touched: [] } },
    ] as unknown as Recorded[];
    const learnt = learntFrom(records);
    expect(learnt.ways).toMatchObject([{ interfaceId: 'fit-hood', text: 'notch' }]);
    expect(learnt.failed).toEqual([{ part: 'neck', how: 'too long' }]);
    expect(learnt.faults).toHaveLength(1);
  });

  it('sizes of another job are those that were measured or chosen, in the order in which they follow', () => {
    const facts = bookFrom({
      'gbx-length': '612 mm',
      'cho-engine-place': {
        'bell-face-ahead-of-firewall-x': '22 mm',
        'slope-tail-down': '3.4 deg',
      },
    });
    const guessed = new Map(facts).set('gbx-length', {
      ...facts.get('gbx-length')!,
      source: 'assumed' as const,
    });
    expect(sizesIn(facts).map((s) => [s.partKey, s.value, s.unit])).toEqual([
      ['bell-face-ahead-of-firewall-x', 22, 'mm'],
      ['slope-tail-down', 3.4, 'deg'],
      ['value', 612, 'mm'],
    ]);
    expect(sizesIn(guessed).map((s) => s.factId)).not.toContain('gbx-length');
  });
});
