import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { createContext, useContext, useMemo } from 'react';
import { planInputOf, recordsOf } from '@bay/core/jobs';
import { computePlan } from '@bay/core/plan';
import type { Plan } from '@bay/core/plan';
import { changeJob, readJob } from '@bay/contract/jobs';
import type { JobSheet } from '@bay/contract/jobs';
import { putRecord } from '@bay/contract/records';
import type { RecordKind, RecordRow } from '@bay/contract/records';
import { call, newId, Refused } from '../api/index.ts';
import { useMe } from '../crew/index.ts';

export const useSheet = (jobId: string) => useQuery({ queryKey: ['job', jobId], queryFn: () => call(readJob, { params: { jobId } }) });

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

/** The plan of a sheet, computed again only when the sheet changed. */
export function usePlanOf(sheet: JobSheet | undefined): Plan | undefined {
  return useMemo(() => (sheet ? computePlan(planInputOf({ jobId: sheet.job.id, ...sheet })) : undefined), [sheet]);
}

export const useRights = (): { mayWrite: boolean; isManager: boolean } => {
  const role = useMe().data?.person?.role;
  return { mayWrite: role === 'manager' || role === 'technician', isManager: role === 'manager' };
};

export function useRecords<T>(kind: RecordKind): Record<string, T> {
  const { sheet } = useJob();
  return useMemo(() => recordsOf<T>(sheet, kind), [sheet, kind]);
}

export interface RecordWrite {
  kind: RecordKind;
  key: string;
  data: Record<string, unknown>;
  /** Taken when the form was opened; left out, the revision on screen counts. */
  revision?: number;
}

/** Writes a record. A stale write shows both versions; nothing typed is lost. */
export function usePut() {
  const { sheet, conflict } = useJob();
  const client = useQueryClient();
  const jobId = sheet.job.id;
  const keep = (row: RecordRow): void => {
    client.setQueryData<JobSheet>(
      ['job', jobId],
      (old) => old && { ...old, records: [...old.records.filter((r) => !(r.kind === row.kind && r.key === row.key)), row] },
    );
    void client.invalidateQueries({ queryKey: ['job', jobId] });
  };
  return useMutation({
    mutationFn: async (w: RecordWrite) => {
      const revision = w.revision ?? sheet.records.find((r) => r.kind === w.kind && r.key === w.key)?.revision ?? 0;
      try {
        return (await call(putRecord, { params: { jobId, kind: w.kind, key: w.key }, body: { commandId: newId(), data: w.data, revision } })).record;
      } catch (error) {
        if (error instanceof Refused && error.problem.status === 409 && 'current' in error.problem) {
          return new Promise<RecordRow>((done) =>
            conflict({ kind: w.kind, key: w.key, mine: w.data, theirs: error.problem.current as RecordRow | null, done }),
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
      wish?: string;
      faults?: string;
    }) => call(changeJob, { params: { jobId }, body: { commandId: newId(), revision: sheet.job.revision, ...change } }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['job', jobId] }),
  });
}
