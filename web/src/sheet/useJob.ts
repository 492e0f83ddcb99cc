import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { createContext, useContext, useMemo, useState } from 'react';
import { planInputOf, Planner } from '@bay/core/plan';
import { recordsOf } from '@bay/core/records';
import type { Plan } from '@bay/core/plan';
import { changeJob, readJob } from '@bay/contract/jobs';
import type { JobSheet } from '@bay/contract/jobs';
import { kindSchema, putRecord } from '@bay/contract/records';
import type { RecordData, RecordKind, RecordRow } from '@bay/contract/records';
import { call, command, keys, nowIso, Refused, useMe } from '../api/index.ts';

export const useSheet = (jobId: string) =>
  useQuery({ queryKey: keys.job(jobId), queryFn: () => call(readJob, { params: { jobId } }) });

export interface JobContext {
  sheet: JobSheet;
  plan: Plan;
  /** Onlookers read; they do not write. */
  mayWrite: boolean;
  isManager: boolean;
  /** The two versions of a stale write, shown until somebody chooses. */
  conflict: (clash: Conflict) => void;
}

export interface Conflict {
  kind: RecordKind;
  key: string;
  mine: Record<string, unknown>;
  theirs: RecordRow | null;
  done: (row: RecordRow) => void;
}

export const JobCtx = createContext<JobContext | undefined>(undefined);

/** The open job: its sheet and the plan computed from it. */
export function useJob(): JobContext {
  const job = useContext(JobCtx);
  if (!job) throw new Error('useJob outside of a job page');
  return job;
}

/** The plan of a sheet: of what is computed, only what reads something that changed is computed again. */
export function usePlanOf(sheet: JobSheet | undefined): Plan | undefined {
  const [planner] = useState(() => new Planner());
  return useMemo(
    () => (sheet ? planner.plan(planInputOf({ jobId: sheet.job.id, ...sheet })) : undefined),
    [planner, sheet],
  );
}

export function useRecords<K extends RecordKind>(kind: K): Record<string, RecordData<K>> {
  const { sheet } = useJob();
  return useMemo(() => recordsOf(sheet, kind), [sheet, kind]);
}

export interface RecordWrite {
  kind: RecordKind;
  key: string;
  data: Record<string, unknown>;
  /** Taken when the form was opened; left out, the revision on screen counts. */
  revision?: number;
}

const kindNames: Partial<Record<RecordKind, string>> = {
  'quote-line': 'line of the quote',
  'proof-run': 'run',
  claim: 'what the seller says',
  shell: 'shell',
  task: 'step',
  kit: 'kit line',
  rig: 'slings',
  purchase: 'purchase',
  reservation: 'reservation',
  'donor-terms': 'terms of the donor',
  'donor-want': 'wanted of a donor',
  caught: 'caught fluid',
  snag: 'thing found otherwise',
  'lift-item': 'thing of the lift',
  'way-out': 'way out',
  'own-shape': 'drawn shape',
  'foreign-part': "part that is not the car's own",
  making: 'part that is made',
  'making-step': 'step of what is made',
  lift: 'lift of the engine',
  'donor-entry': 'entry of the account',
  'warm-up': 'warm-up reading',
  'as-it-came': 'mark on the car',
  works: 'what works',
  arrival: 'sheet of arrival',
  run: 'run',
  'own-line': 'line of our own',
  fit: 'verdict',
  gate: 'proof',
  sheet: 'readings',
  torque: 'torque',
  part: 'part',
  hold: 'hold',
  attempt: 'start attempt',
  observation: 'observation',
  'follow-up': 'follow-up',
};
const stepWords: Record<string, string> = {
  done: 'step done',
  'on-it': 'step started',
  open: 'step open again',
  waived: 'step not needed',
};
const labelOf = (w: RecordWrite): string =>
  w.kind === 'task' ? (stepWords[String(w.data['status'])] ?? 'step') : `${kindNames[w.kind] ?? w.kind} written`;

/** What harm hangs on is signed with a connection only: everybody must see it at once. */
const needsConnection = new Set<RecordKind>(['gate', 'signature']);

/** Writes a record. A stale write shows both versions; nothing typed is lost; without a network it waits on the device. */
export function usePut() {
  const { sheet, conflict } = useJob();
  const client = useQueryClient();
  const me = useMe().data?.person;
  const jobId = sheet.job.id;
  const keep = (row: RecordRow): void => {
    client.setQueryData<JobSheet>(
      keys.job(jobId),
      (old) =>
        old && { ...old, records: [...old.records.filter((r) => !(r.kind === row.kind && r.key === row.key)), row] },
    );
  };
  return useMutation({
    mutationFn: async (w: RecordWrite) => {
      const now = client.getQueryData<JobSheet>(keys.job(jobId)) ?? sheet;
      const before = now.records.find((r) => r.kind === w.kind && r.key === w.key);
      const revision = w.revision ?? before?.revision ?? 0;
      const { kind, key, data } = w;
      const by = me?.name ?? '';
      const at = nowIso();
      // What the server will sign is shown as signed by this person until it is.
      const signed = (act: unknown): unknown =>
        typeof act === 'object' && act !== null ? { by, byId: me?.id, at, ...act } : act;
      const shown = {
        ...data,
        ...Object.fromEntries(kindSchema(kind).acts.map((act) => [act, signed(data[act])])),
        by,
        byId: me?.id,
        at,
      };
      const offline = (): { record: RecordRow } => ({
        record: {
          kind,
          key,
          data: shown,
          revision: revision + 1,
          by,
          at,
          ...(before?.on ? { on: before.on } : {}),
        } as unknown as RecordRow,
      });
      try {
        const { record } = await command(
          putRecord,
          { params: { jobId, kind, key }, body: { data, revision } },
          {
            label: labelOf(w),
            jobId,
            offline: needsConnection.has(kind) ? undefined : offline,
            restore: () => client.setQueryData(keys.job(jobId), now),
          },
        );
        return record;
      } catch (error) {
        if (!(error instanceof Refused)) throw error;
        if (error.unanswered && needsConnection.has(kind))
          throw new Refused({
            ...error.problem,
            title: 'Signing needs a connection. Nothing was signed; what you typed is still here.',
          });
        if (error.problem.code === 'stale') {
          return new Promise<RecordRow>((done) =>
            conflict({ kind, key, mine: data, theirs: error.problem.current as RecordRow | null, done }),
          );
        }
        throw error;
      }
    },
    onSuccess: keep,
  });
}

export function useChangeJob() {
  const { sheet } = useJob();
  const client = useQueryClient();
  const jobId = sheet.job.id;
  return useMutation({
    mutationFn: (change: {
      bay?: string | null;
      promised?: string | null;
      station?: JobSheet['job']['station'];
      signStation?: JobSheet['job']['station'];
      despite?: string;
      wish?: string;
      faults?: string;
    }) =>
      command(
        changeJob,
        { params: { jobId }, body: { revision: sheet.job.revision, ...change } },
        { label: 'job changed', jobId },
      ),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.job(jobId) }),
  });
}
