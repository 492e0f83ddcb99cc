import { IconReceipt2 } from '@tabler/icons-react';
import type { BenchView } from '../ui/index.ts';

export const moneyViews: readonly BenchView[] = [
  { id: 'quote', name: 'Quote', place: 'beside', icon: IconReceipt2, load: () => import('./quote/QuoteBench.tsx') },
];
