import { IconRulerMeasure } from '@tabler/icons-react';
import type { BenchView } from '../ui/index.ts';

export const prepViews: readonly BenchView[] = [
  { id: 'prep', name: 'Prep', place: 'station', icon: IconRulerMeasure, load: () => import('./PrepBench.tsx') },
];
