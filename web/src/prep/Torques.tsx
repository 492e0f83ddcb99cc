import { Button, Modal, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { boltedRoles, jointState } from '@bay/core/prep';
import type { TorqueRecord } from '@bay/core/prep';
import { formatMeasure, parseMeasure } from '@bay/core/units';
import { newId, sentenceOf } from '../api/index.ts';
import { useJob, usePut, useRecords } from '../sheet/index.ts';
import { dayWords, Empty, MeasuredInput, Trouble } from '../ui/index.ts';

const stages = (t: TorqueRecord): string => t.stagesNm.map((nm) => formatMeasure(nm, 'N·m')).join(' then ');

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
  const [number, setNumber] = useState(bolt);
  const [stages, setStages] = useState('');
  const [angle, setAngle] = useState('');
  const [source, setSource] = useState('');
  const read = stages
    .split(/\s*(?:,|then|\+)\s*/)
    .filter(Boolean)
    .map((s) => parseMeasure(s, 'N·m'));
  const deg = angle.trim() === '' ? undefined : parseMeasure(angle, 'deg');
  const bad = read.find((m) => !m.ok);
  return (
    <Modal opened onClose={close} title={`Torque: ${joint}`}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          put.mutate(
            {
              kind: 'torque',
              key: `${joint}:${number.trim()}`,
              data: {
                joint,
                on,
                bolt: number.trim(),
                stagesNm: read.flatMap((m) => (m.ok ? [m.measure.value] : [])),
                ...(deg?.ok ? { angleDeg: deg.measure.value } : {}),
                source,
              },
            },
            { onSuccess: close },
          );
        }}
      >
        <TextInput label="Bolt" value={number} onChange={(e) => setNumber(e.currentTarget.value)} />
        <TextInput
          label="Stages, N·m"
          placeholder="30 then 40 lbft"
          value={stages}
          onChange={(e) => setStages(e.currentTarget.value)}
          error={bad && !bad.ok ? bad.sentence : undefined}
          description={read.flatMap((m) => (m.ok ? [m.measure.understood] : [])).join(', then ')}
          data-autofocus
        />
        <MeasuredInput label="Then angle" unit="deg" value={angle} onChange={setAngle} />
        <TextInput
          label="Value from"
          placeholder="manual, page"
          value={source}
          onChange={(e) => setSource(e.currentTarget.value)}
          description="No value known means not tightened."
        />
        <Trouble of={put} />
        <div className="row-actions">
          <Button
            type="submit"
            loading={put.isPending}
            disabled={
              number.trim() === '' || (read.length === 0 && !deg?.ok) || bad !== undefined || source.trim() === ''
            }
          >
            Tight
          </Button>
        </div>
      </form>
    </Modal>
  );
}

function TakenApart({ record, recordKey, close }: { record: TorqueRecord; recordKey: string; close: () => void }) {
  const put = usePut();
  const [why, setWhy] = useState('');
  return (
    <Modal opened onClose={close} title={`Taken off again: ${record.joint}, bolt ${record.bolt}`}>
      <p>The torque record becomes void and the joint is open again. The old value stays readable.</p>
      <TextInput label="Why" value={why} onChange={(e) => setWhy(e.currentTarget.value)} data-autofocus />
      <Trouble of={put} />
      <div className="row-actions">
        <Button
          disabled={why.trim().length < 3}
          loading={put.isPending}
          onClick={() =>
            put.mutate({ kind: 'torque', key: recordKey, data: { ...record, voided: { why } } }, { onSuccess: close })
          }
        >
          It is off
        </Button>
      </div>
    </Modal>
  );
}

/** Torque records by bolt; a part taken off again voids them. */
export function Torques() {
  const { mayWrite } = useJob();
  const torques = useRecords('torque');
  const joints = useRecords('joint');
  const put = usePut();
  const [name, setName] = useState('');
  const [bolts, setBolts] = useState('');
  const [on, setOn] = useState<(typeof boltedRoles)[number]>('engine');
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
      {mayWrite && (
        <form
          className="row-actions"
          onSubmit={(e) => {
            e.preventDefault();
            put.mutate(
              { kind: 'joint', key: newId(), data: { name: name.trim(), on, bolts: Number(bolts) }, revision: 0 },
              { onSuccess: () => setName('') },
            );
          }}
        >
          <TextInput
            aria-label="Joint"
            placeholder="Joint, for example main caps"
            value={name}
            onChange={(e) => setName(e.currentTarget.value)}
          />
          <TextInput
            aria-label="Bolts"
            placeholder="Bolts"
            inputMode="numeric"
            value={bolts}
            onChange={(e) => setBolts(e.currentTarget.value.replace(/\D/g, ''))}
            w={100}
          />
          <Select
            aria-label="Part of"
            w={120}
            data={boltedRoles.map((r) => ({ value: r, label: r }))}
            value={on}
            onChange={(r) => setOn(r ?? 'engine')}
          />
          <Button
            type="submit"
            variant="default"
            disabled={name.trim().length < 2 || Number(bolts) < 1}
            loading={put.isPending}
          >
            Add the joint
          </Button>
          {put.isError && (
            <span role="alert" className="oxide">
              {sentenceOf(put.error)}
            </span>
          )}
        </form>
      )}
      {tighten && (
        <BoltForm {...tighten} on={named.get(tighten.joint)?.on ?? 'engine'} close={() => setTighten(undefined)} />
      )}
      {off && <TakenApart record={torques[off]!} recordKey={off} close={() => setOff(undefined)} />}
    </>
  );
}
