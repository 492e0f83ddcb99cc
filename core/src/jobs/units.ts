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
] as const;
export type UnitRole = (typeof unitRoles)[number];

export const kindOfRole: Readonly<Record<UnitRole, UnitKind>> = {
  car: 'car',
  donor: 'car',
  engine: 'engine',
  'own-engine': 'engine',
  candidate: 'engine',
  gearbox: 'gearbox',
  'own-gearbox': 'gearbox',
  computer: 'computer',
  loom: 'loom',
};

/** Roles of units that stay in the finished car; what is measured and tightened on others is not this job's. */
export const stayingRoles: ReadonlySet<UnitRole> = new Set(['car', 'engine', 'gearbox', 'computer', 'loom']);
