import { useMemo } from 'react';
import { workSteps } from '@bay/core/plan';
import { useJob, useRecords } from './index.ts';

const none: { value: string; label: string }[] = [];

/** Steps of the job that nobody has done yet, to choose from; none while they are not `wanted`. */
export function useOpenSteps(wanted: boolean): { value: string; label: string }[] {
  const { sheet, plan } = useJob();
  const tasks = useRecords('task');
  return useMemo(
    () =>
      wanted
        ? workSteps(
            plan,
            tasks,
            sheet.units.some((u) => u.role === 'donor'),
          )
            .filter((s) => s.status !== 'done' && s.status !== 'waived')
            .map((s) => ({ value: s.key, label: s.title }))
        : none,
    [wanted, plan, tasks, sheet.units],
  );
}
