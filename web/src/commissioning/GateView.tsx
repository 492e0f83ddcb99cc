import { counted } from '@bay/core/units';
import { titleOf } from '@bay/core/plan';
import { useState } from 'react';
import { readingWords } from '@bay/core/commissioning';
import type { GateLineState, GateState } from '@bay/core/commissioning';
import { twoPeopleAt } from '@bay/core/crew';
import { becauseWords } from '@bay/core/facts';
import { SecondSignature } from '../crew/index.ts';
import { useJob, usePut } from '../sheet/index.ts';
import { dayWords, timeWords, Trouble, useKeepPlace } from '../ui/index.ts';
import { ProofForm } from './ProofForm.tsx';

const stateWords = {
  proved: 'Proved',
  overridden: 'Overridden',
  'half-signed': 'Waits for the second signature',
  open: 'Open',
  blocked: 'Blocked',
} as const;
const stateClass = {
  proved: 'done',
  overridden: 'done',
  'half-signed': 'held',
  open: 'free',
  blocked: 'held',
} as const;
const stateTag = { proved: 'teal', overridden: 'teal', 'half-signed': 'ochre', open: '', blocked: 'oxide' } as const;

const order = { blocked: 0, open: 0, 'half-signed': 1, overridden: 2, proved: 2 } as const;
/** What is still to do stands on top; within that, the order of the gate. */
const openFirst = (lines: readonly GateLineState[]): GateLineState[] =>
  [...lines].sort((a, b) => order[a.state] - order[b.state]);

const photoWords = (photos: readonly string[] = []): string =>
  photos.length === 0 ? '' : counted(photos.length, 'photo');

/** One gate: every line with what proves it, what blocks it, and why it applies. */
export function GateView({ gate }: { gate: GateState }) {
  const { sheet, plan, mayWrite, isManager } = useJob();
  const [open, setOpen] = useState<string>();
  const put = usePut();
  const list = useKeepPlace<HTMLOListElement>('li > .actions button:first-child');
  const line = gate.lines.find((l) => l.def.id === open);
  const halfSigned = (l: GateLineState) => ({
    jobId: sheet.job.id,
    kind: 'gate' as const,
    key: l.def.id,
    revision: sheet.records.find((r) => r.kind === 'gate' && r.key === l.def.id)?.revision ?? 0,
    firstId: l.proof?.override?.byId ?? l.proof?.byId,
    what: l.def.mustBe,
  });
  return (
    <>
      <p className={gate.opens ? 'notice' : 'notice ochre-notice'} role="status">
        {gate.opens ? (
          <b>The gate "{gate.gate}" is open.</b>
        ) : (
          <b>
            {gate.of - gate.proved} of {gate.of} lines stand before "{gate.gate}".
          </b>
        )}{' '}
        The maker's manual, local code and licensed trades go first.
      </p>
      <ol ref={list}>
        {openFirst(gate.lines).map((l) => (
          <li key={l.def.id} className={`step ${stateClass[l.state]}`}>
            <span className="mark" aria-hidden="true">
              {l.state === 'proved' ? '✓' : l.state === 'overridden' ? '!' : ''}
            </span>
            <div>
              <p className="title">
                {l.def.mustBe} {l.def.harm && <span className="tag oxide">harm: two signatures to override</span>}{' '}
                <span className={`tag ${stateTag[l.state]}`}>{stateWords[l.state]}</span>
              </p>
              <p className="meta">
                {l.def.proofWords}
                {l.because.length > 0
                  ? `. Because ${l.because.map((id) => becauseWords(id, plan.facts)).join(' · ')}`
                  : ''}
                {l.applies === 'waits' ? `. Depends on ${l.needs.map((id) => titleOf(id)).join(', ')}, not known` : ''}
              </p>
              {twoPeopleAt(l.def.id) && l.state !== 'proved' && <p className="meta ochre">{twoPeopleAt(l.def.id)}</p>}
              {l.blockers.map((b) => (
                <p key={b.sentence} className="caution">
                  {b.sentence}
                </p>
              ))}
              {l.accepts && (
                <p className="meta ochre">
                  Not done: {l.accepts.join(', ')}. Whoever signs this line goes on without it.
                </p>
              )}
              {l.record?.missing.length === 0 && (
                <p className="meta">
                  By the record: {l.record.says}
                  {l.record.stamp?.by ? `, ${l.record.stamp.by}` : ''}
                  {l.record.stamp?.at ? `, ${dayWords(l.record.stamp.at)} ${timeWords(l.record.stamp.at)}` : ''}
                </p>
              )}
              {l.proof && !l.proof.voided && (!l.record || l.proof.override) && (
                <p className="meta">
                  {[readingWords(l.def, l.proof), photoWords(l.proof.photos), l.proof.text].filter(Boolean).join(', ')}{' '}
                  {l.proof.override ? `Overridden: ${l.proof.override.reason}.` : ''} {l.proof.by},{' '}
                  {l.proof.at ? `${dayWords(l.proof.at)} ${timeWords(l.proof.at)}` : ''}
                  {l.proof.second ? `, second signature ${l.proof.second.by ?? ''}` : ''}
                </p>
              )}
              {l.state === 'half-signed' && mayWrite && <SecondSignature of={halfSigned(l)} />}
              {l.proof?.voided && <p className="meta ochre">Void: {l.proof.voided.why}</p>}
            </div>
            {mayWrite && (!l.record || l.proof?.override || (l.state !== 'proved' && isManager)) && (
              <div className="actions">
                {l.state === 'proved' || l.state === 'overridden' || l.state === 'half-signed' ? (
                  <button
                    type="button"
                    className="plain-button small bare"
                    aria-label={`Void the proof: ${l.def.mustBe}`}
                    disabled={put.isPending}
                    onClick={() =>
                      put.mutate({
                        kind: 'gate',
                        key: l.def.id,
                        data: {
                          text: l.proof?.text ?? '',
                          ...(l.proof?.readings ? { readings: l.proof.readings } : {}),
                          ...(l.proof?.photos ? { photos: [...l.proof.photos] } : {}),
                          voided: { why: 'taken back' },
                        },
                      })
                    }
                  >
                    Take back
                  </button>
                ) : (
                  <button
                    type="button"
                    className="plain-button small"
                    aria-label={`${l.record ? 'Override' : 'Prove'}: ${l.def.mustBe}`}
                    onClick={() => setOpen(l.def.id)}
                  >
                    {l.record ? 'Override' : 'Prove it'}
                  </button>
                )}
              </div>
            )}
          </li>
        ))}
      </ol>
      <Trouble of={put} />
      {line && <ProofForm key={line.def.id} line={line} close={() => setOpen(undefined)} />}
    </>
  );
}
