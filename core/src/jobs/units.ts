/** A unit has an identity of its own; it serves a job in a role. */
export const unitKinds = ['car', 'engine', 'gearbox', 'computer', 'loom'] as const;
export type UnitKind = (typeof unitKinds)[number];

export const unitRoles = [
  'car',
  'engine',
  'gearbox',
  'computer',
  'loom',
  'own-engine',
  'own-gearbox',
  'donor',
  'candidate',
  'candidate-gearbox',
  'spare-gearbox',
  'stand-in',
  'stand-in-gearbox',
] as const;
export type UnitRole = (typeof unitRoles)[number];

export const kindOfRole: Readonly<Record<UnitRole, UnitKind>> = {
  car: 'car',
  donor: 'car',
  engine: 'engine',
  'own-engine': 'engine',
  candidate: 'engine',
  'candidate-gearbox': 'gearbox',
  'spare-gearbox': 'gearbox',
  'stand-in': 'engine',
  'stand-in-gearbox': 'gearbox',
  gearbox: 'gearbox',
  'own-gearbox': 'gearbox',
  computer: 'computer',
  loom: 'loom',
};

/** Roles of units that stay in the finished car; what is measured and tightened on others is not this job's. */
export const stayingRoles: ReadonlySet<UnitRole> = new Set(['car', 'engine', 'gearbox', 'computer', 'loom']);

/** Roles in which several serve one job at a time: those among which one is chosen. */
export const severalRoles: ReadonlySet<UnitRole> = new Set(['candidate', 'candidate-gearbox', 'spare-gearbox']);

export const roleWords: Readonly<Record<UnitRole, string>> = {
  car: 'Car',
  donor: 'Donor car',
  engine: 'Engine',
  gearbox: 'Gearbox',
  computer: 'Engine unit',
  loom: 'Loom',
  'own-engine': "The car's own engine",
  'own-gearbox': "The car's own gearbox",
  candidate: 'Engine to choose from',
  'candidate-gearbox': 'Gearbox to choose from',
  'spare-gearbox': 'Another gearbox',
  'stand-in': 'Stand-in engine',
  'stand-in-gearbox': 'Stand-in gearbox',
};
