/** How what comes off leaves its place, and how a unit goes out in small moves. Common practice, no source; the maker's manual goes first. */

export interface Leaving {
  /** Step of pulling or harvesting. */
  step: string;
  /** The way it goes once it is unbolted: ticked when it is out, not when its last bolt is. */
  way: string;
  /** What must not be bent, kinked or knocked on the way. */
  minded?: string;
}

export const leavings: readonly Leaving[] = [
  { step: 'rm-radiator-out', way: 'straight up, past the fan', minded: 'its fins and its two feet' },
  { step: 'rm-bonnet-off', way: 'up and forward, level, one at each side', minded: 'corners and the edge at the windscreen' },
  { step: 'rm-front-off', way: 'forward, both ends at once', minded: 'lamp mounts and airbag sensors' },
  { step: 'rm-intake-off', way: 'up, tilted off its studs', minded: 'plastic ports and the sensor in its side' },
  { step: 'rm-exhaust-front', way: 'down, then back over what crosses below', minded: 'flexible piece: more than 10° breaks it; sensor tips' },
  { step: 'rm-turbo-off', way: 'up, or down past the mount where the down pipe is off', minded: 'oil drain pipe and actuator rod' },
  { step: 'rm-starter-off', way: 'forward out of the bell, then down past the steering', minded: 'solenoid terminal' },
  { step: 'rm-propshaft-off', way: 'back, out of the gearbox tail, then down at the front', minded: 'joints are not left to hang at their end; the tube is not knocked' },
  { step: 'rm-driveshafts-off', way: 'outward through the upright, level', minded: 'boots and the seal it slides through; it is not pulled by its joint' },
  { step: 'rm-crossmember', way: 'down, one end first', minded: 'cables and lines that are clipped to it' },
  { step: 'rm-shift-off', way: 'down and back with its rod', minded: 'rod and its ball ends' },
  { step: 'rm-harness-split', way: 'forward through its grommet, plugs first, one by one', minded: 'no branch tighter than a hand is wide' },
  { step: 'rm-hv-pack-out', way: 'down on its table, or out at the rear, level', minded: 'its case: not pried, not tilted, not set on a corner' },
];

export interface ExitMove {
  move: string;
  /** What carries the load in it. */
  carries: string;
  /** Where it is tight. */
  tight?: string;
}

type Way = 'over-the-front' | 'through-the-front' | 'from-below';

/** From the first pull to the floor, by the way out. */
export const exitMoves: Readonly<Record<Way, readonly ExitMove[]>> = {
  'over-the-front': [
    { move: 'Slings just tight, mounts free', carries: 'mounts, slings by a little' },
    { move: 'Up 50 mm, stop, all round it once', carries: 'hook', tight: 'mount studs, forgotten straps and hoses' },
    { move: 'Tail down by the leveller until the bell clears the tunnel', carries: 'hook', tight: 'distributor or coil at the firewall, lever hole' },
    { move: 'Forward by hands, the hoist after it, until the bell is past the firewall', carries: 'hook', tight: 'steering column joint, brake booster' },
    { move: 'Up past rack and crossmember', carries: 'hook', tight: 'sump over rack, filter at the rail' },
    { move: 'Up and over the front panel', carries: 'hook', tight: 'sump drain over the panel, pads on painted edges' },
    { move: 'Back with the hoist, down at once, low', carries: 'hook, then cradle or stand' },
  ],
  'through-the-front': [
    { move: 'Slings just tight, mounts free', carries: 'mounts, slings by a little' },
    { move: 'Up until the studs are clear, no more', carries: 'hook', tight: 'mount studs' },
    { move: 'Forward level, sump over the rack', carries: 'hook', tight: 'sump over rack, pulley at the panel corners' },
    { move: 'Out between the rails', carries: 'hook', tight: 'alternator and manifold at the rails' },
    { move: 'Down at once, low', carries: 'hook, then cradle or stand' },
  ],
  'from-below': [
    { move: 'Table under it, its wheels locked, tied at two ends', carries: 'subframe, table by a little' },
    { move: 'Subframe bolts out crosswise, the last two together', carries: 'table' },
    { move: 'Body up 50 mm, stop, all round it once', carries: 'table, car on its lift', tight: 'steering joint, brake lines, shift cables' },
    { move: 'Body up in steps, somebody at each side', carries: 'table, car on its lift', tight: 'tunnel sides, firewall, strut towers' },
    { move: 'Table out when nothing is over it, in line', carries: 'table' },
  ],
};
