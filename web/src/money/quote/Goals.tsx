import { Button } from '@mantine/core';
import { useMemo, useState } from 'react';
import { optionWords } from '@bay/core/facts';
import { showMoney } from '@bay/core/money';
import { otherGoals } from '@bay/core/plan';
import type { OtherGoal } from '@bay/core/plan';
import { counted } from '@bay/core/units';
import { newId } from '../../api/index.ts';
import { useJob, usePut } from '../../sheet/index.ts';
import { Fold, Trouble } from '../../ui/index.ts';
import { useCurrency } from '../useCurrency.ts';
import type { Draft } from './useDraft.ts';

const signed = (n: number, words: string): string => `${n < 0 ? '−' : '+'} ${words}`;

function Goal({ of, now, seesMoney }: { of: OtherGoal; now: string; seesMoney: boolean }) {
  const { mayWrite } = useJob();
  const currency = useCurrency();
  const put = usePut();
  const [key] = useState(newId);
  const hours = signed(of.hours, `${Math.round(Math.abs(of.hours))} h`);
  const money = of.amount === undefined ? undefined : signed(of.amount, showMoney(Math.abs(of.amount), currency));
  const what = `Goal ${optionWords(of.goal)} instead of ${now}: ${hours}`;
  return (
    <li>
      <p>
        <b>{optionWords(of.goal)}</b> <span className="mono">{hours}</span>
        {seesMoney && money !== undefined && <span className="mono">, {money} before tax</span>}
        {of.open > 0 && <span className="ochre">, {counted(of.open, 'line')} of it open</span>}
      </p>
      {of.added.length > 0 && (
        <p className="quiet">
          Brings {of.added.slice(0, 6).join('; ')}
          {of.added.length > 6 ? `; and ${of.added.length - 6} more` : ''}.
        </p>
      )}
      {of.dropped.length > 0 && (
        <p className="quiet">
          Drops {of.dropped.slice(0, 6).join('; ')}
          {of.dropped.length > 6 ? `; and ${of.dropped.length - 6} more` : ''}.
        </p>
      )}
      <Trouble of={put} />
      {mayWrite && seesMoney && of.amount !== undefined && of.amount > 0 && (
        <div className="row-actions">
          {put.isSuccess ? (
            <span className="quiet">Asked of the customer; the goal is changed once they say yes.</span>
          ) : (
            <Button
              variant="default"
              size="compact-md"
              loading={put.isPending}
              aria-label={`Ask the customer for it: ${optionWords(of.goal)}`}
              onClick={() =>
                put.mutate({
                  kind: 'ask',
                  key,
                  data: { ask: 'approval', to: 'customer', what, amount: of.amount! },
                  revision: 0,
                })
              }
            >
              Ask the customer for it
            </Button>
          )}
        </div>
      )}
    </li>
  );
}

/** What another goal would bring and drop, with its hours and money. */
export function Goals({ draft, seesMoney }: { draft: Draft; seesMoney: boolean }) {
  const { sheet, plan } = useJob();
  const [open, setOpen] = useState(false);
  const now = plan.facts.get('cho-goal')?.parts['value'];
  const others = useMemo(
    () => (open ? otherGoals({ jobId: sheet.job.id, ...sheet }, draft.terms) : []),
    [open, sheet, draft.terms],
  );
  if (typeof now !== 'string') return null;
  return (
    <Fold
      name="Another goal"
      count={3}
      note={`it is ${optionWords(now)} now`}
      open={open}
      toggle={() => setOpen(!open)}
    >
      <ul className="rows">
        {others.map((o) => (
          <Goal key={o.goal} of={o} now={optionWords(now)} seesMoney={seesMoney} />
        ))}
      </ul>
    </Fold>
  );
}
