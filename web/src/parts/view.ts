import { IconQrcode } from '@tabler/icons-react';
import type { BenchView } from '../ui/index.ts';

export const partsViews: readonly BenchView[] = [
  { id: 'labels', name: 'Labels', place: 'apart', icon: IconQrcode, load: () => import('./LabelsBench.tsx') },
];
