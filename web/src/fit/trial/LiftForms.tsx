import { Select, Textarea, TextInput } from '@mantine/core';
import { useState } from 'react';
import { againstTacking, liftReasons, placeFields, sittings } from '@bay/core/fit';
import type { Lift, LiftReason, Sitting } from '@bay/core/fit';
import { newId } from '../../api/index.ts';
import { PhotoPicker } from '../../logbook/index.ts';
import { useJob, useRecordForm, useRecords } from '../../sheet/index.ts';
import { FormDialog, measured, MeasuredInput, words } from '../../ui/index.ts';
import { reasonWords, sittingWords } from './words.ts';

const unitWords = { real: 'The engine itself', 'stand-in': 'A stand-in for it' } as const;
const carriedBy = [
  { value: 'yes', label: 'Its own mounts' },
  { value: 'no', label: 'The hoist, a stand, a jack' },
];
const inQuote = [
  { value: 'yes', label: 'The quote counts with it' },
  { value: 'no', label: 'Not in the quote' },
];

/** Lines of the gate that stand before this lift: on trial those where somebody is hurt, to stay all of them. */
function useOpenLines(reason: LiftReason | null): string[] {
  const { plan } = useJob();
  return plan.gates
    .filter((g) => g.gate === 'Engine in')
    .flatMap((g) => g.lines)
    .filter((l) => l.state !== 'proved' && l.state !== 'overridden' && (reason !== 'trial' || l.def.harm))
    .map((l) => l.def.mustBe);
}

/** What a form of a lift sends besides what it asks. */
const asItStands = ({ key: _key, number: _number, ...record }: Lift): Record<string, unknown> => ({ ...record });

/** The engine goes in: why, what of it, and what is on it. */
export function GoesIn({ close }: { close: () => void }) {
  const [key] = useState(newId);
  const form = useRecordForm({
    kind: 'lift',
    key,
    about: 'the engine goes in',
    initial: {
      reason: null as LiftReason | null,
      why: '',
      foreseen: null as string | null,
      unit: null as string | null,
      carries: '',
      mounts: '',
      deviation: '',
    },
    sent: (v) => ({
      reason: v.reason,
      why: v.why,
      foreseen: v.foreseen === null ? undefined : v.foreseen === 'yes',
      unit: v.unit,
      carries: v.carries,
      mounts: words(v.mounts),
      ...(v.deviation.trim() === '' ? {} : { deviation: { why: v.deviation.trim() } }),
    }),
    names: { 'deviation.why': 'deviation' },
  });
  const open = useOpenLines(form.values.reason);
  return (
    <FormDialog title="The engine goes in" submit="It goes in" of={form} send={form.send} close={close} size="lg">
      <p className="caution">
        Nobody under a hanging engine, hands out of the gaps while it comes down. Hoist and slings rated for the mass;
        the maker's manual and the plate on the hoist go first.
      </p>
      <div className="fields">
        <Select
          label="What for"
          data={liftReasons.map((value) => ({ value, label: reasonWords[value] }))}
          data-autofocus
          {...form.field('reason')}
        />
        <Select
          label="What goes in"
          data={Object.entries(unitWords).map(([value, label]) => ({ value, label }))}
          {...form.field('unit')}
        />
        <Select label="Quoted" data={inQuote} {...form.field('foreseen')} />
      </div>
      <TextInput label="Why it goes in" placeholder="Sump over the crossmember" {...form.field('why')} />
      <Textarea
        label="What is on it, and which variant"
        placeholder="Truck sump, stock manifolds, alternator off"
        {...form.field('carries')}
      />
      <TextInput label="On which mounts" placeholder="Plates, second hole" {...form.field('mounts')} />
      {open.length > 0 && form.values.reason !== null && (
        <>
          <p className="oxide">
            Open before it goes in: {open.slice(0, 2).join('; ')}
            {open.length > 2 ? ` and ${open.length - 2} more` : ''}. Prove it at the gate "Engine in" first.
          </p>
          <TextInput
            label="It goes in all the same, because"
            description="A sentence; it stays in the record with what stood, and where harm is near a second person signs it."
            {...form.field('deviation')}
          />
        </>
      )}
    </FormDialog>
  );
}

const fieldNames = Object.fromEntries(placeFields.map((f) => [`read.${f.field}`, f.field]));

/** Where it sits in the car, by tape and protractor. */
export function SitsWhere({ lift, close }: { lift: Lift; close: () => void }) {
  const [photos, setPhotos] = useState<readonly string[]>(lift.photos ?? []);
  const { read } = lift;
  const form = useRecordForm({
    kind: 'lift',
    key: lift.key,
    about: `where it sits ${lift.key}`,
    merges: true,
    initial: {
      ...(Object.fromEntries(placeFields.map((f) => [f.field, read?.typed[f.field] ?? ''])) as Record<
        (typeof placeFields)[number]['field'],
        string
      >),
      own: read ? (read.ownMounts ? 'yes' : 'no') : null,
      touched: lift.touched ?? '',
    },
    sent: ({ own, touched, ...v }) => ({
      ...asItStands(lift),
      touched: words(touched),
      photos: [...photos],
      read: {
        ...Object.fromEntries(placeFields.map((f) => [f.field, measured(v[f.field], f.unit)])),
        ownMounts: own === null ? undefined : own === 'yes',
        typed: Object.fromEntries(
          placeFields.map((f) => [f.field, v[f.field].trim()] as const).filter(([, typed]) => typed !== ''),
        ),
      },
    }),
    names: { ...fieldNames, 'read.ownMounts': 'own' },
  });
  return (
    <FormDialog
      title="Where it sits in the car"
      submit="Write where it sits"
      of={form}
      send={form.send}
      close={close}
      size="lg"
    >
      <p className="quiet">
        From the firewall forward, from the centre line to the left, from the top of the frame rail up; weight off the
        hoist, the car level.
      </p>
      <Select label="What carries it" data={carriedBy} data-autofocus {...form.field('own')} />
      <div className="fields">
        {placeFields.map((f) => (
          <MeasuredInput key={f.field} label={f.label} unit={f.unit} {...form.field(f.field)} />
        ))}
      </div>
      <TextInput label="What it touches" placeholder="Heater pipe, left" {...form.field('touched')} />
      <PhotoPicker about={lift.key} chosen={photos} set={setPhotos} />
    </FormDialog>
  );
}

/** Offered up, loose, tacked, for good: what stands against the last two is said before. */
export function SitsHow({ lift, close }: { lift: Lift; close: () => void }) {
  const { plan } = useJob();
  const photoIds = new Set(Object.keys(useRecords('photo')));
  const form = useRecordForm({
    kind: 'lift',
    key: lift.key,
    about: `how it sits ${lift.key}`,
    merges: true,
    initial: { how: null as Sitting | null, despite: '' },
    sent: ({ how, despite }) => ({ ...asItStands(lift), sits: { how, despite: words(despite) } }),
    names: { 'sits.how': 'how', 'sits.despite': 'despite' },
  });
  const { how } = form.values;
  const fixed = how === 'tacked' || how === 'final';
  const against = fixed ? againstTacking(lift, plan, photoIds) : [];
  const open = useOpenLines('to-stay');
  return (
    <FormDialog title="How it sits" submit="It sits so" of={form} send={form.send} close={close}>
      <Select
        label="How it sits"
        data={sittings.map((value) => ({ value, label: sittingWords[value] }))}
        data-autofocus
        {...form.field('how')}
      />
      {fixed && (
        <p className="caution">
          Welding on structure or mounts is a qualified person's; battery and control units off, fire watch, the maker's
          manual and local law first.
        </p>
      )}
      {how === 'final' && open.length > 0 && (
        <p className="oxide">
          {open.length === 1 ? '1 line' : `${open.length} lines`} of the gate "Engine in" first: {open[0]}.
        </p>
      )}
      {against.map((sentence) => (
        <p key={sentence} className="oxide">
          {sentence}
        </p>
      ))}
      {against.length > 0 && (
        <TextInput
          label="It is fixed all the same, because"
          description="A sentence; it stays in the record with your name."
          {...form.field('despite')}
        />
      )}
    </FormDialog>
  );
}

/** It was moved where it is: what was read before is of another place. */
export function Moved({ lift, close }: { lift: Lift; close: () => void }) {
  const form = useRecordForm({
    kind: 'lift',
    key: lift.key,
    about: `moved ${lift.key}`,
    merges: true,
    initial: { why: '' },
    sent: ({ why }) => ({ ...asItStands(lift), shifted: { why, times: (lift.shifted?.times ?? 0) + 1 } }),
    names: { 'shifted.why': 'why' },
  });
  return (
    <FormDialog title="Moved in the bay" submit="It was moved" of={form} send={form.send} close={close}>
      <p>Its place and every gap are to be read again; nothing that was read is lost.</p>
      <TextInput
        label="What was moved, and by how much"
        placeholder="Left mount a hole down"
        data-autofocus
        {...form.field('why')}
      />
    </FormDialog>
  );
}

/** It comes out again: why, what it cost, and what that undoes. */
export function ComesOut({ lift, close }: { lift: Lift; close: () => void }) {
  const { plan } = useJob();
  const undone = plan.gates
    .flatMap((g) => g.lines)
    .filter((l) => l.def.tillOut && (l.state === 'proved' || l.state === 'overridden'));
  const form = useRecordForm({
    kind: 'lift',
    key: lift.key,
    about: `comes out ${lift.key}`,
    merges: true,
    initial: { why: '', hours: '' },
    sent: ({ why, hours }) => ({ ...asItStands(lift), out: { why, hours: measured(hours, 'h') } }),
    names: { 'out.why': 'why', 'out.hours': 'hours' },
  });
  return (
    <FormDialog title="It comes out again" submit="It comes out" of={form} send={form.send} close={close}>
      <p className="caution">
        What hangs on it is off first: plugs, hoses, earths, exhaust, shaft. Nobody under a hanging engine; slings,
        hoist and legs as for any lift.
      </p>
      <TextInput
        label="Why it comes out"
        placeholder="Notch in the crossmember"
        data-autofocus
        {...form.field('why')}
      />
      <MeasuredInput label="Hours this lift took" unit="h" {...form.field('hours')} />
      {undone.length > 0 && (
        <>
          <p className="ochre">To be proved again before it goes on:</p>
          <ul>
            {undone.map((l) => (
              <li key={l.def.id}>{l.def.mustBe}</li>
            ))}
          </ul>
        </>
      )}
      <p>
        Bolts of converter, bell and mounts that come out lose their torque: say so at <b>Prep, torques, "Taken off"</b>
        , joint by joint.
      </p>
    </FormDialog>
  );
}
