import { useMemo, useState } from 'react';
import { factDef, isFactId } from '@bay/core/facts';
import { foreseenOf } from '@bay/core/money';
import { truthIn } from '@bay/core/rules';
import { FactEditor, usualBearer } from '../facts/index.ts';
import { useJob } from '../sheet/index.ts';
import { columns, Fold } from '../ui/index.ts';

/** What the job brings along that stands in no line of its quote; what may hold asks for its fact. */
export function ForeseenPanel() {
  const { plan, mayWrite } = useJob();
  const [fact, setFact] = useState<string>();
  const [unfolded, setUnfolded] = useState(false);
  const all = useMemo(() => foreseenOf(truthIn(plan.scope)), [plan.scope]);
  const sure = all.filter((f) => f.state === 'holds');
  const open = all.filter((f) => f.state === 'open');
  return (
    <section className="panel" aria-label="What it brings along">
      <div className="bench-head">
        <h3>What it brings along</h3>
        <span className="quiet">goes to the customer with the quote</span>
      </div>
      <ul className="rows">
        {sure.map(({ def }) => (
          <li key={def.id} className="cells" style={columns('minmax(120px, 1fr) minmax(0, 2.6fr)')}>
            <b>{def.title}</b>
            <span>{def.text}.</span>
          </li>
        ))}
      </ul>
      {sure.length === 0 && <p className="quiet">Nothing of what is known so far.</p>}
      {open.length > 0 && (
        <Fold
          name="May come along"
          note="nobody knows the facts it hangs on"
          count={open.length}
          open={unfolded}
          toggle={() => setUnfolded(!unfolded)}
        >
          <ul className="rows">
            {open.map(({ def, needs }) => (
              <li key={def.id} className="cells" style={columns('minmax(120px, 1fr) minmax(0, 2.6fr)')}>
                <b>{def.title}</b>
                <span>
                  {needs.filter(isFactId).map((id) => (
                    <button
                      key={id}
                      type="button"
                      className="plain-button bare"
                      disabled={!mayWrite}
                      onClick={() => setFact(id)}
                    >
                      {factDef(id).label}
                    </button>
                  ))}
                </span>
              </li>
            ))}
          </ul>
        </Fold>
      )}
      {fact && <FactEditor factId={fact} bearer={usualBearer(fact)} close={() => setFact(undefined)} />}
    </section>
  );
}
