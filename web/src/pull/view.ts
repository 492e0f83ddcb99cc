import { IconArrowBarUp } from '@tabler/icons-react';
import type { BenchView } from '../ui/index.ts';

export const pullViews: readonly BenchView[] = [
  { id: 'pull', name: 'Pull', place: 'station', icon: IconArrowBarUp, load: () => import('./PullBench.tsx') },
];
