import { IconClipboardText } from '@tabler/icons-react';
import type { BenchView } from '../ui/index.ts';

export const jobsViews: readonly BenchView[] = [
  { id: 'scope', name: 'Scope', place: 'station', icon: IconClipboardText, load: () => import('./ScopeBench.tsx') },
];
