import { allObservations, faults, noneOfThese, observationOf } from '@bay/core/diagnosis';
import { badInput } from '../http/problem.ts';
import { kindRule } from '../records/kind.ts';

export const diagnosisKinds = [
  kindRule({
    kind: 'case',
    logKind: 'diagnosis',
    station: 'start',
    check: (data) => {
      const { closed } = data;
      if (closed && closed.faultId !== noneOfThese && !faults.some((f) => f.id === closed.faultId))
        throw badInput({ 'closed.faultId': 'This fault is not known.' });
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
    check: (data) => {
      const known = allObservations.find((o) => o.id === data.observationId);
      if (!known) throw badInput({ observationId: 'This observation is not known.' });
      if (!known.outcomes.some((o) => o.id === data.outcome)) throw badInput({ outcome: 'This is no outcome of it.' });
    },
    describe: (data) => {
      const o = observationOf(data.observationId);
      if (data.withdrawn) return `observation withdrawn: ${o.question}`;
      return `${o.question}: ${data.reading ? `${data.reading}, ` : ''}${data.outcome.replaceAll('-', ' ')}`;
    },
    about: (data) => data.observationId,
  }),
];
