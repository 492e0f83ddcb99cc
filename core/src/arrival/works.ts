import type { WorksRecord } from './records.ts';

/** What is tried when a car comes, and again when it goes. Common practice, no source. */
export const usualWorks = [
  { id: 'lights', what: 'Lights, all round' },
  { id: 'indicators', what: 'Indicators and hazard lights' },
  { id: 'horn', what: 'Horn' },
  { id: 'wipers', what: 'Wipers and washers' },
  { id: 'heater', what: 'Heater and blower' },
  { id: 'air-conditioning', what: 'Air conditioning' },
  { id: 'windows', what: 'Windows and roof' },
  { id: 'locks', what: 'Locks and alarm' },
  { id: 'seats', what: 'Seats and belts' },
  { id: 'gauges', what: 'Gauges and warning lamps' },
  { id: 'radio', what: 'Radio' },
  { id: 'handbrake', what: 'Parking brake' },
] as const;

/** Nobody tried it, or tried it and wrote it down: that is not the same. */
export type WorksWord = WorksRecord['state'] | 'not-tried';

export interface WorksLine {
  id: string;
  what: string;
  came: WorksWord;
  goes: WorksWord;
}

/** Usual ones and own ones, each as it came and as it goes. */
export function worksLines(records: Readonly<Record<string, WorksRecord | undefined>>): WorksLine[] {
  const usual = usualWorks.map(({ id, what }) => ({ id, what: records[id]?.what ?? what }));
  const known = new Set<string>(usual.map((u) => u.id));
  const own = Object.entries(records).flatMap(([id, r]) => (r && !known.has(id) ? [{ id, what: r.what }] : []));
  return [...usual, ...own].map(({ id, what }) => ({
    id,
    what,
    came: records[id]?.state ?? 'not-tried',
    goes: records[id]?.again?.state ?? 'not-tried',
  }));
}

/** What worked when the car came and is not shown to work as it goes: a sentence each. */
export const worksOpen = (records: Readonly<Record<string, WorksRecord | undefined>>): string[] =>
  worksLines(records).flatMap(({ what, came, goes }) =>
    came !== 'works' || goes === 'works'
      ? []
      : [
          goes === 'not-tried'
            ? `worked when it came, not tried again, ${what}`
            : `worked when it came, does not now, ${what}`,
        ],
  );
