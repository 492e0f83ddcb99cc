import { byTime } from '@bay/core/rules';
import type { Answer, CaseRecord, EngineState, NextTest, Suspect } from '@bay/core/diagnosis';
import { Button, Checkbox, Select, Textarea, TextInput } from '@mantine/core';
import { useMemo, useState } from 'react';
import { bandReading, bandRules, faults, isRead, noneOfThese, observationOf, shareWords } from '@bay/core/diagnosis';
import { becauseWords, isFactId } from '@bay/core/facts';
import { caseStanding, curedBy, titleOf as planTitle } from '@bay/core/plan';
import { useJob, usePut, useRecordForm, useRecords } from '../sheet/index.ts';
import { dayWords, Empty, Form, FormDialog, RangeBand, timeWords, Trouble } from '../ui/index.ts';
import styles from './diagnosis.module.css';

const systems = [...new Set(faults.map((f) => f.system))];
const titleOf = (id: string): string =>
  id === noneOfThese ? 'none of these' : (faults.find((f) => f.id === id)?.title ?? id);
const words = (outcome: string): string => outcome.replaceAll('-', ' ');
const percent = (p: number): string => `${p >= 0.1 ? Math.round(p * 100) : (p * 100).toFixed(1)} %`;
const stateWords: { value: EngineState; label: string }[] = [
  { value: 'still', label: 'is not turned by the starter' },
  { value: 'turns', label: 'is turned, does not run' },
  { value: 'runs', label: 'runs' },
];
const riskWords = [
  '',
  'key on, hand tools',
  'cranking or hot: keep clear of belts and fan',
  'never alone: eyes, gloves, second person',
] as const;

function OpenCase() {
  const form = useRecordForm({
    kind: 'case',
    initial: { symptom: '', state: null as EngineState | null, touched: [] as string[] },
    sent: ({ state, ...v }) => ({ ...v, ...(state === null ? {} : { state }) }),
  });
  const { touched } = form.values;
  return (
    <Form className="panel" of={form} submit="Look for the fault" send={form.send}>
      <h3>Open a case</h3>
      <TextInput label="What it does" placeholder="cranks and does not fire" {...form.field('symptom')} />
      <Select label="The engine" placeholder="what it does now" clearable data={stateWords} {...form.field('state')} />
      <fieldset style={{ border: 0, padding: 0, margin: '10px 0' }}>
        <legend style={{ fontFamily: 'var(--head)', fontWeight: 600 }}>Touched since it was last good</legend>
        <div className="fields">
          {systems.map((s) => (
            <Checkbox
              key={s}
              label={s}
              checked={touched.includes(s)}
              onChange={(e) =>
                form.set({ touched: e.currentTarget.checked ? [...touched, s] : touched.filter((t) => t !== s) })
              }
            />
          ))}
        </div>
      </fieldset>
    </Form>
  );
}

/** One test: choose what was seen, or type the reading and let it fall into its band. */
function TestForm({ caseId, test, done }: { caseId: string; test: NextTest; done?: () => void }) {
  const { plan, mayWrite } = useJob();
  const put = usePut();
  const { observation } = test;
  const rule = bandRules[observation.id];
  const [typed, setTyped] = useState('');
  const [also, setAlso] = useState('');
  const banded = rule && typed.trim() !== '' ? bandReading(observation.id, typed, plan.facts, also) : undefined;
  const write = (outcome: string, reading?: string) =>
    put.mutate(
      {
        kind: 'observation',
        key: `${caseId}:${observation.id}`,
        data: {
          caseId,
          observationId: observation.id,
          outcome,
          ...(reading ? { reading, ...(also ? { also } : {}) } : {}),
        },
      },
      {
        onSuccess: () => {
          setTyped('');
          setAlso('');
          done?.();
        },
      },
    );
  if (!mayWrite) return null;
  return (
    <div style={{ marginTop: 10 }}>
      {isRead(observation.id) && (
        <form
          onSubmit={(e) => {
            e.preventDefault();
            if (banded?.ok) write(banded.outcome, typed);
          }}
        >
          <div className="fields">
            <TextInput
              label={`Reading, ${rule!.unit}`}
              value={typed}
              onChange={(e) => setTyped(e.currentTarget.value)}
              error={banded && !banded.ok ? banded.sentence : undefined}
              description={
                banded?.ok ? `${banded.understood}: ${words(banded.outcome)} (${rule!.source})` : rule!.source
              }
              classNames={{ input: 'mono' }}
            />
            {rule!.range && (
              <RangeBand label="Reading" range={rule!.range} value={banded?.ok ? banded.value : undefined} />
            )}
            {rule!.also && (
              <TextInput
                label={`${rule!.also.label}, ${rule!.also.unit}`}
                value={also}
                onChange={(e) => setAlso(e.currentTarget.value)}
                classNames={{ input: 'mono' }}
              />
            )}
          </div>
          <div className="row-actions">
            <Button type="submit" disabled={!banded?.ok} loading={put.isPending}>
              Record
            </Button>
          </div>
        </form>
      )}
      <div className="row-actions">
        {isRead(observation.id) && <span className="quiet">or by eye:</span>}
        {observation.outcomes.map((o) => (
          <button
            key={o.id}
            type="button"
            className="plain-button small"
            disabled={put.isPending}
            onClick={() => write(o.id)}
          >
            {words(o.id)}
          </button>
        ))}
      </div>
      <Trouble of={put} />
    </div>
  );
}

function SuspectRow({ s, close }: { s: Suspect; close: (id: string) => void }) {
  const { plan, mayWrite } = useJob();
  const fault = faults.find((f) => f.id === s.id);
  const [open, setOpen] = useState(false);
  return (
    <li style={{ padding: '6px 0', borderBottom: '1px solid var(--line)' }}>
      <button
        type="button"
        className={`row-button ${styles['suspect']}`}
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        <span>{titleOf(s.id)}</span>
        <span className="figure">{percent(s.before)}</span>
        <span className="figure" style={{ color: 'var(--ink)', fontWeight: 600 }}>
          {percent(s.now)}
        </span>
      </button>
      <div className={styles['bar']} aria-hidden="true">
        <i style={{ width: `${s.now * 100}%` }} />
        <s style={{ left: `${s.before * 100}%` }} />
      </div>
      {s.raisedBy.length > 0 && (
        <p className="quiet" style={{ fontSize: 13.5 }}>
          raised by {s.raisedBy.map((id) => (isFactId(id) ? becauseWords(id, plan.facts) : planTitle(id))).join(' · ')}
        </p>
      )}
      {s.loweredBy.length > 0 && (
        <p className="quiet" style={{ fontSize: 13.5 }}>
          lowered by what is proved: {s.loweredBy.map(planTitle).join(' · ')}
        </p>
      )}
      {open && fault && (
        <div style={{ padding: '6px 0' }}>
          <p>
            <b>What fixes it:</b> {fault.fix}
          </p>
          {mayWrite && (
            <div className="row-actions">
              <button type="button" className="plain-button small" onClick={() => close(s.id)}>
                This was it
              </button>
            </div>
          )}
        </div>
      )}
    </li>
  );
}

function CloseCase({
  caseId,
  record,
  faultId,
  close,
}: {
  caseId: string;
  record: CaseRecord;
  faultId: string;
  close: () => void;
}) {
  const form = useRecordForm({
    kind: 'case',
    key: caseId,
    about: `close ${caseId}`,
    merges: true,
    initial: { faultId, reason: '' },
    sent: (v) => ({ ...record, closed: v }),
    names: { 'closed.reason': 'reason', 'closed.faultId': 'faultId' },
  });
  return (
    <FormDialog title="Found" size="lg" submit="Close the case" of={form} send={form.send} close={close}>
      <Select
        label="What it was"
        searchable
        data={[...faults.map((f) => ({ value: f.id, label: f.title })), { value: noneOfThese, label: 'none of these' }]}
        {...form.field('faultId')}
      />
      <Textarea label="What was found and what cured it" data-autofocus {...form.field('reason')} />
    </FormDialog>
  );
}

function OpenedCase({ caseId, record }: { caseId: string; record: CaseRecord }) {
  const { plan, mayWrite } = useJob();
  const all = useRecords('observation');
  const cases = useRecords('case');
  const put = usePut();
  const [cannot, setCannot] = useState<string[]>([]);
  const [chosen, setChosen] = useState<string>();
  const [found, setFound] = useState<string>();
  const [whole, setWhole] = useState(false);
  const seen = useMemo(
    () =>
      Object.entries(all)
        .filter(([, o]) => o.caseId === caseId && !o.withdrawn)
        .sort(([, a], [, b]) => byTime(a, b)),
    [all, caseId],
  );
  const ranking = useMemo(() => {
    const answers: Answer[] = seen.map(([, o]) => ({ observationId: o.observationId, outcome: o.outcome }));
    return caseStanding(plan, record, answers, { cured: curedBy(Object.values(cases)), cannot });
  }, [plan, record, seen, cases, cannot]);
  const { tests, possible } = ranking;
  const best = possible.find((t) => t.observation.id === chosen) ?? tests[0];
  const shown = whole ? ranking.suspects : ranking.suspects.slice(0, 8);
  const rest = ranking.suspects.slice(8).reduce((s, x) => s + x.now, 0);
  return (
    <>
      <p style={{ marginBottom: 10 }}>
        <b>{record.symptom}</b>{' '}
        <span className="quiet">
          {record.touched.length > 0 ? `touched: ${record.touched.join(', ')}; ` : ''}opened by {record.by},{' '}
          {record.at ? dayWords(record.at) : ''}
        </span>
      </p>
      <div className="grid-2">
        <div>
          {ranking.stop && (
            <p className="notice" role="status">
              <b>Stop: no test left is worth its minutes.</b> Close the case with what is likeliest, look at what nobody
              asked for, or take back an answer that is in doubt.
            </p>
          )}
          {best && (
            <div className={`panel ${styles['next-test']}`}>
              <div className="bench-head" style={{ marginBottom: 2 }}>
                <span className="quiet">{chosen === best.observation.id ? 'Chosen test' : 'Next best test'}</span>
                <span className="right mono quiet">{best.observation.minutes} min</span>
              </div>
              <h3 style={{ fontSize: 20 }}>{best.observation.question}</h3>
              <p className="quiet">
                {best === tests[0] ? 'Tells most for its minutes' : 'Takes away'}: {shareWords(best.share)} in{' '}
                {best.observation.minutes} min. {best.observation.needs ? `With: ${best.observation.needs}` : ''}
              </p>
              {best.observation.risk > 0 && (
                <p className={best.observation.risk >= 2 ? 'oxide' : 'quiet'}>{riskWords[best.observation.risk]}</p>
              )}
              <TestForm key={best.observation.id} caseId={caseId} test={best} done={() => setChosen(undefined)} />
              <div className="row-actions">
                <button
                  type="button"
                  className="plain-button small bare"
                  onClick={() => {
                    setCannot([...cannot, best.observation.id]);
                    setChosen(undefined);
                  }}
                >
                  Cannot do this now
                </button>
              </div>
            </div>
          )}
          <table className="data">
            <thead>
              <tr>
                <th>Then</th>
                <th className="num">min</th>
                <th className="num">of the doubt</th>
              </tr>
            </thead>
            <tbody>
              {tests
                .filter((t) => t !== best)
                .slice(0, 5)
                .map((t) => (
                  <tr key={t.observation.id}>
                    <td>
                      <button
                        type="button"
                        className="plain-button small bare"
                        style={{ padding: 0, textAlign: 'left' }}
                        onClick={() => setChosen(t.observation.id)}
                      >
                        {t.observation.question}
                      </button>
                    </td>
                    <td className="num">{t.observation.minutes}</td>
                    <td className="num">{Math.round(t.share * 100)} %</td>
                  </tr>
                ))}
            </tbody>
          </table>
          <Select
            label="Or any other"
            searchable
            placeholder="Find a test"
            data={possible.map((t) => ({ value: t.observation.id, label: t.observation.question }))}
            value={null}
            onChange={(id) => setChosen(id ?? undefined)}
            mt="sm"
          />
        </div>
        <div>
          <div className={`${styles['suspect']} ${styles['head']}`}>
            <h3>Suspects</h3>
            <span className="figure">before</span>
            <span className="figure">now</span>
          </div>
          <ul>
            {shown.map((s) => (
              <SuspectRow key={s.id} s={s} close={setFound} />
            ))}
          </ul>
          {ranking.suspects.length > 8 && (
            <button type="button" className="plain-button small bare" onClick={() => setWhole(!whole)}>
              {whole ? 'The first eight' : `${ranking.suspects.length - 8} others together ${percent(rest)}`}
            </button>
          )}
          <h3 style={{ marginTop: 14 }}>Answered</h3>
          {seen.length === 0 && <p className="quiet">Nothing yet. Say what was heard and seen first.</p>}
          <ul>
            {seen.map(([key, o]) => (
              <li
                key={key}
                style={{ display: 'flex', gap: 8, alignItems: 'center', borderBottom: '1px solid var(--line)' }}
              >
                <span style={{ flex: 1 }}>
                  {observationOf(o.observationId).question}:{' '}
                  <b>
                    {o.reading ? `${o.reading}, ` : ''}
                    {words(o.outcome)}
                  </b>{' '}
                  <span className="quiet">
                    {o.by} {o.at ? timeWords(o.at) : ''}
                  </span>
                </span>
                {mayWrite && (
                  <button
                    type="button"
                    className="plain-button small bare"
                    aria-label={`Withdraw: ${observationOf(o.observationId).question}`}
                    onClick={() => put.mutate({ kind: 'observation', key, data: { ...o, withdrawn: true } })}
                  >
                    Withdraw
                  </button>
                )}
              </li>
            ))}
          </ul>
        </div>
      </div>
      {found && <CloseCase caseId={caseId} record={record} faultId={found} close={() => setFound(undefined)} />}
    </>
  );
}

/** Finding the fault: observations in, suspects ranked, the next best test by what it tells a minute. */
export function Diagnosis() {
  const { mayWrite } = useJob();
  const cases = Object.entries(useRecords('case')).sort(([, a], [, b]) => byTime(b, a));
  const open = cases.find(([, c]) => !c.closed);
  const closed = cases.filter(([, c]) => c.closed);
  return (
    <>
      {open ? (
        <OpenedCase key={open[0]} caseId={open[0]} record={open[1]} />
      ) : mayWrite ? (
        <OpenCase />
      ) : (
        <Empty title="No fault is being looked for" />
      )}
      {closed.length > 0 && (
        <section style={{ marginTop: 18 }}>
          <h3 className="group-title">Closed cases</h3>
          {closed.map(([id, c]) => (
            <p key={id} style={{ padding: '6px 0' }}>
              <b>{c.symptom}</b>: {titleOf(c.closed!.faultId)}. {c.closed!.reason}{' '}
              <span className="quiet">
                {c.closed!.by}, {c.closed!.at ? dayWords(c.closed!.at) : ''}
              </span>
            </p>
          ))}
        </section>
      )}
    </>
  );
}
