import { describe, expect, it } from 'vitest';
import { labelledThings } from './index.ts';

describe('what bears a label', () => {
  it('parts that are here, bags that are full, and both halves of each link', () => {
    const part = {
      takeId: 'take-ecu',
      title: 'Unit',
      condition: 'good' as const,
      label: 'P-2',
      place: 'C2',
    };
    const all = labelledThings({
      jobId: 'j',
      parts: {
        a: part,
        b: { ...part, label: 'P-3', fate: 'sold' },
        c: { ...part, label: 'P-4', fate: 'left-off' },
      },
      bags: { d: { what: 'bolts', label: '031' }, e: { what: 'nuts', label: '032', back: {} } },
      links: {
        f: {
          what: 'plug',
          name: 'Injector 3',
          from: 'loom',
          to: 'injector 3',
          label: 'L3',
          fate: 'back',
          off: {},
        },
        g: { what: 'plug', name: 'Coil', label: 'L4', fate: 'back', off: {}, on: {} },
        h: { what: 'hose', name: 'no label', fate: 'back', off: {} },
      },
    });
    expect(all.map((l) => `${l.code} ${l.place}`)).toEqual([
      '031 ',
      'L3 loom',
      'L3 injector 3',
      'P-2 C2',
    ]);
    expect(all[0]!.path).toBe('/store?q=031');
    expect(all[3]!.path).toBe('/parts/a');
  });
});
