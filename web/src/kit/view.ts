import { IconPackage } from '@tabler/icons-react';
import type { BenchView } from '../ui/index.ts';

export const kitViews: readonly BenchView[] = [
  { id: 'kit', name: 'Kit', place: 'beside', icon: IconPackage, load: () => import('./KitBench.tsx') },
];
