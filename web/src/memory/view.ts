import { IconPlaylistAdd } from '@tabler/icons-react';
import type { BenchView } from '../ui/index.ts';

export const memoryViews: readonly BenchView[] = [
  { id: 'own', name: 'Own', place: 'beside', icon: IconPlaylistAdd, load: () => import('./OwnBench.tsx') },
];
