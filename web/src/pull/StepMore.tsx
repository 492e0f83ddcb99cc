import { useState } from 'react';
import { twoPeopleAt } from '@bay/core/crew';
import { becauseWords } from '@bay/core/facts';
import { usedUpAt } from '@bay/core/kit';
import { shortTitleOf, titleOf } from '@bay/core/plan';
import { linkTitle } from '@bay/core/parts';
import { leavingOf, movesOf, stands } from '@bay/core/pull';
import { SecondSignature } from '../crew/index.ts';
import { History } from '../logbook/index.ts';
import { BagForm, BagsAt, LinkForm } from '../parts/index.ts';
import { useJob, useRecords } from '../sheet/index.ts';
import { dayWords, timeWords } from '../ui/index.ts';
import type { Placed } from './useStep.ts';
import { FoundElsewhere, FoundOtherwise, SnagsAt } from './Snags.tsx';
import { heldWords, statusWords, unmetWords } from './step-words.ts';

/** What a step was done with: who, when, what was said, and the second name it may wait for. */
export function StepRecord({ line, state, record, recordKey }: Placed) {
  const { sheet, mayWrite } = useJob();
  if (!record) return null;
  const { def } = line;
  return (
    <>
      {record.deviation && (
        <p className="meta oxide">
          Out of its order: {record.deviation.why}. Stood against it: {record.deviation.stoodOn?.against.join('; ')}
        </p>
      )}
      {record.instead && <p className="meta ochre">Given instead by: {record.instead}</p>}
      {!stands(def.id, record) && (
        <>
          <p className="meta oxide">Waits for the second signature; until then it frees nothing.</p>
          {mayWrite && (
            <SecondSignature
              of={{
                jobId: sheet.job.id,
                kind: 'task',
                key: recordKey,
                revision: sheet.records.find((r) => r.kind === 'task' && r.key === recordKey)?.revision ?? 0,
                firstId: record.deviation?.byId ?? record.byId,
                what: def.title,
              }}
            />
          )}
        </>
      )}
      {record.at && ['done', 'waived', 'on-it'].includes(state.status) && (
        <p className="meta">
          {statusWords[state.status]}, {record.by}, {dayWords(record.at)} {timeWords(record.at)}
          {record.note ? `: ${record.note}` : ''}
        </p>
      )}
    </>
  );
}

/** What holds a step, or what is missing for it, and the bags that it wants. */
export function StepHeld({ state, recordKey }: Placed) {
  return (
    <>
      {state.status === 'held' && <p className="meta ochre">Held: {heldWords(state)}</p>}
      {unmetWords(state).map((sentence) => (
        <p key={sentence} className="meta oxide">
          {sentence}
        </p>
      ))}
      {state.gates.length > 0 && state.status !== 'waived' && (
        <p className="meta ochre">Gate first: {state.gates.map(titleOf).join('; ')}</p>
      )}
      {state.status !== 'other-way' && <BagsAt step={recordKey} />}
      {state.status === 'other-way' && (
        <p className="meta">
          {state.instead === undefined
            ? 'Only where a step needs what it gives'
            : `Another way than "${shortTitleOf(state.instead)}"`}
        </p>
      )}
    </>
  );
}

/** Everything else about a step: how, why here, with what, because of which facts, and what was written on it. */
export function StepMore(placed: Placed) {
  const { line, state, record, recordKey } = placed;
  const { sheet, plan, mayWrite } = useJob();
  const { def } = line;
  const [freeing, setFreeing] = useState(false);
  const [bagging, setBagging] = useState(false);
  const here = Object.values(useRecords('link')).filter((l) => l.step === recordKey && !l.dropped);
  const two = twoPeopleAt(def.id);
  const leaving = leavingOf(def.id);
  const moves = movesOf(def.id, plan.facts);
  const facts: readonly (readonly [name: string, words: string | undefined])[] = [
    ['How', def.how],
    ['Why here', def.why],
    ['With', def.support],
    [
      'Uses up',
      usedUpAt(def.id)
        .map((u) => `${u.what.toLowerCase()}, ${u.grade}`)
        .join(' · '),
    ],
    ['Leaves', leaving && `${leaving.way}; ticked when it is out, not when its last bolt is`],
    ['Not bent, not knocked', leaving?.minded],
    ['Needs', def.needsWords],
    ['Then', def.thenWait],
    ['Better after', state.status === 'free' ? state.better.slice(0, 3).map(shortTitleOf).join('; ') : undefined],
    ['Depends on', line.needs.length > 0 ? `${line.needs.map(titleOf).join(', ')}: not known yet` : undefined],
    ['Because', line.because.map((id) => becauseWords(id, plan.facts)).join(' · ')],
  ];
  return (
    <div className="step-more">
      {def.onlyIf && <p className="meta ochre">Only if: {def.onlyIf}</p>}
      {two && state.status !== 'done' && <p className="meta ochre">{two}</p>}
      {facts.map(([name, words]) =>
        words ? (
          <p key={name} className="meta">
            <b>{name}:</b> {words}
          </p>
        ) : null,
      )}
      {moves.length > 0 && (
        <ol className="things" aria-label="In small moves">
          {moves.map((m) => (
            <li key={m.move}>
              <span>
                {m.move} <span className="quiet">carried by {m.carries}</span>
                {m.tight && <span className="ochre"> tight: {m.tight}</span>}
              </span>
            </li>
          ))}
        </ol>
      )}
      {here.length > 0 && (
        <p className="meta">
          <b>Came off here:</b> {here.map(linkTitle).join(', ')}
        </p>
      )}
      <FoundElsewhere step={recordKey} />
      <SnagsAt step={recordKey} />
      {mayWrite && state.status !== 'waived' && (
        <div className="row-actions">
          {recordKey.startsWith('rm-') && (
            <button type="button" className="plain-button small" onClick={() => setFreeing(true)}>
              Something comes off here
            </button>
          )}
          {recordKey.startsWith('rm-') && (
            <button type="button" className="plain-button small" onClick={() => setBagging(true)}>
              Bag its bolts
            </button>
          )}
          <FoundOtherwise step={recordKey} />
        </div>
      )}
      {bagging && <BagForm step={recordKey} close={() => setBagging(false)} />}
      {freeing && <LinkForm step={recordKey} close={() => setFreeing(false)} />}
      {record && <History jobId={sheet.job.id} about={recordKey} title={def.title} />}
    </div>
  );
}
