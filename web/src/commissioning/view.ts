import { IconKey } from '@tabler/icons-react';
import type { BenchView } from '../ui/index.ts';

export const commissioningViews: readonly BenchView[] = [
  { id: 'start', name: 'Start', place: 'station', icon: IconKey, load: () => import('./StartBench.tsx') },
];
