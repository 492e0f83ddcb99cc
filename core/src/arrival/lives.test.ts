import { describe, expect, it } from 'vitest';
import { nearItsEnd } from './lives.ts';

describe('parts near the end of their usual life (common practice, no source)', () => {
  it('names the head gasket by about 160,000 miles', () => {
    expect(nearItsEnd(160_000 * 1.609344, 'engine')).toContain('head gasket');
    expect(nearItsEnd(100_000, 'engine')).not.toContain('head gasket');
  });
  it('keeps what goes with the engine apart from what stays in the car', () => {
    expect(nearItsEnd(130_000, 'car')).toEqual([
      'dampers',
      'brake hoses',
      'rubber joints of the suspension',
    ]);
    expect(nearItsEnd(130_000, 'engine')).not.toContain('dampers');
    expect(nearItsEnd(10_000, 'engine')).toEqual([]);
  });
});
