import { Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { interfaceOf, makingSorts, makingStates, makingStepKey, makingWords } from '@bay/core/fit';
import type { MakingState, StepState } from '@bay/core/fit';
import { capital, formatMeasure } from '@bay/core/units';
import { newId } from '../../api/index.ts';
import { PhotoPicker } from '../../logbook/index.ts';
import { useJob, useRecordForm, useRecords } from '../../sheet/index.ts';
import { dayWords, Empty, Form, FormDialog, measured, MeasuredInput, words } from '../../ui/index.ts';
import styles from '../fit.module.css';

/** Begins a part that is made for this car. */
function MakingForm({ close }: { close: () => void }) {
  const { plan } = useJob();
  const [key] = useState(newId);
  const form = useRecordForm({
    kind: 'making',
    key,
    about: 'what is made',
    initial: { title: '', sort: null as string | null, place: null as string | null },
    sent: (v) => ({ title: v.title.trim(), sort: v.sort, place: v.place ?? undefined }),
  });
  return (
    <FormDialog title="A part to be made" submit="Begin it" of={form} send={form.send} close={close}>
      <TextInput label="What is made" placeholder="Left mount arm" data-autofocus {...form.field('title')} />
      <Select
        label="What it is"
        data={makingSorts.map((value) => ({ value, label: makingWords[value] }))}
        {...form.field('sort')}
      />
      <Select
        label="For which place"
        data={plan.fits.map((l) => ({ value: l.def.id, label: l.def.title }))}
        searchable
        clearable
        {...form.field('place')}
      />
    </FormDialog>
  );
}

/** The step that is next, with what it asks for. */
function NextStep({ of, at }: { of: MakingState; at: StepState }) {
  const { step } = at;
  const [photos, setPhotos] = useState<readonly string[]>([]);
  const form = useRecordForm({
    kind: 'making-step',
    key: makingStepKey(of.key, step.id),
    about: `${of.making.title}, ${step.title}`,
    merges: true,
    initial: { said: '', mm: '' },
    sent: ({ said, mm }) => ({
      making: of.key,
      step: step.id,
      times: (at.record?.times ?? 0) + 1,
      said: words(said),
      mm: measured(mm, 'mm'),
      typed: words(mm),
      photo: photos[0],
    }),
  });
  return (
    <Form of={form} submit={`Done: ${step.title.toLowerCase()}`} send={form.send} className="inner-form">
      <p className="quiet">{capital(step.how)}.</p>
      {step.caution && <p className="caution">{step.caution}</p>}
      {(step.said !== undefined || step.mm !== undefined) && (
        <div className="fields">
          {step.mm && <MeasuredInput label={step.mm.label} unit="mm" {...form.field('mm')} />}
          {step.said && <TextInput label={step.said} {...form.field('said')} />}
        </div>
      )}
      {step.photo && <PhotoPicker about={of.key} chosen={photos} set={(ids) => setPhotos(ids.slice(-1))} />}
    </Form>
  );
}

function Undone({ of, at, close }: { of: MakingState; at: StepState; close: () => void }) {
  const form = useRecordForm({
    kind: 'making-step',
    key: makingStepKey(of.key, at.step.id),
    about: `undone ${of.making.title}, ${at.step.title}`,
    merges: true,
    initial: { why: '' },
    sent: ({ why }) => ({ ...at.record!, voided: { why } }),
    names: { 'voided.why': 'why' },
  });
  return (
    <FormDialog
      title={`Does not stand: ${at.step.title.toLowerCase()}`}
      submit="It is open again"
      of={form}
      send={form.send}
      close={close}
    >
      <p>This step and all after it are open again. What was written stays readable.</p>
      <TextInput label="Why" placeholder="Cracked at the root" data-autofocus {...form.field('why')} />
    </FormDialog>
  );
}

function Dropped({ of, close }: { of: MakingState; close: () => void }) {
  const form = useRecordForm({
    kind: 'making',
    key: of.key,
    about: `left ${of.making.title}`,
    merges: true,
    initial: { why: '' },
    sent: ({ why }) => ({ ...of.making, dropped: { why } }),
    names: { 'dropped.why': 'why' },
  });
  return (
    <FormDialog
      title={`Not made after all: ${of.making.title}`}
      submit="Leave it"
      of={form}
      send={form.send}
      close={close}
    >
      <TextInput label="Why" placeholder="The plate does it" data-autofocus {...form.field('why')} />
    </FormDialog>
  );
}

/** One part: what is done, what is next, what waits. */
function Made({ of }: { of: MakingState }) {
  const { mayWrite } = useJob();
  const [undone, setUndone] = useState<StepState>();
  const [leaving, setLeaving] = useState(false);
  const { making, steps, next } = of;
  return (
    <section className="panel" aria-label={making.title}>
      <h3>
        {making.title} <span className="quiet">{makingWords[making.sort].toLowerCase()}</span>
      </h3>
      {making.place && <p className="quiet">For {interfaceOf(making.place).title.toLowerCase()}.</p>}
      <ol>
        {steps.map((s) => (
          <li key={s.step.id} className={`step ${s.done ? 'done' : s === next ? 'free' : 'open'}`}>
            <span className="tick" aria-hidden="true">
              <span className="mark">{s.done ? '✓' : ''}</span>
            </span>
            <div>
              <p className="title">{s.step.title}</p>
              {s.record && (
                <p className="meta">
                  {s.record.voided ? `Does not stand: ${s.record.voided.why}. Was done by ` : ''}
                  {s.record.by}
                  {s.record.at ? `, ${dayWords(s.record.at)}` : ''}
                  {s.record.said ? `: ${s.record.said}` : ''}
                  {s.record.mm === undefined ? '' : `, ${s.record.typed ?? formatMeasure(s.record.mm, 'mm')}`}
                  {s.again && !s.record.voided ? '. To be done again: something before it changed since' : ''}
                </p>
              )}
              {s === next && mayWrite && <NextStep key={`${s.step.id} ${s.record?.at ?? ''}`} of={of} at={s} />}
            </div>
            {s.done && mayWrite && (
              <div className="actions">
                <button
                  type="button"
                  className="plain-button small"
                  aria-label={`Does not stand: ${s.step.title}`}
                  onClick={() => setUndone(s)}
                >
                  Does not stand
                </button>
              </div>
            )}
          </li>
        ))}
      </ol>
      {!next && <p className="teal">Made.</p>}
      {next && mayWrite && (
        <Button variant="subtle" onClick={() => setLeaving(true)}>
          Not made after all
        </Button>
      )}
      {undone && <Undone of={of} at={undone} close={() => setUndone(undefined)} />}
      {leaving && <Dropped of={of} close={() => setLeaving(false)} />}
    </section>
  );
}

/** Parts that are made for this car, each step by step: no step before the one it stands on, and the last look closes it. */
export default function MakingBench() {
  const { mayWrite } = useJob();
  const [begins, setBegins] = useState(false);
  const states = makingStates(useRecords('making'), useRecords('making-step'));
  const open = states.filter((s) => s.next);
  const made = states.filter((s) => !s.next);
  return (
    <>
      {states.length === 0 && (
        <Empty title="Nothing is being made">
          Mount arms, radiator mounts, pipes, plates, altered structure: each runs as steps from the template to the
          last look, and stands open at the first crank until it is made.
        </Empty>
      )}
      {mayWrite && (
        <div className="row-actions">
          <Button variant={states.length === 0 ? 'filled' : 'default'} onClick={() => setBegins(true)}>
            A part to be made
          </Button>
        </div>
      )}
      <div className={styles['making']}>
        {[...open, ...made].map((of) => (
          <Made key={of.key} of={of} />
        ))}
      </div>
      {begins && <MakingForm close={() => setBegins(false)} />}
    </>
  );
}
