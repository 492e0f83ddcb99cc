import { Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { schoolQuestions, schoolSides } from '@bay/core/schools';
import { useJob, usePut, useRecordForm } from '../sheet/index.ts';
import { FormDialog } from '../ui/index.ts';

const sideOf = (id: string) => schoolSides.find((s) => s.id === id);

/** Schools that shape this station; a job may differ from the shop, with a reason. */
export function JobSchools({ ids }: { ids: readonly string[] }) {
  const { plan, mayWrite } = useJob();
  const [open, setOpen] = useState<string>();
  return (
    <div className="row-actions" style={{ margin: '0 0 8px', gap: 0 }}>
      {ids.map((id) => {
        const question = schoolQuestions.find((q) => q.id === id)!;
        const choice = plan.schools.get(id)!;
        return (
          <button
            key={id}
            type="button"
            className="plain-button small bare"
            disabled={!mayWrite}
            onClick={() => setOpen(id)}
            title={question.question}
          >
            {sideOf(choice.side)?.standsFor ?? choice.side}{' '}
            <span className="quiet" style={{ fontWeight: 400 }}>
              {choice.from === 'job' ? 'this job' : choice.from === 'shop' ? "shop's school" : 'default'}
            </span>
          </button>
        );
      })}
      {open && <Differ id={open} close={() => setOpen(undefined)} />}
    </div>
  );
}

function Differ({ id, close }: { id: string; close: () => void }) {
  const { plan } = useJob();
  const question = schoolQuestions.find((q) => q.id === id)!;
  const choice = plan.schools.get(id)!;
  const put = usePut();
  const form = useRecordForm({
    kind: 'school',
    key: id,
    initial: { side: choice.side, reason: '' },
    sent: (v) => v,
  });
  const chosen = sideOf(form.values.side);
  return (
    <FormDialog
      title={question.question}
      size="lg"
      submit="Take this side here"
      of={form}
      send={form.send}
      close={close}
      beside={
        choice.from === 'job' && (
          <Button
            variant="default"
            loading={put.isPending}
            onClick={() =>
              put.mutate(
                { kind: 'school', key: id, data: { side: '', reason: 'as the shop does' } },
                { onSuccess: close },
              )
            }
          >
            Back to the shop's
          </Button>
        )
      }
    >
      <Select
        label="On this job"
        data={question.sides.map((s) => ({ value: s.id, label: sideOf(s.id)?.standsFor ?? s.label }))}
        data-autofocus
        {...form.field('side')}
      />
      {chosen && (
        <div className="words-3">
          <p>
            <b>For it</b> {chosen.reasons}
          </p>
          <p>
            <b>Against it</b> {chosen.weak}
          </p>
          <p>
            <b>What the plan changes</b> {chosen.changes}
          </p>
        </div>
      )}
      <TextInput label="Why this job differs" mt="sm" {...form.field('reason')} />
    </FormDialog>
  );
}
