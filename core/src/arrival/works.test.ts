import { describe, expect, it } from 'vitest';
import { worksLines, worksOpen } from './works.ts';

/** What nobody tried is not what works. */
describe('what works', () => {
  it('what nobody tried is said to be that, on either day', () => {
    const lines = worksLines({ horn: { what: 'Horn', state: 'works' } });
    expect(lines.find((l) => l.id === 'horn')).toMatchObject({ came: 'works', goes: 'not-tried' });
    expect(lines.find((l) => l.id === 'wipers')).toMatchObject({ came: 'not-tried' });
  });
  it('what worked is shown to work again; what did not is no debt', () => {
    expect(
      worksOpen({
        horn: { what: 'Horn', state: 'works' },
        wipers: { what: 'Wipers', state: 'works', again: { state: 'does-not' } },
        heater: { what: 'Heater', state: 'does-not' },
        radio: { what: 'Radio', state: 'works', again: { state: 'works' } },
      }),
    ).toEqual([
      'worked when it came, not tried again, Horn',
      'worked when it came, does not now, Wipers',
    ]);
  });
});
