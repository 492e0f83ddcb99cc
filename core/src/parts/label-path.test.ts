import { describe, expect, it } from 'vitest';
import { labelledThings } from './label-list.ts';
import { labelPathOf } from './label-path.ts';

const jobId = '5b1c9b5e-1111-4b5f-8e41-5a2b8b1c7d33';
const partKey = '6b1c9b5e-2222-4b5f-8e41-5a2b8b1c7d33';

describe('the code of a label', () => {
  it('every label that is printed opens what it stands on, at whatever address it was printed', () => {
    const things = labelledThings({
      jobId,
      parts: {
        [partKey]: { takeId: '', title: 'Loom', condition: 'good', label: 'C-1', place: 'C2' },
      },
      bags: { b: { what: 'bell bolts, upper & lower', label: '' } },
      links: {
        l: { what: 'plug', name: 'Coil', label: 'L1', fate: 'back', from: 'loom', off: {} },
      },
    });
    expect(things).toHaveLength(4);
    for (const { path } of things)
      for (const at of ['http://192.0.2.7:4180', 'https://bay.example', ''])
        expect(labelPathOf(`${at}${path}\r\n`)).toBe(path);
  });
  it('opens nothing that is no label of this program', () => {
    for (const code of [
      'https://bay.example/crew',
      'https://bay.example/parts/1',
      `https://bay.example/jobs/${jobId}/start`,
      '4006381333931',
      'javascript:alert(1)',
      `//evil.example/parts/${partKey}/../x`,
      '',
    ])
      expect(labelPathOf(code)).toBeUndefined();
  });
});
