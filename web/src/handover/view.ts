import { IconArrowsExchange, IconChecklist } from '@tabler/icons-react';
import type { BenchView } from '../ui/index.ts';

export const handoverViews: readonly BenchView[] = [
  {
    id: 'hand-over',
    name: 'Hand over',
    place: 'station',
    icon: IconChecklist,
    load: () => import('./HandOverBench.tsx'),
  },
  {
    id: 'takeover',
    name: 'Takeover',
    place: 'apart',
    icon: IconArrowsExchange,
    load: () => import('./TakeoverBench.tsx'),
  },
];
