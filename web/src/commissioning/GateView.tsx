import { counted } from '@bay/core/units';
import { titleOf } from '@bay/core/plan';
import { Checkbox, TextInput } from '@mantine/core';
import { useState } from 'react';
import {
  pointsOf,
  readingsOf,
  readingWords,
  refuseProof,
  wantedWords,
  wantsPhoto,
  wantsSecond,
} from '@bay/core/commissioning';
import type { GateLineState, GateState } from '@bay/core/commissioning';
import { twoPeopleAt } from '@bay/core/crew';
import { becauseWords } from '@bay/core/facts';
import { SecondSignature } from '../crew/index.ts';
import { PhotoPicker } from '../logbook/index.ts';
import { useMe } from '../api/index.ts';
import { useJob, usePut, useRecordForm, useRecords } from '../sheet/index.ts';
import { dayWords, Dialog, Form, timeWords, Trouble, words } from '../ui/index.ts';

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

/** What is typed, and a field for each point that is read. */
interface ProofValues {
  text: string;
  reason: string;
  overriding: boolean;
  [reading: string]: string | boolean;
}

function ProofForm({ line, close }: { line: GateLineState; close: () => void }) {
  const { isManager, plan } = useJob();
  const me = useMe();
  const points = pointsOf(line.def);
  const all = useRecords('photo');
  const [chosen, choose] = useState<readonly string[]>();
  // A photo that was taken of this line shows it, until somebody says otherwise.
  const photos = wantsPhoto(line.def)
    ? (chosen ?? Object.keys(all).filter((id) => all[id]!.about === line.def.id || line.proof?.photos?.includes(id)))
    : [];
  const fieldOf = (key: string): string => `reading-${key}`;
  const proofOf = ({ overriding, ...v }: ProofValues) => {
    const typed = points.flatMap(({ key }) => {
      const said = words(String(v[fieldOf(key)] ?? ''));
      return said === undefined ? [] : [[key, said] as const];
    });
    return {
      text: v.text,
      ...(typed.length > 0 && !overriding ? { readings: Object.fromEntries(typed) } : {}),
      ...(photos.length > 0 && !overriding ? { photos: [...photos] } : {}),
      ...(overriding ? { override: { reason: v.reason } } : {}),
    };
  };
  const form = useRecordForm<ProofValues>({
    kind: 'gate',
    key: line.def.id,
    initial: {
      text: line.proof?.text ?? '',
      ...Object.fromEntries(points.map(({ key }) => [fieldOf(key), line.proof?.readings?.[key] ?? ''])),
      // What a record proves no words prove: there is only the way past it.
      overriding: line.record !== undefined,
      reason: '',
    },
    sent: proofOf,
    names: {
      'override.reason': 'reason',
      ...Object.fromEntries(points.map(({ key }) => [`readings.${key}`, fieldOf(key)])),
    },
  });
  const { text, overriding } = form.values;
  const typedAny = points.some(({ key }) => form.values[fieldOf(key)] !== '');
  const mine = me.data?.person?.name ?? '';
  const proof = proofOf(form.values);
  const refused = refuseProof(line.def, proof, plan.facts);
  const taken = new Map(readingsOf(line.def, proof, plan.facts).map((r) => [r.point.key, r]));
  return (
    <Dialog close={close} title={line.def.mustBe} size="lg">
      <p className="quiet">
        Proof wanted: {line.def.proofWords}. Left out: {line.def.why}.
      </p>
      {line.blockers.map((b) => (
        <p key={b.sentence} className="notice oxide-notice">
          {b.sentence}
        </p>
      ))}
      <Form
        of={form}
        submit={overriding ? `Override, signed ${mine}` : `Proved, signed ${mine}`}
        color={overriding ? 'oxide' : 'bay'}
        disabled={refused !== undefined}
        send={form.send}
        after={close}
      >
        {!overriding &&
          points.map((point, i) => {
            const field = form.field(fieldOf(point.key));
            const typed = String(form.values[fieldOf(point.key)] ?? '');
            return (
              <TextInput
                key={point.key}
                label={point.label}
                description={`Wanted: ${wantedWords(point, plan.facts)}`}
                {...(i === 0 ? { 'data-autofocus': true } : {})}
                classNames={{ input: 'mono' }}
                {...field}
                value={typed}
                error={field.error ?? (typed === '' ? undefined : taken.get(point.key)?.fault)}
              />
            );
          })}
        {!overriding && wantsPhoto(line.def) && <PhotoPicker about={line.def.id} chosen={photos} set={choose} />}
        {!overriding && (
          <TextInput
            label={points.length > 0 || wantsPhoto(line.def) ? 'With what, and what was seen' : 'What proves it'}
            {...form.field('text')}
            {...(points.length > 0 || wantsPhoto(line.def) ? {} : { 'data-autofocus': true })}
          />
        )}
        {isManager && !line.record && (
          <Checkbox
            mt="sm"
            label="Override this line"
            checked={overriding}
            onChange={(e) => form.set({ overriding: e.currentTarget.checked })}
          />
        )}
        {overriding && <TextInput label="Reason, it stays in the job book" {...form.field('reason')} />}
        {wantsSecond(line.def, proof) && (
          <p className="quiet">
            Two people sign this. The second signs under their own name: here with their PIN, or from their waiting
            list.
          </p>
        )}
        {refused && (text !== '' || typedAny || overriding) && <p className="ochre">{refused}</p>}
      </Form>
    </Dialog>
  );
}

/** One gate: every line with what proves it, what blocks it, and why it applies. */
export function GateView({ gate }: { gate: GateState }) {
  const { sheet, plan, mayWrite, isManager } = useJob();
  const [open, setOpen] = useState<string>();
  const put = usePut();
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
      <ol>
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
