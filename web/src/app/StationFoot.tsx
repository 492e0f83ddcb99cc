import { counted } from '@bay/core/units';
import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { gatesOfStation } from '@bay/core/commissioning';
import { stationName, stations } from '@bay/core/jobs';
import type { StationId } from '@bay/core/jobs';
import { sentenceOf } from '../api/index.ts';
import { useChangeJob, useJob } from '../sheet/index.ts';
import { Dialog } from '../ui/index.ts';

/** Signing a station; with its gate shut it asks why. */
export function StationFoot({ view }: { view: string }) {
  const { sheet, plan, mayWrite } = useJob();
  const changing = useChangeJob();
  const [asking, setAsking] = useState(false);
  const [why, setWhy] = useState('');
  const at = stations.findIndex((s) => s.id === view);
  if (at < 0 || !mayWrite || view === 'hand-over') return null;
  const station = view as StationId;
  const signed = sheet.job.signedStations.includes(station);
  const next = stations[at + 1];
  const shut = plan.gates.filter((g) => gatesOfStation[station].includes(g.gate) && !g.opens);
  const sign = (despite?: string) =>
    changing.mutate(
      {
        signStation: station,
        ...(sheet.job.station === station && next ? { station: next.id } : {}),
        ...(despite === undefined ? {} : { despite }),
      },
      { onSuccess: () => setAsking(false) },
    );
  return (
    <div className="row-actions no-print" style={{ marginTop: 22 }}>
      {!signed && (
        <button
          type="button"
          className="plain-button bare"
          onClick={() => (shut.length > 0 ? setAsking(true) : sign())}
        >
          Sign {stationName(view)}
          {sheet.job.station === station && next ? ` and go on to ${next.name}` : ''}
        </button>
      )}
      {sheet.job.station !== station && !signed && (
        <button type="button" className="plain-button bare" onClick={() => changing.mutate({ station })}>
          The job stands here
        </button>
      )}
      {signed && <span className="quiet">{stationName(view)} is signed.</span>}
      {changing.isError && (
        <span role="alert" className="oxide">
          {sentenceOf(changing.error)}
        </span>
      )}
      {asking && (
        <Dialog close={() => setAsking(false)} title={`Sign ${stationName(view)} with its gate shut`}>
          <form
            onSubmit={(e) => {
              e.preventDefault();
              sign(why.trim());
            }}
          >
            {shut.map((g) => (
              <p key={g.gate} className="oxide">
                {g.of - g.proved} of {counted(g.of, 'line')} before "{g.gate}" not proved.
              </p>
            ))}
            <TextInput
              label="Signed all the same, because"
              description="A sentence; it stays in the logbook with the lines that stood."
              value={why}
              onChange={(e) => setWhy(e.currentTarget.value)}
              data-autofocus
            />
            <div className="row-actions">
              <Button type="submit" color="oxide" disabled={why.trim().length < 10} loading={changing.isPending}>
                Sign it all the same
              </Button>
            </div>
          </form>
        </Dialog>
      )}
    </div>
  );
}
