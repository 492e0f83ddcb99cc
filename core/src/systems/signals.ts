import { ioSignals } from './data/signals.ts';
import type { IoSignal, SignalWant, Strategy } from './types.ts';

/** The column of the signal table for each way of controlling the engine (options of cho-control). */
const strategies: Readonly<Record<string, Strategy>> = {
  'recipient-unit-kept': 'recipientUnit',
  'donor-unit-trimmed-loom': 'donorUnit',
  'donor-unit-new-loom': 'donorUnit',
  standalone: 'standalone',
  'carburettor-distributor': 'carburettor',
  'mechanical-diesel': 'mechanicalDiesel',
};

export interface WantedSignal extends SignalWant {
  def: IoSignal;
}

/** The signals that an engine control chosen for the job hears and drives; undefined while nothing (or nothing known here) is chosen. */
export function signalsFor(control: string | undefined): readonly WantedSignal[] | undefined {
  const strategy = control === undefined ? undefined : strategies[control];
  if (strategy === undefined) return undefined;
  return ioSignals.flatMap((def) => (def.by[strategy] ? [{ def, ...def.by[strategy] }] : []));
}

const wantWords = {
  needs: 'needs it',
  wants: 'wants it: limits, a code or a lamp without',
  dash: 'as the dash asks',
  elsewhere: 'not by the unit',
} as const;

/** What the control does with a signal, in words. */
export const signalWords = ({ want, note }: SignalWant): string => `${wantWords[want]}${note ? ` (${note})` : ''}`;
