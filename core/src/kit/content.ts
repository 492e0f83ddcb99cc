import type { CapabilityContent } from '../rules/content.ts';
import { consumables } from './data/consumables.ts';
import { kitLines } from './data/lines.ts';

export const kitContent: CapabilityContent = { capability: 'kit', definitions: [...kitLines, ...consumables] };
