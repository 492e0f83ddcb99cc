import { IconPuzzle } from '@tabler/icons-react';
import type { BenchView } from '../ui/index.ts';

export const fitViews: readonly BenchView[] = [
  { id: 'fit', name: 'Fit', place: 'station', icon: IconPuzzle, load: () => import('./FitBench.tsx') },
];
