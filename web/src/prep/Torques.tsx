import { Checkbox, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import {
  boltedRoles,
  boltPlaces,
  fieldAspect,
  jointState,
  noSource,
  readPlaces,
  tighteningOrder,
} from '@bay/core/prep';
import { torquesSinceOut } from '@bay/core/prep';
import type { JointRecord, TorqueRecord } from '@bay/core/prep';
import { lastOut, liftsInOrder } from '@bay/core/fit';
import { latest } from '@bay/core/rules';
import { formatMeasure, parseMeasure } from '@bay/core/units';
import { useJob, usePut, useRecordForm, useRecords } from '../sheet/index.ts';
import { dayWords, Empty, Fold, Form, FormDialog, measured, MeasuredInput, useSettled } from '../ui/index.ts';
import { BoltField } from '../ui/BoltField.tsx';
import type { BoltMark } from '../ui/BoltField.tsx';
import { BagMap } from './BagMap.tsx';

const stages = (t: TorqueRecord): string => t.stagesNm.map((nm) => formatMeasure(nm, 'N·m')).join(' then ');

/** "30 then 40 lbft" as stages, each with what it was taken for. */
const readStages = (typed: string) =>
  typed
    .split(/\s*(?:,|then|\+)\s*/)
    .filter(Boolean)
    .map((s) => parseMeasure(s, 'N·m'));

/** One bolt tightened: values as at the last one, changed where they differ; Enter goes on to the next in order. */
function BoltForm({
  joint,
  on,
  bolt,
  last,
  done,
}: {
  joint: string;
  on: (typeof boltedRoles)[number];
  bolt: string;
  /** The last one tightened in this joint: its values stand for the next. */
  last: TorqueRecord | undefined;
  done: () => void;
}) {
  const put = usePut();
  const form = useRecordForm({
    kind: 'torque',
    about: `${joint} ${bolt}`,
    initial: {
      stages: last ? last.stagesNm.map((nm) => formatMeasure(nm, 'N·m')).join(' then ') : '',
      angle: last?.angleDeg === undefined ? '' : String(last.angleDeg),
      source: last && last.source !== noSource ? last.source : '',
    },
    sent: (v) => ({
      joint,
      on,
      bolt,
      stagesNm: readStages(v.stages).flatMap((m) => (m.ok ? [m.measure.value] : [])),
      angleDeg: measured(v.angle, 'deg'),
      source: v.source,
    }),
    names: { stagesNm: 'stages', angleDeg: 'angle' },
  });
  const read = readStages(form.values.stages);
  const bad = read.find((m) => !m.ok);
  const stages = form.field('stages');
  const settled = useSettled();
  return (
    <Form
      of={form}
      submit={`Bolt ${bolt} is tight`}
      disabled={bad !== undefined || !settled}
      send={(data) => put.mutateAsync({ kind: 'torque', key: `${joint}:${bolt}`, data })}
      after={done}
    >
      <TextInput
        label="Stages, N·m"
        placeholder="30 then 40 lbft"
        {...stages}
        error={bad && !bad.ok ? bad.sentence : stages.error}
        description={read.flatMap((m) => (m.ok ? [m.measure.understood] : [])).join(', then ')}
      />
      <MeasuredInput label="Then angle" unit="deg" {...form.field('angle')} />
      <TextInput
        label="Value from"
        placeholder="manual, page"
        {...form.field('source')}
        description="No value known means not tightened."
      />
    </Form>
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

const placesOf = (typed: string, bolts: number): { x: number; y: number }[] => {
  const read = readPlaces(typed, bolts);
  return read.ok ? read.places : [];
};

function JointForm() {
  const form = useRecordForm({
    kind: 'joint',
    initial: { name: '', on: 'engine', bolts: '', layout: 'rows', order: '', places: '', undone: false },
    sent: (v) => ({
      name: v.name.trim(),
      on: v.on,
      bolts: v.bolts === '' ? undefined : Number(v.bolts),
      layout: v.layout,
      ...(v.undone ? { undoneByLift: true } : {}),
      order: v.order.split(/[\s,;]+/).filter(Boolean),
      ...(v.layout === 'typed' ? { places: placesOf(v.places, Number(v.bolts)) } : {}),
    }),
  });
  const { layout, places, bolts } = form.values;
  const read = layout === 'typed' ? readPlaces(places, Number(bolts)) : undefined;
  return (
    <Form of={form} submit="Add the joint" variant="default" send={form.send} after={form.startAnew}>
      <div className="fields">
        <TextInput label="Joint" placeholder="main caps" {...form.field('name')} />
        <TextInput label="Bolts" inputMode="numeric" {...form.field('bolts')} />
        <Select
          label="They lie"
          data={[
            { value: 'rows', label: 'in two rows' },
            { value: 'circle', label: 'in a circle' },
            { value: 'typed', label: 'where I type' },
          ]}
          {...form.field('layout')}
        />
        <TextInput
          label="Order of the manual"
          placeholder="5 6 4 7 …"
          description="Left empty: the usual order."
          {...form.field('order')}
        />
        {layout === 'typed' && (
          <TextInput
            label="Their places, across and down"
            placeholder="0 0; 90 0; 45 60"
            description="One pair for each bolt, in any unit."
            {...form.field('places')}
            error={read && !read.ok && places.trim() !== '' ? read.sentence : form.field('places').error}
          />
        )}
        <Select label="Part of" data={boltedRoles.map((r) => ({ value: r, label: r }))} {...form.field('on')} />
        <Checkbox
          label="Comes undone when the engine comes out"
          description="Mounts, bell, converter: their torques are void after each lift."
          checked={form.values.undone}
          onChange={(e) => form.set({ undone: e.currentTarget.checked })}
        />
      </div>
    </Form>
  );
}

const saidOf = (t: TorqueRecord): string =>
  t.voided
    ? `off again: ${t.voided.why}`
    : `${stages(t)}${t.angleDeg ? ` + ${t.angleDeg} deg` : ''}, ${t.source}, ${t.by ?? ''}`;

/** One joint: its bolts drawn, the next in order ready to be written, and every value below. */
function Joint({
  name,
  record,
  recordKey,
  own,
}: {
  name: string;
  recordKey: string | undefined;
  record: JointRecord | undefined;
  own: readonly [string, TorqueRecord][];
}) {
  const { mayWrite } = useJob();
  const [picked, pick] = useState<string>();
  const [off, setOff] = useState<string>();
  const [listed, setListed] = useState(false);
  const [bagged, setBagged] = useState(false);
  const byBolt = new Map(own.map(([key, t]) => [t.bolt, { key, t }]));
  const bolts = record?.bolts ?? Math.max(1, ...own.map(([, t]) => Number(t.bolt) || 0));
  const drawn = { bolts, layout: record?.layout, order: record?.order, places: record?.places };
  const { order, from } = tighteningOrder(drawn);
  const tight = (bolt: string): boolean => byBolt.has(bolt) && !byBolt.get(bolt)!.t.voided;
  const next = order.find((b) => !tight(b));
  const at = picked ?? next;
  const here = at === undefined ? undefined : byBolt.get(at);
  const last = latest(own.map(([, t]) => t).filter((t) => !t.voided));
  const state = jointState(
    own.map(([, t]) => t),
    bolts,
  );
  const marks = new Map<string, BoltMark>(
    own.map(([, t]) => [t.bolt, { state: t.voided ? 'off' : 'tight', said: saidOf(t) }]),
  );
  return (
    <div className="panel">
      <div className="bench-head">
        <h3>{name}</h3>
        <span className={`tag ${state.done && record ? 'teal' : 'ochre'}`}>
          {record ? (state.done ? 'Done' : 'Open') : 'bolts not counted'}
        </span>
        <span className="quiet">
          {state.said}; order: {from === 'typed' ? 'as typed' : 'common practice, the manual goes first'}
        </span>
      </div>
      <div className="bolt-place">
        <BoltField
          label={`Bolts of ${name}`}
          places={boltPlaces(drawn)}
          aspect={fieldAspect(drawn)}
          order={order}
          marks={marks}
          at={at}
          pick={(bolt) => pick(bolt)}
        />
        {mayWrite && at !== undefined && (
          <div>
            {tight(at) && here ? (
              <>
                <p>
                  Bolt {at}: <span className="mono">{saidOf(here.t)}</span>, {here.t.at ? dayWords(here.t.at) : ''}
                </p>
                <button
                  type="button"
                  className="plain-button small"
                  aria-label={`Taken off: ${name}, bolt ${at}`}
                  onClick={() => setOff(here.key)}
                >
                  Taken off
                </button>
              </>
            ) : (
              <BoltForm
                key={at}
                joint={name}
                on={record?.on ?? 'engine'}
                bolt={at}
                last={last}
                done={() => pick(undefined)}
              />
            )}
          </div>
        )}
      </div>
      {record && recordKey && (
        <Fold
          name="Where its bolts lie"
          count={Object.keys(record.bags ?? {}).length}
          open={bagged}
          toggle={() => setBagged(!bagged)}
          note="the bag of each one that is out"
        >
          <BagMap recordKey={recordKey} record={record} />
        </Fold>
      )}
      {own.length > 0 && (
        <Fold name="Every value" count={own.length} open={listed} toggle={() => setListed(!listed)}>
          <div className="scroll-x">
            <table className="data">
              <tbody>
                {own.map(([key, t]) => (
                  <tr key={key} className={t.voided ? 'quiet' : ''}>
                    <td className="mono">{t.bolt}</td>
                    <td className="mono">
                      {t.voided ? <s>{stages(t)}</s> : stages(t)}
                      {t.angleDeg ? ` + ${t.angleDeg} deg` : ''}
                    </td>
                    <td>{t.source}</td>
                    <td>
                      {t.voided
                        ? `off again: ${t.voided.why}, ${t.voided.by}`
                        : `${t.by}, ${t.at ? dayWords(t.at) : ''}`}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </Fold>
      )}
      {off && byBolt.size > 0 && (
        <TakenApart record={own.find(([key]) => key === off)![1]} recordKey={off} close={() => setOff(undefined)} />
      )}
    </div>
  );
}

/** Torque records by bolt; a part taken off again voids them. */
export function Torques() {
  const { mayWrite } = useJob();
  const joints = useRecords('joint');
  const torques = torquesSinceOut(
    useRecords('torque'),
    Object.values(joints),
    lastOut(liftsInOrder(useRecords('lift')))?.out,
  );
  const named = new Map(Object.entries(joints).map(([key, j]) => [j.name, { key, j }]));
  const all = [...new Set([...named.keys(), ...Object.values(torques).map((t) => t.joint)])];
  return (
    <>
      {all.length === 0 && (
        <Empty title="No joint yet">Name a joint and count its bolts; then each bolt has its record.</Empty>
      )}
      {all.map((name) => (
        <Joint
          key={name}
          name={name}
          record={named.get(name)?.j}
          recordKey={named.get(name)?.key}
          own={Object.entries(torques)
            .filter(([, t]) => t.joint === name)
            .sort(([, a], [, b]) => a.bolt.localeCompare(b.bolt, 'en', { numeric: true }))}
        />
      ))}
      {mayWrite && <JointForm />}
    </>
  );
}
