import { Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { titleOf } from '@bay/core/plan';
import type { TaskRecord } from '@bay/core/pull';
import { useCrew } from '../api/index.ts';
import { Dialog } from '../ui/index.ts';

export type Question = 'waive' | 'hand-over' | 'danger' | 'anyway' | 'found';
export type Write = (status: TaskRecord['status'], extra?: Record<string, unknown>) => void;

/** What is asked before a step is written: why not, to whom, or whether the danger was minded. */
export function StepAsk({
  what,
  caution,
  against,
  harm,
  gives,
  wantsFound,
  write,
  busy,
  close,
}: {
  what: Question;
  caution: string | undefined;
  /** What holds the step. */
  against: readonly string[];
  /** Done all the same it wants two people. */
  harm: boolean;
  /** States that others need and only this step gives. */
  gives: readonly string[];
  /** It is done only with what was found or read. */
  wantsFound: boolean;
  write: Write;
  busy: boolean;
  close: () => void;
}) {
  const crew = useCrew();
  const [text, setText] = useState('');
  const [instead, setInstead] = useState('');
  const [found, setFound] = useState('');
  const asksFound = what === 'found' || (what === 'anyway' && wantsFound);
  const noted = asksFound ? { note: found.trim() } : {};
  const titles = {
    waive: 'Not needed here',
    'hand-over': 'Hand over',
    danger: 'Before this one',
    anyway: 'Done although it is held',
    found: 'Checked',
  };
  return (
    <Dialog close={close} title={titles[what]}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          if (asksFound && found.trim().length < 3) return;
          if (what === 'danger') write('done');
          else if (what === 'found') write('done', noted);
          else if (text.trim() === '') return;
          else if (what === 'anyway') write('done', { ...noted, deviation: { why: text.trim() } });
          else if (what === 'waive')
            write('waived', { note: text, ...(instead.trim() === '' ? {} : { instead: instead.trim() }) });
          else write('open', { handedToId: text });
        }}
      >
        {what === 'danger' ? (
          <>
            <p className="oxide" style={{ fontWeight: 600 }}>
              {caution}
            </p>
            <p className="quiet">The maker's manual, local code and licensed trades go first.</p>
          </>
        ) : what === 'anyway' ? (
          <>
            <ul className="caution">
              {against.map((clause) => (
                <li key={clause}>{clause}</li>
              ))}
            </ul>
            <TextInput
              label="Why it was done all the same"
              description="A sentence; it stays in the record with what stood against it."
              value={text}
              onChange={(e) => setText(e.currentTarget.value)}
              data-autofocus
            />
            {harm && (
              <p className="oxide">
                Somebody could have been hurt here: a second person signs it, and until then it frees nothing.
              </p>
            )}
          </>
        ) : what === 'found' ? null : what === 'waive' ? (
          <>
            <TextInput label="Why" value={text} onChange={(e) => setText(e.currentTarget.value)} data-autofocus />
            {gives.length > 0 && (
              <TextInput
                label={`What gives it instead: ${gives.map(titleOf).join(', ')}`}
                description="Left empty, what needs it stays unmet. Where somebody can be hurt a second person signs this."
                value={instead}
                onChange={(e) => setInstead(e.currentTarget.value)}
                error={
                  instead.trim() !== '' && instead.trim().length < 10
                    ? 'Say in a few words what gives it instead.'
                    : undefined
                }
              />
            )}
          </>
        ) : (
          <>
            <Select
              label="To whom"
              data={(crew.data?.crew ?? []).map((p) => ({ value: p.id, label: p.name }))}
              value={text || null}
              onChange={(t) => setText(t ?? '')}
            />
            <p className="quiet">The step goes back to ready and the book says who takes it on.</p>
          </>
        )}
        {asksFound && (
          <TextInput
            label="What was found or read"
            value={found}
            onChange={(e) => setFound(e.currentTarget.value)}
            {...(what === 'found' ? { 'data-autofocus': true } : {})}
          />
        )}
        <div className="row-actions">
          <Button
            type="submit"
            disabled={
              (what !== 'danger' && what !== 'found' && text.trim().length < (what === 'anyway' ? 10 : 1)) ||
              (asksFound && found.trim().length < 3) ||
              (instead.trim() !== '' && instead.trim().length < 10)
            }
            loading={busy}
          >
            {what === 'danger' ? 'Done, with that in mind' : 'Write it'}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
