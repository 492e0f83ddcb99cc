import { Checkbox, TextInput } from '@mantine/core';
import { useState } from 'react';
import {
  pointsOf,
  readingsOf,
  refuseProof,
  wantedBand,
  wantedWords,
  wantsPhoto,
  wantsSecond,
} from '@bay/core/commissioning';
import type { GateLineState } from '@bay/core/commissioning';
import { PhotoPicker } from '../logbook/index.ts';
import { useMe } from '../api/index.ts';
import { useJob, useRecordForm, useRecords } from '../sheet/index.ts';
import { Dialog, Form, RangeBand, words } from '../ui/index.ts';

/** What is typed, and a field for each point that is read. */
interface ProofValues {
  text: string;
  reason: string;
  overriding: boolean;
  [reading: string]: string | boolean;
}

/** What proves one line of a gate: readings, photos, words; or the way past it, with its reason. */
export function ProofForm({ line, close }: { line: GateLineState; close: () => void }) {
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
        Proof wanted: {line.def.proofWords}. Without it: {line.def.why}.
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
            const { unit, min, max } = wantedBand(point, plan.facts);
            const read = taken.get(point.key);
            const limited = min !== undefined || max !== undefined;
            return (
              <div key={point.key}>
                <TextInput
                  label={point.label}
                  description={`Wanted: ${wantedWords(point, plan.facts)}`}
                  {...(i === 0 ? { 'data-autofocus': true } : {})}
                  classNames={{ input: 'mono' }}
                  {...field}
                  value={typed}
                  error={field.error ?? (typed === '' ? undefined : read?.fault)}
                />
                {limited && (read?.unit === undefined || read.unit === unit) && (
                  <RangeBand
                    label={point.label}
                    range={{
                      unit,
                      goOn: { ...(min === undefined ? {} : { min }), ...(max === undefined ? {} : { max }) },
                    }}
                    value={typed === '' ? undefined : read?.value}
                  />
                )}
              </div>
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
