import { counted } from '@bay/core/units';
import { gatesOfStation } from '@bay/core/commissioning';
import type { GateName } from '@bay/core/commissioning';
import type { StationId } from '@bay/core/jobs';
import type { Plan } from '@bay/core/plan';
import type { Tx } from '../db/connection.ts';
import { Refusal } from '../http/problem.ts';
import { planNow } from '../plan/material.ts';

/** Lines that stand before these gates. */
export function standBefore(plan: Plan, gates: readonly GateName[]): string[] {
  return plan.gates
    .filter((g) => (gates as readonly string[]).includes(g.gate))
    .flatMap((g) => g.lines.filter((l) => l.state !== 'proved' && l.state !== 'overridden'))
    .map((l) => l.def.mustBe);
}

/** '3 lines stand before "First crank": …; … and more.' */
export const standWords = (against: readonly string[], gates: readonly GateName[]): string =>
  `${counted(against.length, 'line stands', 'lines stand')} before ${gates.map((g) => `"${g}"`).join(' and ')}: ${against.slice(0, 2).join('; ')}${against.length > 2 ? ' and more' : ''}.`;

/**
 * Nobody signs a station whose gates are shut without a word: the reason stays in the logbook. A job is not handed over past its
 * gates at all; there the manager overrides line by line. Gives what the logbook adds.
 */
export async function signedDespite(
  tx: Tx,
  jobId: string,
  station: StationId,
  despite: string | undefined,
): Promise<string> {
  const gates = gatesOfStation[station];
  if (gates.length === 0) return '';
  const against = standBefore((await planNow(tx, jobId)).plan, gates);
  if (against.length === 0) return '';
  const words = standWords(against, gates);
  if (station === 'hand-over') throw new Refusal(409, words);
  if (despite === undefined)
    throw new Refusal(409, `${words} If the station is signed all the same, write why.`, {
      fields: { despite: 'Say in a sentence why it is signed all the same.' },
    });
  return `, with ${counted(against.length, 'line')} of a gate open: ${despite}`;
}
