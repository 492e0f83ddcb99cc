import { useMutation, useQueryClient } from '@tanstack/react-query';
import { bearerOf, factDef } from '@bay/core/facts';
import type { FactSource } from '@bay/core/facts';
import { putFact } from '@bay/contract/facts';
import type { FactRow } from '@bay/contract/facts';
import { call, newId } from '../api/index.ts';
import { useJob } from '../jobs/useJob.ts';

export type Bearer = 'job' | 'car' | 'engine' | 'gearbox' | 'own-engine' | 'own-gearbox' | 'donor';

/** The role whose unit carries a fact, when nothing else is asked for. */
export function usualBearer(factId: string): Bearer {
  const def = factDef(factId);
  return def.subject === 'donor' ? 'donor' : bearerOf(def.subject);
}

/** A fact of the open job, on the unit in one role. */
export function useFactRow(factId: string, bearer: Bearer): FactRow | undefined {
  const { sheet } = useJob();
  const bearerId = bearer === 'job' ? sheet.job.id : sheet.units.find((u) => u.role === bearer)?.id;
  return sheet.facts.find((f) => f.factId === factId && f.bearerId === bearerId);
}

export interface FactWrite {
  bearer: Bearer;
  factId: string;
  typed: Record<string, string>;
  source: FactSource;
  note?: string;
  revision: number;
}

export function usePutFact() {
  const { sheet } = useJob();
  const client = useQueryClient();
  const jobId = sheet.job.id;
  return useMutation({
    mutationFn: ({ bearer, factId, ...body }: FactWrite) => call(putFact, { params: { jobId, bearer, factId }, body: { commandId: newId(), ...body } }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['job', jobId] }),
  });
}
