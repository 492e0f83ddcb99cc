import type { CapabilityContent } from '../rules/content.ts';
import { foreseenDefs } from './quote/data/foreseen.ts';

export const moneyContent: CapabilityContent = { capability: 'money', definitions: foreseenDefs };
