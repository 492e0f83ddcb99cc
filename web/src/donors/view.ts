import { IconRecycle } from '@tabler/icons-react';
import type { BenchView } from '../ui/index.ts';

export const donorsViews: readonly BenchView[] = [
  { id: 'donor', name: 'Donor', place: 'station', icon: IconRecycle, load: () => import('./DonorBench.tsx') },
];
