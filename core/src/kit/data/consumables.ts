/** What is used up at a step, with its grade. Common practice, no source: the maker of the joint and of the product goes first. */
export interface Consumable {
  id: string;
  what: string;
  grade: string;
  /** Ids of the steps that use it. */
  steps: readonly string[];
}

export const consumables: readonly Consumable[] = [
  { id: 'use-penetrant', what: 'Penetrating oil', grade: 'creeping, not a water displacer; hours before the spanner', steps: ['rm-penetrant', 'rm-exhaust-front'] },
  { id: 'use-labels', what: 'Labels and bags', grade: 'oil-proof film or tag with wire, two for each joint', steps: ['rm-connectors', 'rm-fusebox', 'rm-heater-hoses'] },
  { id: 'use-caps', what: 'Caps and plugs', grade: 'sized plastic, counted on and off; no rag in an opening', steps: ['rm-cap-ports', 'rm-slave-aside', 'rm-turbo-lines', 'rm-fuel-open'] },
  { id: 'use-absorbent', what: 'Absorbent and trays', grade: 'binder for oil and coolant, a closed can for fuel', steps: ['rm-coolant-drain', 'rm-oil-drain', 'rm-gearbox-drain', 'rm-fuel-open'] },
  { id: 'use-degreaser', what: 'Degreaser', grade: 'water-based where aluminium and paint stay; no brake cleaner near a hot arc', steps: ['rm-wash', 'bld-clean'] },
  { id: 'use-blades', what: 'Blades and discs', grade: 'cutting disc for steel, bi-metal blade for mixed metal, none of either near fuel', steps: ['rm-exhaust-cut', 'rm-front-cut', 'rm-bay-hot'] },
  { id: 'use-primer', what: 'Primer and enamel', grade: 'one shade, heat-proof at the engine, flash times kept', steps: ['rm-bay-paint', 'bld-paint'] },
  { id: 'use-assembly-oil', what: 'Assembly lube', grade: 'clinging grease at cams and shells that stand for weeks, engine oil where it turns within days', steps: ['bld-lube', 'bld-crank', 'bld-pistons'] },
  { id: 'use-threadlock', what: 'Threadlocker', grade: 'medium where it must come off by hand, high only where the maker says so; clean dry thread', steps: ['bld-threadlock', 'bld-studs', 'bld-clutch'] },
  { id: 'use-thread-sealant', what: 'Thread sealant', grade: 'for tapered or through threads into oil or coolant; not on sensors that earth through their thread', steps: ['bld-plugs-rear', 'bld-inserts'] },
  { id: 'use-sealant', what: 'Flange sealant', grade: 'silicone that stands oil at steps and corners, anaerobic between machined faces', steps: ['bld-sump', 'bld-seal-kind', 'bld-tube-seals', 'bld-front-cover'] },
  { id: 'use-seal-oil', what: 'Oil or grease for seal lips', grade: 'engine oil or rubber grease; a dry lip burns on the first turn', steps: ['bld-front-cover', 'bld-pickup'] },
  { id: 'use-spline-grease', what: 'Spline and fork grease', grade: 'high-melting, a smear: what is flung lands on the disc', steps: ['bld-slave'] },
  { id: 'use-antiseize', what: 'Anti-seize', grade: 'on exhaust studs; torques fall with it, so the maker\'s figure for a wet thread counts', steps: ['bld-trial'] },
  { id: 'use-paint-marker', what: 'Paint marker', grade: 'one colour for final torque and no other', steps: ['bld-witness', 'bld-angle', 'rm-hub-nuts'] },
  { id: 'use-converter-fluid', what: 'Gearbox fluid for the converter', grade: 'the grade of the gearbox card, a litre in before it goes on', steps: ['bld-converter'] },
  { id: 'use-filter-oil', what: 'Oil for the filter', grade: 'the grade that goes into the engine', steps: ['bld-filter'] },
];
