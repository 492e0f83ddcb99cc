import { IconPlugConnected } from '@tabler/icons-react';
import type { BenchView } from '../ui/index.ts';

export const systemsViews: readonly BenchView[] = [
  {
    id: 'connect',
    name: 'Connect',
    place: 'station',
    icon: IconPlugConnected,
    load: () => import('./ConnectBench.tsx'),
  },
];
