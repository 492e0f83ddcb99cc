import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import type { z } from 'zod';
import { computePlan, planDifference, planInputOf } from '@bay/core/plan';
import { bearerOf, factDef, readFact } from '@bay/core/facts';
import type { FactSource } from '@bay/core/facts';
import { putFact } from '@bay/contract/facts';
import type { FactRow } from '@bay/contract/facts';
import type { JobSheet } from '@bay/contract/jobs';
import { command, keys, nowIso, useMe } from '../api/index.ts';
import { useJob } from '../sheet/index.ts';

type PutFactReply = z.output<(typeof putFact)['reply']>;

export type Bearer = 'job' | 'car' | 'engine' | 'gearbox' | 'own-engine' | 'own-gearbox' | 'donor';

/** The role whose unit carries a fact, when nothing else is asked for. */
export function usualBearer(factId: string): Bearer {
  const def = factDef(factId);
  return def.subject === 'donor' ? 'donor' : bearerOf(def.subject);
}

/** Tells whether the open job has the unit that a fact hangs on. */
export function useIsThere(): (factId: string) => boolean {
  const { sheet } = useJob();
  const roles = useMemo(() => new Set<string>(sheet.units.map((u) => u.role)), [sheet.units]);
  return useCallback(
    (factId) => {
      const bearer = usualBearer(factId);
      return bearer === 'job' || roles.has(bearer);
    },
    [roles],
  );
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
  certain?: boolean;
  revision: number;
}

export function usePutFact() {
  const { sheet } = useJob();
  const client = useQueryClient();
  const me = useMe().data?.person;
  const jobId = sheet.job.id;
  return useMutation({
    mutationFn: ({ bearer, factId, ...body }: FactWrite) => {
      const bearerId = bearer === 'job' ? jobId : sheet.units.find((u) => u.role === bearer)?.id;
      // Without a network the plan follows at once: it is computed from the sheet on the device.
      const offline = (): PutFactReply => {
        const entry = readFact(factId, body.typed);
        const fact: FactRow | null =
          entry.ok && bearerId
            ? {
                bearerId,
                factId,
                parts: entry.parts,
                typed: entry.typed,
                source: body.source,
                note: body.note ?? null,
                by: me?.name ?? '',
                at: nowIso(),
                revision: body.revision + 1,
              }
            : null;
        const before = client.getQueryData<JobSheet>(keys.job(jobId)) ?? sheet;
        const after = {
          ...before,
          facts: [
            ...before.facts.filter((f) => !(f.bearerId === bearerId && f.factId === factId)),
            ...(fact ? [fact] : []),
          ],
        };
        client.setQueryData<JobSheet>(keys.job(jobId), after);
        const planOf = (of: JobSheet) => computePlan(planInputOf({ jobId, ...of }));
        return { fact, difference: planDifference(planOf(before), planOf(after)) };
      };
      return command(
        putFact,
        { params: { jobId, bearer, factId }, body },
        { label: 'fact written', jobId, offline, restore: () => client.setQueryData(keys.job(jobId), sheet) },
      );
    },
    onSuccess: () => client.invalidateQueries({ queryKey: keys.job(jobId) }),
  });
}
