import { ownIdFits, ownLineMissing } from '@bay/core/memory';
import type { OwnLine, OwnLineRecord } from '@bay/core/memory';
import { orderOf, ringOf, shortTitleOf } from '@bay/core/plan';
import type { Plan } from '@bay/core/plan';
import { stationName } from '@bay/core/jobs';
import type { Tx } from '../db/connection.ts';
import { badInput } from '../http/problem.ts';
import { planNow } from '../plan/material.ts';
import { kindRule } from '../records/kind.ts';
import type { WriteContext } from '../records/kind.ts';

/** What a line of its sort must say is said. */
export function refuseIncomplete(line: OwnLine, field: (name: string) => string): void {
  const missing = Object.entries(ownLineMissing(line));
  if (missing.length > 0) throw badInput(Object.fromEntries(missing.map(([name, said]) => [field(name), said])));
}

/** An order that defeats itself is found before anybody works by it. */
export function refuseRing(plan: Plan, id: string, line: OwnLine, field: (name: string) => string): void {
  const others = plan.ownLines.filter((l) => l.id !== id);
  const order = orderOf(
    [
      { steps: plan.pull, prefix: '' },
      { steps: plan.build, prefix: '' },
      { steps: plan.harvestSteps, prefix: 'donor-' },
    ],
    others,
  );
  const ring = ringOf(id, line, order);
  if (!ring) return;
  const names = ring.map((key) => `"${key === id ? line.title : shortTitleOf(key)}"`);
  throw badInput({ [field('after')]: `This order goes round in a ring: ${names.join(', then ')}.` });
}

async function standsInThePlan(
  tx: Tx,
  data: OwnLineRecord,
  { jobId, key }: WriteContext<'own-line'>,
): Promise<OwnLineRecord> {
  if (data.removed) return data;
  const { plan } = await planNow(tx, jobId);
  refuseRing(plan, key, data, (name) => `data.${name}`);
  return data;
}

export const memoryKinds = [
  kindRule({
    kind: 'own-line',
    logKind: 'decision',
    check: (data, { key, before }) => {
      if (!ownIdFits(key, data.title))
        throw badInput({ 'data.title': 'A line keeps its title. Take it back and write another.' });
      if (before && before.sort !== data.sort) throw badInput({ 'data.sort': 'A line stays what it is.' });
      refuseIncomplete(data, (name) => `data.${name}`);
    },
    complete: standsInThePlan,
    describe: ({ sort, title, station, gate, removed }) =>
      `${removed ? 'taken back' : 'added'}, ${sort} of our own: ${title}${sort === 'check' ? `, before "${gate}"` : sort === 'step' ? `, at ${stationName(station)}` : ''}`,
    title: (data) => data.title,
  }),
];
