import type { Role } from './crew.ts';

/** What only some roles may, beside reading and writing. The table in docs/rights.md says it in words; a test walks every endpoint. */
export const rights = {
  'see-money': ['manager'],
  'sign-gates': ['manager', 'technician'],
  override: ['manager'],
  'correct-others': ['manager'],
  'manage-people': ['manager'],
  'share-with-customer': ['manager'],
} as const satisfies Record<string, readonly Role[]>;
export type Right = keyof typeof rights;

export const may = (role: Role | undefined, right: Right): boolean =>
  role !== undefined && (rights[right] as readonly Role[]).includes(role);
