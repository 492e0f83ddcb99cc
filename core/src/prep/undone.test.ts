import { describe, expect, it } from 'vitest';
import { jointState, torquesSinceOut } from './index.ts';
import type { JointRecord, TorqueRecord } from './index.ts';

const joint = (name: string, undoneByLift?: true): JointRecord => ({
  name,
  on: 'engine',
  bolts: 1,
  ...(undoneByLift ? { undoneByLift } : {}),
});
const torque = (name: string, at: string): TorqueRecord => ({
  joint: name,
  on: 'engine',
  bolt: '1',
  stagesNm: [60],
  source: 'manual',
  at,
});
const out = { why: 'fan meets the pulley', at: '2026-03-02T10:00:00.000Z', by: 'Osk Tiller' };

describe('torques once the engine came out again', () => {
  const torques = {
    a: torque('Mount, left', '2026-03-01T10:00:00.000Z'),
    b: torque('mount, LEFT', '2026-03-03T10:00:00.000Z'),
    c: torque('Main caps', '2026-03-01T10:00:00.000Z'),
  };
  const joints = [joint('Mount, left', true), joint('Main caps')];
  it('are void on joints that come undone with it, whoever tightened them; not those that stay, nor what was tightened since', () => {
    const now = torquesSinceOut(torques, joints, out);
    expect(now['a']!.voided).toEqual({
      why: 'the engine came out again: fan meets the pulley',
      at: out.at,
      by: out.by,
    });
    expect(now['b']!.voided).toBeUndefined();
    expect(now['c']!.voided).toBeUndefined();
    expect(jointState([now['a']!], 1)).toEqual({
      done: false,
      said: '0 of 1 bolt, taken apart since',
    });
  });
  it('stand while it is in', () => {
    expect(torquesSinceOut(torques, joints, undefined)).toBe(torques);
  });
});
