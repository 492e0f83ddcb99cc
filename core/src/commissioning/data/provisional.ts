import type { ProvisionalKind, ProvisionalSource } from '../types.ts';

/** How something can be provisional, what ends it as a rule, and the first gate at which none may be open. */
export const provisionalKinds: readonly ProvisionalKind[] = [
  { id: 'offered-up', title: 'offered up', words: ['offered up', 'on trial', 'trial'], endsWith: 'fitted for good, or taken away again', forbiddenAt: 'First crank' },
  { id: 'loose', title: 'loose', words: ['loose'], endsWith: 'torqued, with its record', forbiddenAt: 'First crank' },
  { id: 'tacked', title: 'tacked', words: ['tacked'], endsWith: 'welded out and looked at', forbiddenAt: 'First crank' },
  { id: 'old-bolts', title: 'old bolts', words: ['old bolts'], endsWith: 'new bolts in and torqued', forbiddenAt: 'First crank' },
  { id: 'masked', title: 'masked', words: ['masked'], endsWith: 'masking off, counted', forbiddenAt: 'First crank' },
  { id: 'battery-off', title: 'battery off', words: ['battery off'], endsWith: 'battery on, charged, load-tested', forbiddenAt: 'First crank' },
  { id: 'stand-in', title: 'stand-in', words: ['stand-in', 'dummy'], endsWith: 'the real unit in, with every alteration copied', forbiddenAt: 'First crank' },
  { id: 'on-stand-in', title: 'cut or drilled on the stand-in', words: ['on the stand-in'], endsWith: 'done on the real unit too, before paint', forbiddenAt: 'Engine in' },
  { id: 'capped', title: 'capped', words: ['capped', 'plugged'], endsWith: 'caps out counted against caps in', forbiddenAt: 'First start' },
  { id: 'looped', title: 'looped', words: ['looped'], endsWith: 'loop off, circuit joined and filled', forbiddenAt: 'First start' },
  { id: 'open-exhaust', title: 'open exhaust', words: ['open exhaust'], endsWith: 'exhaust complete and tight', forbiddenAt: 'First drive' },
  { id: 'borrowed', title: 'borrowed', words: ['borrowed'], endsWith: 'given back, its own part fitted', forbiddenAt: 'Hand over' },
  { id: 'other', title: 'provisional', words: ['provisional'], endsWith: 'made final', forbiddenAt: 'First crank' },
];

/** Steps that leave something provisional behind, and the step or gate line that ends it. */
export const provisionalSources: readonly ProvisionalSource[] = [
  { id: 'prov-battery', kind: 'battery-off', title: 'Battery disconnected', step: 'rm-battery-off', opens: 'done', endedBy: 'gate-fc-battery' },
  { id: 'prov-caps', kind: 'capped', title: 'Caps and plugs on every open port', step: 'rm-cap-ports', opens: 'done', endedBy: 'gate-fs-ports' },
  { id: 'prov-steering-loop', kind: 'looped', title: 'Steering circuit looped', step: 'rm-ps-loop', opens: 'done', endedBy: 'gate-fc-fluids' },
  { id: 'prov-exhaust', kind: 'open-exhaust', title: 'Exhaust off in front', step: 'rm-exhaust-front', opens: 'done', endedBy: 'gate-fd-fumes' },
  { id: 'prov-subframe', kind: 'loose', title: 'Subframe and steering joint parted', step: 'rm-subframe-loose', opens: 'done', endedBy: 'gate-fd-steering', forbiddenAt: 'First drive' },
  { id: 'prov-bay-masked', kind: 'masked', title: 'Bay masked for paint', step: 'rm-bay-paint', opens: 'on-it', endedBy: 'rm-bay-paint' },
  { id: 'prov-belt', kind: 'loose', title: 'Belt tensioner nipped only', step: 'bld-belt', opens: 'done', endedBy: 'bld-two-turns' },
  { id: 'prov-front-cover', kind: 'loose', title: 'Front cover bolts loose on purpose', step: 'bld-front-cover', opens: 'done', endedBy: 'bld-front-torque' },
  { id: 'prov-trial', kind: 'offered-up', title: 'Manifolds, turbo, pipes on trial', step: 'bld-trial', opens: 'on-it', endedBy: 'bld-trial' },
  { id: 'prov-shield', kind: 'capped', title: 'Openings plugged against dust of cutting', step: 'bld-shield', opens: 'done', endedBy: 'bld-ports' },
  { id: 'prov-engine-masked', kind: 'masked', title: 'Engine masked for paint', step: 'bld-paint', opens: 'on-it', endedBy: 'bld-paint' },
];
