import { useState } from 'react';
import { Link } from 'react-router';
import { factDef } from '@bay/core/facts';
import { rollCall } from '@bay/core/parts';
import { shortTitleOf, stepList } from '@bay/core/plan';
import { baySizes, bayTaken, isBehind } from '@bay/core/pull';
import { counted } from '@bay/core/units';
import { useJob, useRecords } from '../sheet/index.ts';
import { Fold } from '../ui/index.ts';

/** What is done in an empty bay, in its order. */
const round = ['rm-cap-ports', 'rm-wash', 'rm-structure', 'rm-holes-list', 'rm-bay-hot', 'rm-bay-paint'] as const;
const stateWords = { measured: 'read', 'in-part': 'in part, or not read with a tool', blank: 'not read' } as const;

/** The round of the bay while nothing stands in it: each size a field to be read, what is capped, what was seen, what is still provisional. */
export function BayRound() {
  const { sheet, plan } = useJob();
  const tasks = useRecords('task');
  const links = useRecords('link');
  const findings = Object.values(useRecords('finding')).filter((f) => f.on === 'car' && !f.settled);
  const [open, setOpen] = useState(false);
  if (bayTaken(plan.pull, tasks)) return null;
  const sizes = baySizes(plan.facts);
  const left = sizes.filter((s) => s.state !== 'measured');
  const { states } = stepList(plan, 'pull', tasks);
  const steps = round.filter((id) => states.has(id));
  const undone = steps.filter((id) => !isBehind(states.get(id)!.status));
  const { capped } = rollCall(links);
  return (
    <section className="panel" aria-label="The bay is empty">
      <div className="bench-head">
        <h3>The bay is empty</h3>
        <span className={left.length > 0 || undone.length > 0 ? 'ochre' : 'teal'}>
          {left.length === 0
            ? 'every size is read'
            : `${counted(left.length, 'size')} of ${sizes.length} not read with a tool`}
        </span>
      </div>
      <p>
        <b>Still to do here:</b> {undone.length === 0 ? 'nothing' : undone.map(shortTitleOf).join(' · ')}
      </p>
      <p>
        <b>Seen on the car and open:</b> {findings.length === 0 ? 'nothing' : findings.map((f) => f.what).join(' · ')}
      </p>
      <p>
        <b>Caps on logged ends:</b>{' '}
        {capped === 0 ? 'none' : `${counted(capped, 'end')}, counted off again before they are mated`}
        {plan.provisional.length > 0 && `; ${counted(plan.provisional.length, 'thing is', 'things are')} provisional`}
      </p>
      <p className="caution">
        Rails, towers and welds are judged by who may judge them; welding on structure is work for a qualified person.
      </p>
      <Fold
        name="Sizes and fixed points"
        count={left.length}
        note="not read yet"
        open={open}
        toggle={() => setOpen(!open)}
      >
        <ul className="things">
          {sizes.map((s) => (
            <li key={s.factId}>
              <Link to={`/jobs/${sheet.job.id}/facts?of=recipient&fact=${s.factId}`}>{factDef(s.factId).label}</Link>
              <span className={s.state === 'measured' ? 'teal' : s.state === 'blank' ? 'quiet' : 'ochre'}>
                {stateWords[s.state]}
              </span>
            </li>
          ))}
        </ul>
      </Fold>
    </section>
  );
}
