import { describe, expect, it } from 'vitest';
import { computePlan, partTimings, planInputOf, titleOf } from './index.ts';

const timing = (step: string, status: string, released = false): string | undefined => {
  const material = {
    jobId: 'j',
    units: [],
    facts: [],
    shopSchools: {},
    shopRules: [],
    records: [
      { kind: 'kit', key: 'kit-gauges', data: { status } },
      {
        kind: 'hold',
        key: 'h',
        data: {
          waitsFor: titleOf('kit-gauges'),
          about: step,
          ...(released ? { released: {} } : {}),
        },
      },
    ],
  } as never;
  return partTimings(material, computePlan(planInputOf(material))).get('kit-gauges');
};

describe('a part beside the step that waits for it', () => {
  it('is late where its step waits for it alone, and awaited where the step waits for more', () => {
    expect(timing('rm-identify', 'ordered')).toBe('late-for-step');
    expect(timing('rm-mounts-free', 'ordered')).toBe('awaited');
  });
  it('is too early where it is here and its step cannot begin', () => {
    expect(timing('rm-mounts-free', 'here', true)).toBe('too-early');
    expect(timing('rm-identify', 'here', true)).toBeUndefined();
    expect(timing('no-such-step', 'ordered')).toBeUndefined();
  });
});
