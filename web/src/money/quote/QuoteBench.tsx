import { Button, Checkbox, Select } from '@mantine/core';
import { useMemo, useState } from 'react';
import { factDef, isFactId } from '@bay/core/facts';
import { chanceOfLoss, priceForChance, readMoney, showMoney, typedMoney } from '@bay/core/money';
import { shopHours } from '@bay/core/plan';
import { may } from '@bay/contract/rights';
import { counted } from '@bay/core/units';
import { useMe } from '../../api/index.ts';
import { FactEditor, usualBearer } from '../../facts/index.ts';
import { useJob } from '../../sheet/index.ts';
import { columns, Failed, Loading, MoneyInput } from '../../ui/index.ts';
import { useWork } from '../../workers/index.ts';
import { useCurrency } from '../useCurrency.ts';
import { ForeseenPanel } from '../Foreseen.tsx';
import { AccountPanel } from './AccountPanel.tsx';
import { CostDrawing } from './CostDrawing.tsx';
import { Goals } from './Goals.tsx';
import { OwnLineForm } from './LineForm.tsx';
import { Section } from './Lines.tsx';
import { TermsForm } from './TermsForm.tsx';
import { useTerms } from '../useShopTerms.ts';
import { useDraft } from './useDraft.ts';
import type { Draft } from './useDraft.ts';
import { MakeQuoteForm, useQuotes, Versions } from './Versions.tsx';
import styles from './quote.module.css';

/** A chance as people say it. */
const inHundred = (chance: number): string =>
  chance >= 0.995 ? 'nearly always' : chance < 0.005 ? 'hardly ever' : `${Math.round(chance * 100)} times in 100`;

const wishes = [0.5, 0.2, 0.1, 0.05] as const;

/** What the job may cost, what is asked, and how often that loses money. */
function Price({
  draft,
  asked,
  setAsked,
  asExtra,
  setAsExtra,
  agreed,
}: {
  draft: Draft;
  /** What the customer accepted, before tax: it is not asked again. */
  agreed: number | undefined;
  asked: string;
  setAsked: (typed: string) => void;
  /** Open lines are the customer's, as extra work. */
  asExtra: boolean;
  setAsExtra: (next: boolean) => void;
}) {
  const currency = useCurrency();
  const input = draft.missing.length === 0 ? draft.risk[asExtra ? 'asExtra' : 'carried'] : undefined;
  const work = useWork('quoteRisk', input);
  const risk = work.result;
  const typed = asked.trim() === '' ? undefined : readMoney(asked, currency);
  const net = agreed ?? (typed?.ok ? typed.amount : draft.offer.lineSum);
  if (work.error) return <Failed sentence={work.error.message} again={work.again} />;
  return (
    <>
      {risk && draft.offer.lineSum > 0 ? (
        <>
          <CostDrawing risk={risk} net={net} currency={currency} />
          <p className={styles['said']}>
            {agreed === undefined ? 'Asked' : 'Agreed'} <b>{showMoney(net, currency)}</b> before tax, the job loses
            money <b className={chanceOfLoss(risk, net) > 0.2 ? 'oxide' : ''}>{inHundred(chanceOfLoss(risk, net))}</b>.
          </p>
          <p className="quiet">
            {risk.trials.toLocaleString('en')} trials: each line by its own luck, common causes once for all they touch
            {asExtra ? '' : ', open lines with even odds'}. It costs about{' '}
            <span className="mono">{showMoney(Math.round(risk.mean), currency)}</span> on average.
          </p>
        </>
      ) : (
        <p className="quiet" role="status">
          {work.share === undefined ? 'Nothing to reckon yet.' : 'Trying ten thousand courses of this job …'}
        </p>
      )}
      {agreed === undefined && (
        <div className={styles['ask']}>
          <MoneyInput
            label="Asked, before tax"
            currency={currency}
            value={asked}
            placeholder={typedMoney(draft.offer.lineSum, currency)}
            onChange={(next) => setAsked(valueOf(next))}
          />
          {risk && (
            <Select
              label="A price that loses money"
              placeholder="choose"
              data={wishes.map((chance) => ({ value: String(chance), label: `1 time in ${Math.round(1 / chance)}` }))}
              value={null}
              onChange={(chance) =>
                chance !== null && setAsked(typedMoney(priceForChance(risk, Number(chance)), currency))
              }
            />
          )}
        </div>
      )}
      {agreed === undefined && draft.lines.some((l) => l.state === 'open') && (
        <Checkbox
          label="Open lines are asked as extra work once they are wanted"
          checked={asExtra}
          onChange={(e) => setAsExtra(e.currentTarget.checked)}
        />
      )}
    </>
  );
}

/** A field of the library gives the event, one of ours the words. */
const valueOf = (next: unknown): string =>
  typeof next === 'string' ? next : (next as React.ChangeEvent<HTMLInputElement>).currentTarget.value;

/** What is to be said first: the facts that open lines and causes hang on, those that decide most hours first. */
function Questions({ draft }: { draft: Draft }) {
  const [fact, setFact] = useState<string>();
  const waiting = useMemo(() => {
    const by = new Map<string, number>();
    const wait = (needs: readonly string[], weight: number): void =>
      needs.filter(isFactId).forEach((id) => by.set(id, (by.get(id) ?? 0) + weight));
    for (const line of draft.lines) if (line.needs.length > 0) wait(line.needs, 1);
    for (const cause of draft.estimate.causes) {
      if (cause.state === 'open') wait(cause.needs, draft.lines.filter((l) => l.causes.includes(cause.def.id)).length);
    }
    return [...by].sort((a, b) => b[1] - a[1]);
  }, [draft]);
  if (waiting.length === 0) return null;
  return (
    <section className="panel" aria-label="To be said first">
      <h3>To be said first</h3>
      <ul className="rows">
        {waiting.slice(0, 8).map(([id, lines]) => (
          <li key={id}>
            <button
              type="button"
              className="row-button stacks"
              style={columns('minmax(120px, 1fr) minmax(0, 1.4fr) 92px')}
              onClick={() => setFact(id)}
            >
              <b>{factDef(id).label}</b>
              <span className="quiet">{factDef(id).howTo}</span>
              <span className="ochre">{counted(lines, 'line')}</span>
            </button>
          </li>
        ))}
      </ul>
      {fact && <FactEditor factId={fact} bearer={usualBearer(fact)} close={() => setFact(undefined)} />}
    </section>
  );
}

function Totals({ draft, net }: { draft: Draft; net: number }) {
  const currency = useCurrency();
  const { offer, terms } = draft;
  const tax = offer.taxes.reduce((sum, t) => sum + t.amount, 0);
  const hours = shopHours(draft);
  return (
    <dl className={styles['total']}>
      <dt>Hours of the shop, on average</dt>
      <dd>{Math.round(hours)} h</dd>
      <dt>The lines come to</dt>
      <dd>{showMoney(offer.lineSum, currency)}</dd>
      {net !== offer.lineSum && (
        <>
          <dt>{net > offer.lineSum ? 'For what nobody can see yet' : 'Taken off'}</dt>
          <dd>{showMoney(net - offer.lineSum, currency)}</dd>
        </>
      )}
      <dt className={styles['sum']}>Asked, before tax</dt>
      <dd className={styles['sum']}>{showMoney(net, currency)}</dd>
      <dt>Tax on the lines</dt>
      <dd>{terms.tax === 0 && tax === 0 ? 'none set' : showMoney(tax, currency)}</dd>
    </dl>
  );
}

/** What the job takes and what is asked for it: from the plan to a quote that the customer answers. */
export default function QuoteBench() {
  const { mayWrite } = useJob();
  const currency = useCurrency();
  const seesMoney = may(useMe().data?.person?.role, 'see-money');
  const draft = useDraft(seesMoney);
  const terms = useTerms(seesMoney);
  const quotes = useQuotes(seesMoney);
  const [setting, setSetting] = useState(false);
  const [adding, setAdding] = useState(false);
  const [making, setMaking] = useState(false);
  const [asked, setAsked] = useState('');
  const [asExtra, setAsExtra] = useState(false);
  const { lines, missing, offer } = draft;
  const open = lines.filter((l) => l.state === 'open').length;
  const typed = asked.trim() === '' ? undefined : readMoney(asked, currency);
  const last = quotes.data?.quotes[0];
  const accepted = last?.state === 'accepted';
  const agreed = accepted ? last.answer?.net : undefined;
  const net = agreed ?? (typed?.ok ? typed.amount : offer.lineSum);
  if (seesMoney && terms.isPending) return <Loading />;
  return (
    <>
      <div className="bench-head">
        <h2>Quote</h2>
        <span className="quiet">
          {counted(lines.filter((l) => l.state === 'counted').length, 'line')} in
          {open > 0 && <span className="ochre">, {open} open</span>}
          {accepted && <span className="teal">, quote {last.number} is accepted</span>}
        </span>
        {mayWrite && (
          <span className="right">
            <button type="button" className="plain-button" onClick={() => setAdding(true)}>
              A line of our own
            </button>{' '}
            {seesMoney && draft.known && missing.length === 0 && !accepted && (
              <Button onClick={() => setMaking(true)}>Make quote {(last?.number ?? 0) + 1}</Button>
            )}
          </span>
        )}
      </div>
      {seesMoney && terms.isError && <Failed sentence={terms.error.message} again={() => void terms.refetch()} />}
      {seesMoney && draft.known && (
        <div className={styles['top']}>
          <section className="panel" aria-label="What it comes to">
            {missing.length > 0 ? (
              <p className="ochre">
                Not set yet: what an hour is charged at and costs, and what the price lists are worth. Nothing is
                reckoned until it is.
              </p>
            ) : (
              <Price
                draft={draft}
                asked={asked}
                setAsked={setAsked}
                asExtra={agreed === undefined ? asExtra : last!.asExtra.length > 0}
                setAsExtra={setAsExtra}
                agreed={agreed}
              />
            )}
            <div className="row-actions">
              {mayWrite && (
                <Button variant={missing.length > 0 ? 'filled' : 'default'} onClick={() => setSetting(true)}>
                  What the shop counts with
                </Button>
              )}
            </div>
          </section>
          <div>
            {missing.length === 0 && (
              <section className="panel" aria-label="Sums">
                <Totals draft={draft} net={net} />
              </section>
            )}
            <section className="panel" aria-label="Quotes made">
              <h3>Quotes made</h3>
              <Versions read={quotes} />
            </section>
          </div>
        </div>
      )}
      <Questions draft={draft} />
      <ForeseenPanel />
      <Goals draft={draft} seesMoney={seesMoney} />
      {(['work', 'parts', 'outside'] as const).map((section) => (
        <Section key={section} section={section} lines={lines} seesMoney={seesMoney} begins={section === 'work'} />
      ))}
      <p className="quiet">
        Waits that belong to it:{' '}
        {draft.estimate.waits
          .filter((w) => w.state === 'counted')
          .map(({ def }) => `${def.title.toLowerCase()} (${def.range[0]} to ${def.range[2]} ${def.unit})`)
          .join('; ')}
        .
      </p>
      {seesMoney && <AccountPanel />}
      {setting && <TermsForm terms={draft.terms} revision={draft.revision} close={() => setSetting(false)} />}
      {adding && <OwnLineForm seesMoney={seesMoney} close={() => setAdding(false)} />}
      {making && <MakeQuoteForm draft={draft} net={net} asExtra={asExtra} last={last} close={() => setMaking(false)} />}
    </>
  );
}
