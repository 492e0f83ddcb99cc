import { Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { againstShell, shellDue } from '@bay/core/donors';
import { newId } from '../api/index.ts';
import { useJob, usePut, useRecordForm, useRecords } from '../sheet/index.ts';
import { DateField } from '../ui/DateField.tsx';
import { dayWords, FormDialog, today, Trouble } from '../ui/index.ts';

const fateWords = { scrapped: 'Scrapped', sold: 'Sold as a shell' } as const;

export function ShellForm({ against, close }: { against: string | undefined; close: () => void }) {
  const form = useRecordForm({
    kind: 'shell',
    key: 'donor',
    initial: { fate: 'scrapped' as const, goneTo: '', on: today() },
    sent: (v) => v,
  });
  return (
    <FormDialog title="The shell goes" submit="It is gone" of={form} send={form.send} close={close}>
      {against && <p className="ochre">{against}</p>}
      <div className="fields">
        <Select
          label="What becomes of it"
          data={Object.entries(fateWords).map(([value, label]) => ({ value, label }))}
          allowDeselect={false}
          {...form.field('fate')}
        />
        <TextInput label="Who has it now" data-autofocus {...form.field('goneTo')} />
        <DateField label="On" past {...form.field('on')} />
      </div>
    </FormDialog>
  );
}

/** The last chance before the shell goes: what is still on it that the list wants. */
export function Shell() {
  const { sheet, plan, mayWrite } = useJob();
  const parts = Object.values(useRecords('part'));
  const gone = useRecords('shell')['donor'];
  const put = usePut();
  const [going, setGoing] = useState(false);
  const [why, setWhy] = useState('');
  if (!sheet.units.some((u) => u.role === 'donor')) return null;
  const due = shellDue(plan.harvest, parts);
  const against = againstShell(due);
  return (
    <section className="panel" aria-label="The shell">
      <div className="bench-head">
        <h3>The shell</h3>
        <span className={gone ? 'teal' : against ? 'ochre' : 'quiet'}>
          {gone
            ? `${fateWords[gone.fate].toLowerCase()}, ${gone.goneTo}, ${dayWords(gone.on)}`
            : against
              ? `${due.untaken.length + due.unplaced.length} still hold it`
              : 'nothing of the list is on it any more'}
        </span>
        {!gone && mayWrite && (
          <span className="right no-print">
            <Button variant="default" onClick={() => setGoing(true)}>
              The shell goes
            </Button>
          </span>
        )}
      </div>
      {!gone && against && <p className="quiet">{against}</p>}
      {!gone && mayWrite && due.untaken.length > 0 && (
        <details>
          <summary>Leave what nobody wants on it</summary>
          <TextInput
            label="Why it stays on"
            description="Asked for what is hard to find by itself"
            placeholder="burnt with the cabin"
            value={why}
            onChange={(e) => setWhy(e.currentTarget.value)}
          />
          <ul className="rows">
            {plan.harvest
              .filter((l) => due.untaken.includes(l.part.title))
              .map((l) => (
                <li key={l.part.id} className="row-actions">
                  <span>{l.part.title}</span>
                  <button
                    type="button"
                    className="plain-button small"
                    aria-label={`Leave on it: ${l.part.title}`}
                    disabled={put.isPending}
                    onClick={() =>
                      put.mutate({
                        kind: 'part',
                        key: newId(),
                        data: {
                          takeId: l.part.id,
                          title: l.part.title,
                          condition: 'worn',
                          label: '',
                          place: '',
                          fate: 'left-off',
                          ...(why.trim() === '' ? {} : { note: why.trim() }),
                        },
                        revision: 0,
                      })
                    }
                  >
                    Leave it on
                  </button>
                </li>
              ))}
          </ul>
          <Trouble of={put} />
        </details>
      )}
      {going && <ShellForm against={against} close={() => setGoing(false)} />}
    </section>
  );
}
