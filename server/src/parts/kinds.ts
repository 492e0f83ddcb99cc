import { randomUUID } from 'node:crypto';
import type { Tx } from '../db/connection.ts';
import { Refusal } from '../http/problem.ts';
import { kindRule } from '../records/kind.ts';

/** The key of a thing is its id in the whole shop, where a device gave it one. */
const idOf = (key: string): string => (/^[0-9a-f]{8}-([0-9a-f]{4}-){3}[0-9a-f]{12}$/.test(key) ? key : randomUUID());

export const partsKinds = [
  kindRule({
    kind: 'part',
    logKind: 'part',
    station: 'donor',
    home: {
      table: 'part',
      columns: {
        takeId: 'take_id',
        title: 'title',
        condition: 'condition',
        label: 'label',
        place: 'place',
        note: 'note',
      },
      id: idOf,
    },
    describe: (data, { before }) => {
      if (before && before.place !== data.place)
        return `moved: ${data.title}, ${before.place || 'no place'} to ${data.place}`;
      return `harvested: ${data.title}, ${data.condition}${data.label ? `, label ${data.label}` : ''}${data.place ? `, ${data.place}` : ''}`;
    },
    about: (data) => data.takeId,
    complete: async (tx, data, { key, jobId }) => {
      await refuseElsewhere(tx, 'part', key, jobId);
      return data;
    },
  }),
  kindRule({
    kind: 'bag',
    logKind: 'bag',
    home: { table: 'bag', columns: { what: 'what', label: 'label', place: 'place' }, acts: { back: 'back' }, id: idOf },
    describe: (data, { before }) => {
      if (data.back && !before?.back) return `bag ${data.label} went back on: ${data.what}`;
      if (before && before.place !== data.place) return `bag ${data.label} moved to ${data.place ?? 'no place'}`;
      return `bagged ${data.what}, bag ${data.label}${data.place ? `, ${data.place}` : ''}`;
    },
    complete: async (tx, data, { key, jobId }) => {
      await refuseElsewhere(tx, 'bag', key, jobId);
      return data;
    },
  }),
];

/** One thing is in the record of one job. */
async function refuseElsewhere(tx: Tx, table: 'part' | 'bag', key: string, jobId: string): Promise<void> {
  if (idOf(key) !== key) return;
  const other = await tx
    .selectFrom(table)
    .select('id')
    .where('id', '=', key)
    .where('job_id', '<>', jobId)
    .executeTakeFirst();
  if (other) throw new Refusal(409, `This ${table} is in the record of another job.`);
}
