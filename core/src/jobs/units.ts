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
] as const;
export type UnitRole = (typeof unitRoles)[number];

export const kindOfRole: Readonly<Record<UnitRole, UnitKind>> = {
  car: 'car',
  donor: 'car',
  engine: 'engine',
  'own-engine': 'engine',
  candidate: 'engine',
  'candidate-gearbox': 'gearbox',
  gearbox: 'gearbox',
  'own-gearbox': 'gearbox',
  computer: 'computer',
  loom: 'loom',
};

/** Roles of units that stay in the finished car; what is measured and tightened on others is not this job's. */
export const stayingRoles: ReadonlySet<UnitRole> = new Set(['car', 'engine', 'gearbox', 'computer', 'loom']);

/** Roles in which several serve one job at a time: those among which one is chosen. */
export const severalRoles: ReadonlySet<UnitRole> = new Set(['candidate', 'candidate-gearbox']);
