import type { Icon } from '@tabler/icons-react';

/** What a capability shows on a job: announced by its `view.ts`, so that the job page knows none by name. */
export interface BenchView {
  /** Its part of the address: `/jobs/…/fit`. */
  id: string;
  name: string;
  /** A station of the line, a view beside the stations, or one that has the page to itself. */
  place: 'station' | 'beside' | 'apart';
  icon: Icon;
  load: () => Promise<{ default: React.ComponentType }>;
}
