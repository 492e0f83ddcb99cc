import { when } from '../../facts/index.ts';
import type { FactorDef } from '../types.ts';

/** Common causes: each touches many tasks at once, and they move together by it. Estimates, common practice, no source. */
export const factors: readonly FactorDef[] = [
  {
    id: 'factor-first-pair', title: 'Nobody here has joined this engine, gearbox and body', by: [1.5, 3], touches: ['fit', 'connect'], when: when('cho-pairing = first-here'),
  },
  {
    id: 'factor-repeat', title: 'The same pair was done here before', by: [0.6, 0.8], touches: 'all', when: when('cho-pairing = done-here'),
  },
  {
    id: 'factor-rust', title: 'Rust, salt country, seized hardware', by: [1.3, 2], touches: ['removal', 'exhaust', 'chassis'], when: when('rec-rust = seized'),
  },
  {
    id: 'factor-show', title: 'Show finish: each bracket, wire and pipe cleaned and coated', by: [1.5, 2.5], touches: ['prep', 'connect'], when: when('cho-finish = show'),
  },
  {
    id: 'factor-floor', title: 'No lift, work on stands', by: [1.3, 1.6], touches: ['under-car'], when: when('cho-work-place = stands'),
  },
  {
    id: 'factor-tight', title: 'The engine fills the bay, access by feel', by: [1.2, 1.6], touches: ['fit', 'connect', 'service'], when: when('rec-bay-room = tight'),
  },
  {
    id: 'factor-new-device', title: 'Electronics new to the shop', by: [1.3, 2], touches: ['wiring', 'start'], when: when('cho-control-known = new-here'), learn: [2, 4, 6],
  },
];
