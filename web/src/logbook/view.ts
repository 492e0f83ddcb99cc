import { IconCamera } from '@tabler/icons-react';
import type { BenchView } from '../ui/index.ts';

export const logbookViews: readonly BenchView[] = [
  { id: 'photos', name: 'Photos', place: 'beside', icon: IconCamera, load: () => import('./PhotosBench.tsx') },
];
