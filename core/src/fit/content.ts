import type { CapabilityContent } from '../rules/content.ts';
import { clearances } from './data/clearances.ts';
import { interfaces } from './data/interfaces.ts';
import { fitRules } from './judge.ts';

export const fitContent: CapabilityContent = {
  capability: 'fit',
  definitions: [...interfaces, ...clearances],
  more: [fitRules.map((r) => r.id)],
};
