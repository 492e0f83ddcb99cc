import { Button, TextInput } from '@mantine/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { hoursBy, hoursOf, looksForgotten } from '@bay/core/clock';
import type { HoursLine, Stint } from '@bay/core/clock';
import { stationName } from '@bay/core/jobs';
import { correctClock, readClocks } from '@bay/contract/clock';
import type { ClockRow } from '@bay/contract/clock';
import { may } from '@bay/contract/rights';
import { call, command, keys, nowIso, sentenceOf, useMe } from '../api/index.ts';
import { useJob } from '../sheet/index.ts';
import { MinuteField } from '../ui/DateField.tsx';
import {
  dayWords,
  Empty,
  exactWords,
  Failed,
  FindIn,
  FormDialog,
  inGroups,
  Loading,
  Tabs,
  timeWords,
  useForm,
  useTab,
} from '../ui/index.ts';
import { ClockForm } from './ClockForm.tsx';

// The chart library is loaded where there is a chart.
const HoursChart = lazy(() => import('./HoursChart.tsx'));

const words: Record<HoursLine['word'], string> = {
  inside: 'Inside',
  under: 'Under',
  over: 'Over',
  'no-estimate': 'No estimate',
};
const shown = (hours: number): string =>
  `${Math.floor(hours)} h ${String(Math.round((hours % 1) * 60)).padStart(2, '0')}`;
const tabs = { step: 'By step', station: 'By station', person: 'By person', work: 'By kind of work' } as const;
const nouns: Record<keyof typeof tabs, string> = {
  step: 'Step',
  station: 'Station',
  person: 'Person',
  work: 'Kind of work',
};
const nameOf: Record<keyof typeof tabs, (s: Stint) => string> = {
  step: (s) => s.title,
  station: (s) => stationName(s.station),
  person: (s) => s.person,
  work: (s) => s.work,
};

const local = (iso: string): string => {
  const at = new Date(iso);
  at.setMinutes(at.getMinutes() - at.getTimezoneOffset());
  return at.toISOString().slice(0, 16);
};

function Correct({ clock, close }: { clock: ClockRow; close: () => void }) {
  const client = useQueryClient();
  const form = useForm({
    draft: `clock:${clock.id}`,
    initial: { from: local(clock.startedAt), to: clock.endedAt ? local(clock.endedAt) : '', reason: '' },
    command: correctClock,
    sent: (v) => ({
      revision: clock.revision,
      startedAt: v.from ? new Date(v.from).toISOString() : '',
      endedAt: v.to ? new Date(v.to).toISOString() : null,
      reason: v.reason,
    }),
    names: { startedAt: 'from', endedAt: 'to' },
  });
  return (
    <FormDialog
      title={`Clock of ${clock.person}`}
      submit="Correct it"
      of={form}
      send={async (body) => {
        await command(
          correctClock,
          { params: { clockId: clock.id }, body },
          { label: 'clock corrected', jobId: clock.jobId },
        );
        void client.invalidateQueries();
      }}
      close={close}
    >
      <p className="quiet">{clock.title}. The times it had stay readable.</p>
      <MinuteField label="Began" {...form.field('from')} />
      <MinuteField label="Ended" {...form.field('to')} />
      <TextInput label="Why" {...form.field('reason')} />
    </FormDialog>
  );
}

/** What the hours of this job went into, beside the estimate. */
export default function HoursBench() {
  const { sheet, mayWrite } = useJob();
  const me = useMe().data?.person;
  const jobId = sheet.job.id;
  const clocks = useQuery({ queryKey: keys.clocks(jobId), queryFn: () => call(readClocks, { params: { jobId } }) });
  const [tab, setTab] = useTab(tabs, 'step');
  const [on, setOn] = useState(false);
  const [sought, setSought] = useState('');
  const [correcting, setCorrecting] = useState<ClockRow>();
  if (clocks.isPending) return <Loading as="table" />;
  if (clocks.isError && !clocks.data)
    return <Failed sentence={sentenceOf(clocks.error)} again={() => void clocks.refetch()} />;
  const all = clocks.data.clocks;
  const now = nowIso();
  const lines = hoursBy(all, nameOf[tab], now);
  const sum = lines.reduce((h, l) => h + l.hours, 0);
  const rework = lines.reduce((h, l) => h + l.rework, 0);
  const day = (iso: string): string => dayWords(iso);
  const wanted = sought.trim().toLowerCase();
  const found = all
    .toReversed()
    .filter((c) =>
      `${c.title} ${c.person} ${stationName(c.station)} ${day(c.startedAt)}`.toLowerCase().includes(wanted),
    );
  const days = inGroups(found, (c) => day(c.startedAt));
  return (
    <>
      <div className="bench-head">
        <h2>Hours</h2>
        <span className="quiet">
          {shown(sum)} on the clock{rework > 0 ? `, of them ${shown(rework)} rework` : ''}
        </span>
        {mayWrite && (
          <span className="right">
            <Button onClick={() => setOn(true)}>Clock on</Button>
          </span>
        )}
      </div>
      {all.length === 0 ? (
        <Empty title="No clock ran yet">
          Start a step, and its clock starts with it. Work that is no step is clocked here.
        </Empty>
      ) : (
        <>
          <Tabs names={tabs} at={tab} to={setTab}>
            <Suspense fallback={null}>
              <HoursChart lines={lines} />
            </Suspense>
            <div className="scroll-x">
              <table className="data">
                <thead>
                  <tr>
                    <th>{nouns[tab]}</th>
                    <th className="num">Clocked</th>
                    <th className="num">Estimate</th>
                    <th>Beside it</th>
                    <th className="num">Rework</th>
                  </tr>
                </thead>
                <tbody>
                  {lines.map((l) => (
                    <tr key={l.name}>
                      <td>{l.name}</td>
                      <td className="num">{shown(l.hours)}</td>
                      <td className="num">{l.estimate ? `${shown(l.estimate[0])} to ${shown(l.estimate[1])}` : ''}</td>
                      <td className={l.word === 'over' ? 'ochre' : 'quiet'}>{words[l.word]}</td>
                      <td className="num">{l.rework > 0 ? shown(l.rework) : ''}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          </Tabs>
          <div className="list-head" style={{ marginTop: 18 }}>
            <h3>Every clock</h3>
            {all.length > 12 && <FindIn label="Find a clock" value={sought} set={setSought} groups={days} />}
          </div>
          {found.length === 0 && <p className="quiet">No clock here has "{sought.trim()}".</p>}
          {days.map((d) => (
            <section key={d.id} id={d.id} aria-label={d.name}>
              <h4 className="group-title">{d.name}</h4>
              <ul className="rows">
                {d.items.map((c) => (
                  <li key={c.id} className="step">
                    <span className="disc">{c.initials}</span>
                    <div>
                      <p className="title">
                        {c.title} {c.work !== 'work' && <span className="tag ochre">{c.work}</span>}
                        {c.endedAt === null && <span className="tag teal">runs</span>}
                      </p>
                      <p className="meta">
                        {day(c.startedAt)} {timeWords(c.startedAt)} to {c.endedAt ? timeWords(c.endedAt) : 'now'},{' '}
                        <span className="mono">{shown(hoursOf(c, now))}</span>, {stationName(c.station)}
                        {c.redoes ? `. Redoes: ${c.redoes}` : ''}
                      </p>
                      {c.endedAt === null && looksForgotten(c.startedAt, now, day) && (
                        <p className="meta ochre">It looks forgotten: correct when it ended.</p>
                      )}
                      {c.corrections.map((x) => (
                        <p key={x.at} className="meta">
                          Was {exactWords(x.startedAt)} to {x.endedAt ? exactWords(x.endedAt) : 'running'}; {x.by}:{' '}
                          {x.reason}
                        </p>
                      ))}
                    </div>
                    {me && mayWrite && (c.personId === me.id || may(me.role, 'correct-others')) && (
                      <div className="actions">
                        <button
                          type="button"
                          className="plain-button small bare"
                          aria-label={`Correct the clock: ${c.title}`}
                          onClick={() => setCorrecting(c)}
                        >
                          Correct
                        </button>
                      </div>
                    )}
                  </li>
                ))}
              </ul>
            </section>
          ))}
        </>
      )}
      {on && <ClockForm jobId={jobId} station={sheet.job.station} close={() => setOn(false)} />}
      {correcting && <Correct clock={correcting} close={() => setCorrecting(undefined)} />}
    </>
  );
}
