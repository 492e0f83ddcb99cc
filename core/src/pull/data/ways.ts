import type { WayChoice } from '../types.ts';

/** Steps of which one is done and the others are not. */
export const wayChoices: readonly WayChoice[] = [
  { id: 'way-fuel-release', title: 'How fuel pressure is let down', steps: ['rm-fuel-run-dry', 'rm-fuel-valve-bleed', 'rm-fuel-stand-cold'] },
  { id: 'way-steering-pump', title: 'Steering pump', steps: ['rm-ps-aside', 'rm-ps-open'] },
  { id: 'way-compressor', title: 'Compressor', steps: ['rm-ac-aside', 'rm-ac-off'] },
  { id: 'way-front', title: 'Front of the car', steps: ['rm-front-off', 'rm-front-cut'] },
  { id: 'way-exhaust', title: 'Exhaust', steps: ['rm-exhaust-front', 'rm-exhaust-cut'] },
  { id: 'way-load', title: 'What carries the load', steps: ['rm-hoist-on', 'rm-cradle-under'] },
];
