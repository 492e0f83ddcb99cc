import type { CapabilityContent } from '../rules/content.ts';
import { factors } from './data/factors.ts';
import { tasks } from './data/tasks.ts';
import { waits } from './data/waits.ts';

export const clockContent: CapabilityContent = { capability: 'clock', definitions: [...tasks, ...waits, ...factors] };
