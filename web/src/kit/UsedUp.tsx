import { useMemo, useState } from 'react';
import { usedUpBy } from '@bay/core/kit';
import { shortTitleOf } from '@bay/core/plan';
import { counted } from '@bay/core/units';
import { useOpenSteps } from '../sheet/index.ts';
import { columns, Fold } from '../ui/index.ts';

/** What the steps that are still to be done use up, with its grade, so that it is in the shop before a step begins. */
export function UsedUp() {
  const [open, setOpen] = useState(false);
  const steps = useOpenSteps(true);
  const wanted = useMemo(() => usedUpBy(steps.map((s) => s.value.replace(/^donor-/, ''))), [steps]);
  if (wanted.length === 0) return null;
  return (
    <Fold
      name="Used up on the way"
      note={`by ${counted(new Set(wanted.flatMap((w) => w.steps)).size, 'step')} still to do`}
      count={wanted.length}
      open={open}
      toggle={() => setOpen(!open)}
    >
      <ul className="rows">
        {wanted.map(({ what, steps: at }) => (
          <li key={what.id} className="cells" style={columns('minmax(120px, 0.7fr) minmax(0, 1.4fr) minmax(0, 1fr)')}>
            <b>{what.what}</b>
            <span>{what.grade}</span>
            <span className="quiet">{at.map(shortTitleOf).join('; ')}</span>
          </li>
        ))}
      </ul>
    </Fold>
  );
}
