import { ownIdFits } from '@bay/core/memory';
import type { OwnLine, OwnLineRecord } from '@bay/core/memory';
import { orderOf, ringOf, shortTitleOf } from '@bay/core/plan';
import type { Plan } from '@bay/core/plan';
import { stationName } from '@bay/core/jobs';
import type { Tx } from '../db/connection.ts';
import { badInput } from '../http/problem.ts';
import { planNow } from '../plan/material.ts';
import { kindRule } from '../records/kind.ts';
import type { WriteContext } from '../records/kind.ts';

/** An order that defeats itself is found before anybody works by it. */
function refuseRing(plan: Plan, id: string, line: OwnLine): void {
  const others = plan.ownLines.filter((l) => l.id !== id);
  const order = orderOf(
    [
      { steps: plan.pull, prefix: '' },
      { steps: plan.build, prefix: '' },
      { steps: plan.goingIn, prefix: '' },
      { steps: plan.harvestSteps, prefix: 'donor-' },
    ],
    others,
  );
  const ring = ringOf(id, line, order);
  if (!ring) return;
  const names = ring.map((key) => `"${key === id ? line.title : shortTitleOf(key)}"`);
  throw badInput({ 'data.after': `This order goes round in a ring: ${names.join(', then ')}.` });
}

async function standsInThePlan(
  tx: Tx,
  data: OwnLineRecord,
  { jobId, key }: WriteContext<'own-line'>,
): Promise<OwnLineRecord> {
  if (data.removed) return data;
  const { plan } = await planNow(tx, jobId);
  refuseRing(plan, key, data);
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
    },
    complete: standsInThePlan,
    describe: ({ sort, title, station, gate, removed }) =>
      `${removed ? 'taken back' : 'added'}, ${sort} of our own: ${title}${sort === 'check' ? `, before "${gate}"` : sort === 'step' ? `, at ${stationName(station)}` : ''}`,
    title: (data) => data.title,
  }),
];
