import { wantsPhoto, wantsSecond } from '@bay/core/commissioning';
import type { GateName } from '@bay/core/commissioning';
import { goodReadings } from '../core/src/commissioning/testing.ts';
import { planNow } from '../server/src/plan/material.ts';
import type { Tx } from '../server/src/db/connection.ts';
import type { Caller } from '../server/src/http/register.ts';
import { findRecord, writeRecord, writeSecond } from '../server/src/records/store.ts';

/** What the instruments showed, where the middle of the band would look made up. */
const read: Readonly<Record<string, Record<string, string>>> = {
  'gate-cu-pickup': { gap: '8 mm' },
  'gate-cu-turns': { least: '18 Nm', most: '22 Nm' },
  'gate-ei-clutch': { height: '41.5 mm' },
  'gate-ei-converter': { gap: '4.1 mm' },
  'gate-fc-oil-level': { oil: '5.8 L' },
  'gate-fc-earths': { engine: '0.05 V', body: '0.04 V', unit: '0.003 ohm' },
  'gate-fc-battery': { rest: '12.7 V', load: '10.4 V' },
  'gate-fs-oil-pressure': { pressure: '3.1 bar', rise: '22 s' },
  'gate-fs-leak': { rail: '3.9 bar', held: '3.8 bar' },
};

const reasons: Readonly<Record<string, string>> = {
  'gate-ei-verdicts': 'Trial fit went in free all round; the sheet of readings is filled in later',
};
const onPaper = 'Kept on paper before this job came into the book; gone through together at the car';

/** A gate as people pass it: its lines one after the other, minutes apart, what stands against a line overridden by the manager, and a second person where two are wanted. */
export async function passGate(
  tx: Tx,
  people: { by: Caller; manager: Caller; second: Caller },
  jobId: string,
  { gate, photoId }: { gate: GateName; photoId: string },
  from: Date,
): Promise<void> {
  const { plan } = await planNow(tx, jobId);
  const lines = plan.gates.find((g) => g.gate === gate)?.lines ?? [];
  const open = lines.filter((l) => l.state !== 'proved' && l.state !== 'overridden');
  for (const [i, { def, blockers }] of open.entries()) {
    const at = new Date(from.getTime() + i * 5 * 60_000);
    const where = { jobId, kind: 'gate' as const, key: def.id };
    const override = { reason: reasons[def.id] ?? onPaper };
    const data =
      blockers.length > 0
        ? { text: '', override }
        : {
            text: 'looked at, agrees',
            readings: read[def.id] ?? goodReadings(def, plan.facts),
            ...(wantsPhoto(def) ? { photos: [photoId] } : {}),
          };
    await writeRecord(tx, blockers.length > 0 ? people.manager : people.by, { ...where, data, revision: 0, at });
    if (!wantsSecond(def, (await findRecord(tx, jobId, 'gate', def.id))!.data)) continue;
    const { personId, name } = people.second;
    await writeSecond(tx, people.second, { personId, name }, { ...where, revision: 1, at });
  }
}
