import { calculators } from '@bay/core/calc';
import type { Found } from './finder-job.ts';

export const sums: readonly Found[] = calculators.map((c) => ({
  kind: 'sum',
  title: c.title,
  detail: '',
  to: `/sums?sum=${c.name}`,
}));
