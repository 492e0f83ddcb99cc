import { IconListDetails } from '@tabler/icons-react';
import type { BenchView } from '../ui/index.ts';

export const factsViews: readonly BenchView[] = [
  { id: 'facts', name: 'Facts', place: 'beside', icon: IconListDetails, load: () => import('./FactSheet.tsx') },
];
