import { returnDefs } from './returns.ts';

/** What comes off at a step goes back at another: its bolts are wanted there. Common practice, no source. */
export const refits: readonly (readonly [off: string, on: string])[] = [
  ...returnDefs.map((r) => [r.after, r.id] as const),
  ['rm-mounts-free', 'ein-mounts-in'],
  ['rm-crossmember', 'ein-tail-mount'],
  ['rm-bell-bolts', 'ein-join'],
  ['rm-bell-bolts', 'ein-joined-in'],
  ['rm-flywheel-off', 'bld-clutch'],
  ['rm-hub-nuts', 'ein-suspension-on'],
  ['rm-subframe-loose', 'ein-suspension-on'],
  ['rm-propshaft-off', 'ein-under'],
  ['rm-exhaust-front', 'ein-under'],
  ['rm-starter-off', 'ein-under'],
  ['rm-straps', 'ein-under'],
  ['rm-cooler-speedo', 'ein-under'],
  ['rm-shift-off', 'ein-under'],
];
