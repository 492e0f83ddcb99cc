import type { CapabilityContent } from '../rules/content.ts';
import { returnDefs } from './data/returns.ts';

export const partsContent: CapabilityContent = { capability: 'parts', definitions: returnDefs };
