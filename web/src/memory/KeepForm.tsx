import { Button, Select, TextInput } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { factCatalogue, factDef, isFactId, readCondition } from '@bay/core/facts';
import type { OwnLine } from '@bay/core/memory';
import { titleOf } from '@bay/core/plan';
import { counted } from '@bay/core/units';
import { keepShopRule, tryShopRule } from '@bay/contract/memory';
import { call, command } from '../api/index.ts';
import { FormDialog, Trouble, useForm, Several } from '../ui/index.ts';
import styles from './memory.module.css';

/** One thing that is asked of a job. */
interface Term {
  fact: string;
  op: string;
  values: string[];
  number: string;
}

const none: Term = { fact: '', op: '', values: [], number: '' };

/** What may be asked of a fact, by what it is. */
function opsOf(fact: string): { value: string; label: string }[] {
  if (!isFactId(fact)) return [];
  const { parts } = factDef(fact);
  const main = parts.filter((p) => p.key === 'value');
  const asked = main.length > 0 ? main : parts;
  return [
    ...(asked.some((p) => p.options)
      ? [
          { value: 'in', label: 'is one of' },
          { value: 'not in', label: 'is none of' },
        ]
      : []),
    ...(asked.some((p) => p.unit !== undefined)
      ? [
          { value: '>', label: 'is more than' },
          { value: '<', label: 'is less than' },
        ]
      : []),
    { value: 'known', label: 'is known' },
    { value: 'missing', label: 'is not known' },
  ];
}

const optionsOf = (fact: string): string[] =>
  isFactId(fact) ? [...new Set(factDef(fact).parts.flatMap((p) => p.options ?? []))] : [];
const unitOf = (fact: string): string => (isFactId(fact) ? (factDef(fact).parts.find((p) => p.unit)?.unit ?? '') : '');

/** A term in the words of a condition; nothing while it is not whole. */
function termWords({ fact, op, values, number }: Term): string | undefined {
  if (fact === '' || op === '') return undefined;
  if (op === 'known' || op === 'missing') return `${fact} ${op}`;
  if (op === 'in' || op === 'not in') return values.length > 0 ? `${fact} ${op} {${values.join(', ')}}` : undefined;
  const typed = number.trim().replace(',', '.');
  return typed === '' || !Number.isFinite(Number(typed)) ? undefined : `${fact} ${op} ${typed}`;
}

/** The condition of all terms; nothing while one of them is not whole. */
function conditionWords(terms: readonly Term[]): string | undefined {
  const written = terms.filter((t) => t.fact !== '').map(termWords);
  if (written.length === 0 || written.includes(undefined)) return undefined;
  const when = written.join(' and ');
  try {
    readCondition(when);
    return when;
  } catch {
    return undefined;
  }
}

const facts = factCatalogue.map((f) => ({ value: f.id, label: f.label }));

/** One row of the condition: which fact, and what is asked of it. */
function TermRow({ term, index, set }: { term: Term; index: number; set: (next: Term) => void }) {
  const n = index + 1;
  const options = optionsOf(term.fact);
  const unit = unitOf(term.fact);
  return (
    <div className={styles['term']}>
      <Select
        label={`Fact ${n}`}
        data={facts}
        searchable
        limit={60}
        nothingFoundMessage="No fact has these words."
        value={term.fact || null}
        onChange={(fact) => set({ ...none, fact: fact ?? '', op: opsOf(fact ?? '')[0]?.value ?? '' })}
      />
      <Select
        label={`Is ${n}`}
        data={opsOf(term.fact)}
        allowDeselect={false}
        disabled={term.fact === ''}
        value={term.op || null}
        onChange={(op) => set({ ...term, op: op ?? '' })}
      />
      {(term.op === 'in' || term.op === 'not in') && (
        <Several
          label={`Of these ${n}`}
          data={options.map((value) => ({ value, label: value.replaceAll('-', ' ') }))}
          value={term.values}
          onChange={(values) => set({ ...term, values })}
        />
      )}
      {(term.op === '>' || term.op === '<') && (
        <TextInput
          label={`Than ${n}${unit ? `, ${unit}` : ''}`}
          inputMode="decimal"
          value={term.number}
          onChange={(e) => set({ ...term, number: e.currentTarget.value })}
        />
      )}
    </div>
  );
}

const holdsWords = { yes: 'joins the plan', 'not-known': 'nobody knows yet', no: 'not here' } as const;

/** Keeps a line for every job that is like this one, tried on the open ones before. */
export function KeepForm({ id, line, close }: { id: string; line: OwnLine; close: () => void }) {
  const form = useForm({ draft: `keep:${id}`, initial: { terms: [none] } });
  const { terms } = form.values;
  const when = conditionWords(terms);
  const [triedWhen, setTried] = useState<string>();
  const trying = useMutation({
    mutationFn: (asked: string) => call(tryShopRule, { body: { when: asked } }),
    onSuccess: (_reply, asked) => setTried(asked),
  });
  const jobs = trying.data && triedWhen === when ? trying.data.jobs : undefined;
  const setTerm = (index: number, next: Term): void => {
    const changed = terms.map((t, i) => (i === index ? next : t));
    form.set({ terms: changed.at(-1)!.fact === '' ? changed : [...changed, none] });
  };
  const hit = jobs?.filter((j) => j.holds !== 'no') ?? [];
  return (
    <FormDialog
      title={`Keep for the shop: ${line.title}`}
      submit="Keep it"
      of={form}
      send={async () => {
        if (when === undefined) return;
        await command(keepShopRule, { body: { id, line, when } }, { label: 'kept for the shop' });
      }}
      close={close}
      size="lg"
      disabled={jobs === undefined}
    >
      <p className="quiet">It joins the plan of every job of which all of this is so.</p>
      {terms.map((term, index) => (
        <TermRow key={index} term={term} index={index} set={(next) => setTerm(index, next)} />
      ))}
      <Trouble of={trying} />
      <div className="row-actions">
        <Button
          variant="default"
          disabled={when === undefined}
          loading={trying.isPending}
          onClick={() => trying.mutate(when!)}
        >
          Try it on the open jobs
        </Button>
        {when === undefined && <span className="quiet">Say of at least one fact what it is.</span>}
      </div>
      {jobs && (
        <section aria-label="Where it holds">
          <p>
            <b>
              {hit.length === 0
                ? 'It holds on no open job'
                : `${counted(jobs.filter((j) => j.holds === 'yes').length, 'open job')} of ${jobs.length}`}
            </b>
            {hit.some((j) => j.holds === 'not-known') && (
              <>
                ; on {jobs.filter((j) => j.holds === 'not-known').length} nobody knows, and it stands there until then
              </>
            )}
            .
          </p>
          <ul className="rows">
            {hit.map((j) => (
              <li key={j.jobId}>
                <Link to={`/jobs/${j.jobId}/own`}>
                  {j.number} {j.carName}
                </Link>
                : {holdsWords[j.holds]}
                {j.needs.length > 0 && <span className="quiet">, for want of {j.needs.map(titleOf).join(', ')}</span>}
              </li>
            ))}
          </ul>
        </section>
      )}
    </FormDialog>
  );
}
