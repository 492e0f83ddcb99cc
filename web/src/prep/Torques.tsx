import { Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { boltedRoles, jointState } from '@bay/core/prep';
import type { TorqueRecord } from '@bay/core/prep';
import { formatMeasure, parseMeasure } from '@bay/core/units';
import { useJob, usePut, useRecordForm, useRecords } from '../sheet/index.ts';
import { dayWords, Empty, Form, FormDialog, measured, MeasuredInput } from '../ui/index.ts';

const stages = (t: TorqueRecord): string => t.stagesNm.map((nm) => formatMeasure(nm, 'N·m')).join(' then ');

/** "30 then 40 lbft" as stages, each with what it was taken for. */
const readStages = (typed: string) =>
  typed
    .split(/\s*(?:,|then|\+)\s*/)
    .filter(Boolean)
    .map((s) => parseMeasure(s, 'N·m'));

function BoltForm({
  joint,
  on,
  bolt,
  close,
}: {
  joint: string;
  on: (typeof boltedRoles)[number];
  bolt: string;
  close: () => void;
}) {
  const put = usePut();
  const form = useRecordForm({
    kind: 'torque',
    about: `${joint} ${bolt}`,
    initial: { bolt, stages: '', angle: '', source: '' },
    sent: (v) => ({
      joint,
      on,
      bolt: v.bolt.trim(),
      stagesNm: readStages(v.stages).flatMap((m) => (m.ok ? [m.measure.value] : [])),
      angleDeg: measured(v.angle, 'deg'),
      source: v.source,
    }),
    names: { stagesNm: 'stages', angleDeg: 'angle' },
  });
  const read = readStages(form.values.stages);
  const bad = read.find((m) => !m.ok);
  const stages = form.field('stages');
  return (
    <FormDialog
      title={`Torque: ${joint}`}
      submit="Tight"
      of={form}
      disabled={bad !== undefined}
      send={(data) => put.mutateAsync({ kind: 'torque', key: `${joint}:${form.values.bolt.trim()}`, data })}
      close={close}
    >
      <TextInput label="Bolt" {...form.field('bolt')} />
      <TextInput
        label="Stages, N·m"
        placeholder="30 then 40 lbft"
        {...stages}
        error={bad && !bad.ok ? bad.sentence : stages.error}
        description={read.flatMap((m) => (m.ok ? [m.measure.understood] : [])).join(', then ')}
        data-autofocus
      />
      <MeasuredInput label="Then angle" unit="deg" {...form.field('angle')} />
      <TextInput
        label="Value from"
        placeholder="manual, page"
        {...form.field('source')}
        description="No value known means not tightened."
      />
    </FormDialog>
  );
}

function TakenApart({ record, recordKey, close }: { record: TorqueRecord; recordKey: string; close: () => void }) {
  const form = useRecordForm({
    kind: 'torque',
    key: recordKey,
    about: `off ${recordKey}`,
    merges: true,
    initial: { why: '' },
    sent: ({ why }) => ({ ...record, voided: { why } }),
    names: { 'voided.why': 'why' },
  });
  return (
    <FormDialog
      title={`Taken off again: ${record.joint}, bolt ${record.bolt}`}
      submit="It is off"
      of={form}
      send={form.send}
      close={close}
    >
      <p>The torque record becomes void and the joint is open again. The old value stays readable.</p>
      <TextInput label="Why" data-autofocus {...form.field('why')} />
    </FormDialog>
  );
}

function JointForm() {
  const form = useRecordForm({
    kind: 'joint',
    initial: { name: '', on: 'engine', bolts: '' },
    sent: (v) => ({ name: v.name.trim(), on: v.on, bolts: v.bolts === '' ? undefined : Number(v.bolts) }),
  });
  return (
    <Form of={form} submit="Add the joint" variant="default" send={form.send} after={form.startAnew}>
      <div className="fields">
        <TextInput label="Joint" placeholder="main caps" {...form.field('name')} />
        <TextInput label="Bolts" inputMode="numeric" {...form.field('bolts')} />
        <Select label="Part of" data={boltedRoles.map((r) => ({ value: r, label: r }))} {...form.field('on')} />
      </div>
    </Form>
  );
}

/** Torque records by bolt; a part taken off again voids them. */
export function Torques() {
  const { mayWrite } = useJob();
  const torques = useRecords('torque');
  const joints = useRecords('joint');
  const [tighten, setTighten] = useState<{ joint: string; bolt: string }>();
  const [off, setOff] = useState<string>();
  const named = new Map(Object.values(joints).map((j) => [j.name, j]));
  const all = [...new Set([...named.keys(), ...Object.values(torques).map((t) => t.joint)])];
  return (
    <>
      {all.length === 0 && (
        <Empty title="No joint yet">Name a joint and count its bolts; then each bolt has its record.</Empty>
      )}
      {all.map((joint) => {
        const own = Object.entries(torques)
          .filter(([, t]) => t.joint === joint)
          .sort(([, a], [, b]) => a.bolt.localeCompare(b.bolt, 'en', { numeric: true }));
        const count = named.get(joint)?.bolts;
        const state = jointState(
          own.map(([, t]) => t),
          count ?? own.length,
        );
        return (
          <div className="panel" key={joint}>
            <div className="bench-head">
              <h3>{joint}</h3>
              <span className={`tag ${state.done && count ? 'teal' : 'ochre'}`}>
                {count ? (state.done ? 'Done' : 'Open') : 'bolts not counted'}
              </span>
              <span className="quiet">{state.said}</span>
              {mayWrite && (
                <span className="right">
                  <button
                    type="button"
                    className="plain-button small"
                    onClick={() => setTighten({ joint, bolt: String(own.length + 1) })}
                  >
                    Tighten a bolt
                  </button>
                </span>
              )}
            </div>
            <table className="data">
              <tbody>
                {own.map(([key, t]) => (
                  <tr key={key} style={t.voided ? { color: 'var(--quiet)' } : undefined}>
                    <td className="mono">{t.bolt}</td>
                    <td className="mono">
                      {t.voided ? <s>{stages(t)}</s> : stages(t)}
                      {t.angleDeg ? ` + ${t.angleDeg} deg` : ''}
                    </td>
                    <td>{t.source}</td>
                    <td>
                      {t.voided ? `void: ${t.voided.why}, ${t.voided.by}` : `${t.by}, ${t.at ? dayWords(t.at) : ''}`}
                    </td>
                    <td>
                      {mayWrite && (
                        <button
                          type="button"
                          className="plain-button small bare"
                          onClick={() => (t.voided ? setTighten({ joint, bolt: t.bolt }) : setOff(key))}
                        >
                          {t.voided ? 'Tighten again' : 'Taken off'}
                        </button>
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        );
      })}
      {mayWrite && <JointForm />}
      {tighten && (
        <BoltForm {...tighten} on={named.get(tighten.joint)?.on ?? 'engine'} close={() => setTighten(undefined)} />
      )}
      {off && <TakenApart record={torques[off]!} recordKey={off} close={() => setOff(undefined)} />}
    </>
  );
}
