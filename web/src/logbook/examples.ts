import type { StationId } from '@bay/core/jobs';

/** Lines that people write at each station, to begin one from. */
export const examplesOf: Readonly<Record<StationId, readonly string[]>> = {
  scope: ['engine mass 128 kg', 'decided: … over …, because …', '@MH may the hatch edge be cut?'],
  donor: ['moved C-104 to shelf D1', 'found: tank rusted inside', 'bagged 6 bell bolts M10 x 60, bag 031, shelf C2'],
  pull: ['drained 4.5 l engine oil', 'bagged 6 bell bolts M10 x 60, bag 031, shelf C2', 'done: …'],
  prep: ['bore 3 86.02', 'torque main caps 3 30 Nm + 90 deg', 'found: journal 4 scored, follows: regrind'],
  fit: [
    'loose: left mount, 2 bolts',
    'tried: 38 mm hose on the neck, too tight, sent back',
    'held: coolant neck, Thursday',
  ],
  connect: ['received tach divider, label K-118', 'tested: …', 'capped: return line at the rail'],
  start: ['attempt: cranks no fire, 8 s, 11.2 V', 'filled 6 l coolant', 'found: …'],
  'hand-over': ['final: …', 'released: …', 'approval: machine shop, 2 days'],
};
