import { voidedSince } from '../rules/stamp.ts';
import type { Stamp } from '../rules/stamp.ts';
import type { JointRecord, TorqueRecord } from './records.ts';

const sameJoint = (t: TorqueRecord, { name, on }: JointRecord): boolean =>
  t.on === on && t.joint.toLowerCase() === name.toLowerCase();

/** Torques as they stand once the engine has come out again: those of joints that come undone with it are void from then on. */
export function torquesSinceOut(
  torques: Readonly<Record<string, TorqueRecord>>,
  joints: readonly JointRecord[],
  out: (Stamp & { why: string }) | undefined,
): Readonly<Record<string, TorqueRecord>> {
  const undone = joints.filter((j) => j.undoneByLift);
  if (out === undefined || undone.length === 0) return torques;
  return Object.fromEntries(
    Object.entries(torques).map(([key, t]) => [key, undone.some((j) => sameJoint(t, j)) ? voidedSince(t, out) : t]),
  );
}
