import { faults, observationOf } from '@bay/core/diagnosis';
import { kindRule, stamped } from '../records/kind.ts';

export const diagnosisKinds = [
  kindRule({
    kind: 'case',
    logKind: 'diagnosis',
    station: 'start',
    prepare: (data, context) => {
      const closed = data.closed && (context.before?.closed ?? { ...data.closed, by: context.caller.name, at: context.at });
      return context.before ? { ...data, closed } : stamped({ ...data, closed }, context);
    },
    describe: (data, { before }) => {
      if (data.closed && !before?.closed)
        return `found: ${faults.find((f) => f.id === data.closed!.faultId)?.title ?? data.closed.faultId}. ${data.closed.reason}`;
      return before ? `case changed: ${data.symptom}` : `looking for the fault: ${data.symptom}`;
    },
  }),
  kindRule({
    kind: 'observation',
    logKind: 'diagnosis',
    station: 'start',
    prepare: (data, context) => stamped(data, context),
    describe: (data) => {
      const o = observationOf(data.observationId);
      if (data.withdrawn) return `observation withdrawn: ${o.question}`;
      return `${o.question}: ${data.reading ? `${data.reading}, ` : ''}${data.outcome.replaceAll('-', ' ')}`;
    },
    about: (data) => data.observationId,
  }),
];
