import { describe, expect, it } from 'vitest';
import { kitFilledBy, kitOfDonors } from './index.ts';

describe('what a part of a donor can fill', () => {
  it('is told by the line it came from; what is on no list fills nothing', () => {
    expect(kitFilledBy('take-starter')).toEqual(['kit-starter']);
    for (const word of ['constructor', '__proto__', 'toString', 'seat, left'])
      expect(kitFilledBy(word)).toEqual([]);
    expect(new Set(kitOfDonors).size).toBe(kitOfDonors.length);
  });
});
