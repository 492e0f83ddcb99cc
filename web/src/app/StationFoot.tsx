import { Button, TextInput } from '@mantine/core';
import { IconSignature } from '@tabler/icons-react';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { stationIds, stationName, stations } from '@bay/core/jobs';
import type { StationId } from '@bay/core/jobs';
import { openAt } from '@bay/core/plan';
import type { OpenThing } from '@bay/core/plan';
import { changeJob } from '@bay/contract/jobs';
import { useChangeJob, useJob } from '../sheet/index.ts';
import { FormDialog, Trouble, useForm } from '../ui/index.ts';
import styles from './job.module.css';

const placeOf = (jobId: string, station: StationId, { gate, at }: OpenThing): string =>
  `/jobs/${jobId}/${gate ? `start?tab=gates&gate=${encodeURIComponent(gate)}` : (at ?? station)}`;

function OpenList({ open, station, left }: { open: readonly OpenThing[]; station: StationId; left?: () => void }) {
  const { sheet } = useJob();
  return (
    <ul className={styles['still-open']}>
      {open.map((o) => (
        <li key={o.what}>
          <Link to={placeOf(sheet.job.id, station, o)} {...(left ? { onClick: left } : {})}>
            {o.what}
          </Link>
        </li>
      ))}
    </ul>
  );
}

/** A station is signed while something of it is open: what, and with a gate shut, why. */
function Despite({
  station,
  open,
  sign,
  close,
}: {
  station: StationId;
  open: readonly OpenThing[];
  sign: (despite: string | undefined) => Promise<unknown>;
  close: () => void;
}) {
  const { sheet } = useJob();
  const shut = open.some((o) => o.gate);
  const form = useForm({
    draft: `${sheet.job.id}:sign:${station}`,
    initial: { despite: '' },
    ...(shut ? { schema: changeJob.body.pick({ despite: true }).required() } : {}),
  });
  return (
    <FormDialog
      title={shut ? `Sign ${stationName(station)} with its gate shut` : `Sign ${stationName(station)} with this open`}
      submit="Sign it all the same"
      color={shut ? 'oxide' : 'bay'}
      of={form}
      send={({ despite }) => sign(shut ? despite : undefined)}
      close={close}
    >
      <OpenList open={open} station={station} left={close} />
      {shut && (
        <TextInput
          label="Signed all the same, because"
          description="A sentence; it stays in the logbook with the number of lines that stood."
          data-autofocus
          {...form.field('despite')}
        />
      )}
    </FormDialog>
  );
}

/** Signing a station, and going on to the next: what is still open stands beside the button, and is asked about. */
export function StationFoot({ view }: { view: string }) {
  const { sheet, plan, mayWrite } = useJob();
  const changing = useChangeJob();
  const navigate = useNavigate();
  const [asking, setAsking] = useState(false);
  const station = stationIds.find((id) => id === view);
  if (!station || !mayWrite || station === 'hand-over') return null;
  const { job } = sheet;
  const name = stationName(station);
  if (job.signedStations.includes(station))
    return <p className={`${styles['foot']} quiet no-print`}>{name} is signed.</p>;
  const next = stations[stationIds.indexOf(station) + 1];
  const goesOn = job.station === station && next !== undefined;
  const open = openAt(station, sheet, plan);
  const signing = { signStation: station, ...(goesOn ? { station: next.id } : {}) };
  // The job goes on, and who signed goes with it.
  const onward = (): void => {
    if (goesOn) void navigate(`/jobs/${job.id}/${next.id}`);
  };
  return (
    <section className={`${styles['foot']} no-print`} aria-label={`Sign ${name}`}>
      <div>
        <h3>{open.length > 0 ? `Still open at ${name}` : `Nothing is open at ${name}`}</h3>
        <OpenList open={open} station={station} />
      </div>
      <div className="row-actions">
        {job.station !== station && (
          <Button variant="subtle" loading={changing.isPending} onClick={() => changing.mutate({ station })}>
            The job stands here
          </Button>
        )}
        <Button
          variant={open.length > 0 ? 'default' : 'filled'}
          leftSection={<IconSignature size={20} aria-hidden="true" />}
          loading={changing.isPending}
          onClick={() => (open.length > 0 ? setAsking(true) : changing.mutate(signing, { onSuccess: onward }))}
        >
          {`Sign ${name}${goesOn ? ` and go on to ${next.name}` : ''}`}
        </Button>
      </div>
      {asking ? (
        <Despite
          station={station}
          open={open}
          sign={(despite) =>
            changing.mutateAsync({ ...signing, ...(despite ? { despite } : {}) }, { onSuccess: onward })
          }
          close={() => setAsking(false)}
        />
      ) : (
        <Trouble of={changing} />
      )}
    </section>
  );
}
