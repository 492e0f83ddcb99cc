import type { TaskRecord } from '../pull/records.ts';
import { provisionalKinds, provisionalSources } from './data/provisional.ts';
import { gateLines } from './data/gates.ts';
import { standingOf } from './proof.ts';
import type { GateProof, ProvisionalRecord } from './records.ts';
import type { GateName, ProvisionalKind, ProvisionalKindId } from './types.ts';

/** One thing that is not final: the most dangerous state a job can be handed on in. */
export interface ProvisionalItem {
  key: string;
  kind: ProvisionalKindId;
  title: string;
  /** Written by somebody, left by a step, or the unit in the bay itself. */
  from: 'person' | 'step' | 'lift';
  /** What ends it, in words. */
  endsWith: string;
  forbiddenAt: GateName;
  /** The step or gate line that ends it by itself. */
  endedBy?: string;
  by?: string | undefined;
  since?: string | undefined;
}

/** A kind by its id; what carries none is the general kind. */
export const provisionalKindOf = (id: ProvisionalKindId | undefined): ProvisionalKind =>
  provisionalKinds.find((k) => k.id === id) ?? provisionalKinds.find((k) => k.id === 'other')!;

/** Does a proof stand, with all the names it wants? */
const signed = (lineId: string, proof: GateProof): boolean => {
  const def = gateLines.find((l) => l.id === lineId);
  return def !== undefined && ['proved', 'overridden'].includes(standingOf(def, proof));
};

/** The register of what is open now: what people wrote down, and what steps left behind that nothing has ended yet. */
export function provisionalRegister(records: {
  provisional: Readonly<Record<string, ProvisionalRecord>>;
  tasks: Readonly<Record<string, TaskRecord | undefined>>;
  gates: Readonly<Record<string, GateProof | undefined>>;
  /** What is in the bay and not for good. */
  inBay?: readonly ProvisionalItem[];
}): ProvisionalItem[] {
  const written = Object.entries(records.provisional)
    .filter(([, r]) => !r.ended)
    .map(([key, r]): ProvisionalItem => {
      const kind = provisionalKindOf(r.kind);
      return {
        key,
        kind: kind.id,
        title: r.what,
        from: 'person',
        endsWith: r.ends || kind.endsWith,
        forbiddenAt: r.forbiddenAt ?? kind.forbiddenAt,
        by: r.by,
        since: r.at,
      };
    });
  const left = provisionalSources.flatMap((source): ProvisionalItem[] => {
    const task = records.tasks[source.step];
    if (task?.status !== source.opens) return [];
    const proof = records.gates[source.endedBy];
    const end = records.tasks[source.endedBy];
    // The end counts only when it came after: a belt put on again is nipped again.
    const ended =
      (proof !== undefined && signed(source.endedBy, proof) && (proof.at ?? '') >= (task.at ?? '')) ||
      (end?.status === 'done' && (end.at ?? '') >= (task.at ?? ''));
    if (ended) return [];
    const kind = provisionalKindOf(source.kind);
    return [
      {
        key: source.id,
        kind: source.kind,
        title: source.title,
        from: 'step',
        endsWith: kind.endsWith,
        forbiddenAt: source.forbiddenAt ?? kind.forbiddenAt,
        endedBy: source.endedBy,
        by: task.by,
        since: task.at,
      },
    ];
  });
  return [...written, ...left, ...(records.inBay ?? [])];
}
