import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { gatesOfStation } from '@bay/core/commissioning';
import type { GateState } from '@bay/core/commissioning';
import { stationName, stations } from '@bay/core/jobs';
import type { StationId } from '@bay/core/jobs';
import { counted } from '@bay/core/units';
import { changeJob } from '@bay/contract/jobs';
import { useChangeJob, useJob } from '../sheet/index.ts';
import { FormDialog, Trouble, useForm } from '../ui/index.ts';

/** A station is signed while its gate is shut: why. */
function Despite({
  station,
  shut,
  sign,
  close,
}: {
  station: StationId;
  shut: readonly GateState[];
  sign: (despite: string) => Promise<unknown>;
  close: () => void;
}) {
  const { sheet } = useJob();
  const form = useForm({
    draft: `${sheet.job.id}:sign:${station}`,
    initial: { despite: '' },
    schema: changeJob.body.pick({ despite: true }).required(),
  });
  return (
    <FormDialog
      title={`Sign ${stationName(station)} with its gate shut`}
      submit="Sign it all the same"
      color="oxide"
      of={form}
      send={({ despite }) => sign(despite)}
      close={close}
    >
      {shut.map((g) => (
        <p key={g.gate} className="oxide">
          {g.of - g.proved} of {counted(g.of, 'line')} before "{g.gate}" not proved.
        </p>
      ))}
      <TextInput
        label="Signed all the same, because"
        description="A sentence; it stays in the logbook with the number of lines that stood."
        data-autofocus
        {...form.field('despite')}
      />
    </FormDialog>
  );
}

/** Signing a station, and going on to the next. */
export function StationFoot({ view }: { view: string }) {
  const { sheet, plan, mayWrite } = useJob();
  const changing = useChangeJob();
  const [asking, setAsking] = useState(false);
  const at = stations.findIndex((s) => s.id === view);
  if (at < 0 || !mayWrite || view === 'hand-over') return null;
  const station = view as StationId;
  const signed = sheet.job.signedStations.includes(station);
  const next = stations[at + 1];
  const goesOn = sheet.job.station === station && next !== undefined;
  const shut = plan.gates.filter((g) => gatesOfStation[station].includes(g.gate) && !g.opens);
  const signing = { signStation: station, ...(goesOn ? { station: next.id } : {}) };
  return (
    <div className="row-actions no-print" style={{ marginTop: 22 }}>
      {!signed && (
        <button
          type="button"
          className="plain-button bare"
          onClick={() => (shut.length > 0 ? setAsking(true) : changing.mutate(signing))}
        >
          Sign {stationName(view)}
          {goesOn ? ` and go on to ${next.name}` : ''}
        </button>
      )}
      {sheet.job.station !== station && !signed && (
        <button type="button" className="plain-button bare" onClick={() => changing.mutate({ station })}>
          The job stands here
        </button>
      )}
      {signed && <span className="quiet">{stationName(view)} is signed.</span>}
      {asking ? (
        <Despite
          station={station}
          shut={shut}
          sign={(despite) => changing.mutateAsync({ ...signing, despite })}
          close={() => setAsking(false)}
        />
      ) : (
        <Trouble of={changing} />
      )}
    </div>
  );
}
