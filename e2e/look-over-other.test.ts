import { lookOver } from './views.ts';

lookOver(1);
