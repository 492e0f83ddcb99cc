import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { againstFill, alwaysNeeded, fluidWays, holdsWords } from '@bay/core/fluids';
import type { Fill, FluidSystemId, FluidWay } from '@bay/core/fluids';
import { formatMeasure } from '@bay/core/units';
import { useJob, useRecordForm } from '../sheet/index.ts';
import { dayWords, FormDialog, measured, MeasuredInput, words } from '../ui/index.ts';

interface Asked {
  system: FluidSystemId;
  title: string;
  way: FluidWay;
  /** What was put in the last time, or what the card names. */
  grade: string;
}

const titles = { filled: 'Put in', drained: 'Drained', 'not-needed': 'Not needed' } as const;
const stateWords: Record<Fill['state'], string> = {
  agrees: 'Agrees',
  filled: 'Filled',
  'not-needed': 'Not needed',
  'not-said': 'Nothing written',
  dry: 'Dry',
  short: 'Too little',
  over: 'Too much',
};
const stateTag: Record<Fill['state'], string> = {
  agrees: 'teal',
  filled: 'teal',
  'not-needed': '',
  'not-said': 'ochre',
  dry: 'oxide',
  short: 'oxide',
  over: 'oxide',
};

function FluidForm({ of: { system, title, way, grade }, close }: { of: Asked; close: () => void }) {
  const form = useRecordForm({
    kind: 'fluid',
    initial: { what: way === 'not-needed' ? title : grade, litres: '', note: '' },
    sent: (v) => ({
      way,
      system,
      what: v.what,
      ...(way === 'not-needed' ? {} : { litres: measured(v.litres, 'L') }),
      note: words(v.note),
    }),
  });
  return (
    <FormDialog title={`${titles[way]}: ${title}`} submit="Write it" of={form} send={form.send} close={close}>
      {way !== 'not-needed' && (
        <>
          <MeasuredInput label="How much" unit="L" autoFocus {...form.field('litres')} />
          <TextInput label="Kind and grade" description="As the can says it" {...form.field('what')} />
        </>
      )}
      <TextInput
        label={way === 'not-needed' ? 'Why this car does without it' : 'Note'}
        {...form.field('note')}
        {...(way === 'not-needed' ? { 'data-autofocus': true } : {})}
      />
      {(system === 'brake' || system === 'clutch') && (
        <p className="oxide">Brake fluid eats paint and eyes: gloves, glasses. Never from an open can.</p>
      )}
      {system === 'coolant' && <p className="oxide">Never open a hot system. Coolant is poisonous: none left lying.</p>}
      {system === 'fuel' && (
        <p className="oxide">Engine cold, battery off, no flame, extinguisher within reach, air moving.</p>
      )}
    </FormDialog>
  );
}

const ways = (system: FluidSystemId): readonly FluidWay[] =>
  fluidWays.filter((way) => way !== 'not-needed' || !alwaysNeeded.has(system));

function System({ fill, ask }: { fill: Fill; ask: (way: FluidWay) => void }) {
  const { mayWrite } = useJob();
  const { title, grade, missing, putIn, last, state } = fill;
  return (
    <li className="step">
      <span className="mark" aria-hidden="true">
        {state === 'agrees' || state === 'filled' ? '✓' : ''}
      </span>
      <div>
        <p className="title">
          {title.charAt(0).toUpperCase() + title.slice(1)}{' '}
          <span className={`tag ${stateTag[state]}`}>{stateWords[state]}</span>
        </p>
        <p className="meta">
          {fill.holds === undefined
            ? missing.length > 0
              ? `What it holds is not added up. Not known: ${missing.join('; ')}`
              : 'No amount on its card: the level decides'
            : `Holds ${holdsWords(fill)}`}
          {grade === undefined ? '' : `. Wanted: ${grade}`}
        </p>
        {last && (
          <p className="meta">
            {putIn === undefined ? '' : `In it: ${formatMeasure(putIn, 'L')}. `}
            Last: {titles[last.way].toLowerCase()}
            {last.litres === undefined ? '' : ` ${formatMeasure(last.litres, 'L')}`}, {last.what}
            {last.note ? ` (${last.note})` : ''}, {last.by}
            {last.at ? `, ${dayWords(last.at)}` : ''}
          </p>
        )}
        {state !== 'not-said' &&
          againstFill(fill).map((sentence) => (
            <p key={sentence} className="caution">
              {sentence}
            </p>
          ))}
      </div>
      {mayWrite && (
        <div className="actions">
          {ways(fill.system).map((way) => (
            <button
              key={way}
              type="button"
              className={`plain-button small ${way === 'filled' ? '' : 'bare'}`}
              aria-label={`${titles[way]}: ${title}`}
              onClick={() => ask(way)}
            >
              {titles[way]}
            </button>
          ))}
        </div>
      )}
    </li>
  );
}

/** What each system holds by its parts, what was put in, and whether the two agree. */
export function Fluids() {
  const { plan } = useJob();
  const [asked, setAsked] = useState<Asked>();
  return (
    <>
      <p className="quiet">
        What a circuit holds is the sum of its parts; put in may differ by a tenth (common practice). The dipstick and
        the maker's manual go first.
      </p>
      <ol>
        {plan.fills.map((fill) => (
          <System
            key={fill.system}
            fill={fill}
            ask={(way) =>
              setAsked({ system: fill.system, title: fill.title, way, grade: fill.last?.what ?? fill.grade ?? '' })
            }
          />
        ))}
      </ol>
      {asked && <FluidForm key={`${asked.system} ${asked.way}`} of={asked} close={() => setAsked(undefined)} />}
    </>
  );
}
