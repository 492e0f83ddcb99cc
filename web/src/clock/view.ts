import { IconClockHour4 } from '@tabler/icons-react';
import type { BenchView } from '../ui/index.ts';

export const clockViews: readonly BenchView[] = [
  { id: 'hours', name: 'Hours', place: 'beside', icon: IconClockHour4, load: () => import('./HoursBench.tsx') },
];
