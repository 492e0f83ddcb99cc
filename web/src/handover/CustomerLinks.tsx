import { Button } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { listLinks, makeLink, revokeLink } from '@bay/contract/handover';
import { may } from '@bay/contract/rights';
import { call, command, keys, useMe } from '../api/index.ts';
import { useJob, useRecords } from '../sheet/index.ts';
import { dayWords, Trouble } from '../ui/index.ts';

/** Links by which the customer sees how it goes and answers what is asked. */
export function CustomerLinks() {
  const { sheet } = useJob();
  const jobId = sheet.job.id;
  const client = useQueryClient();
  const role = useMe().data?.person?.role;
  const allowed = may(role, 'share-with-customer');
  const [made, setMade] = useState<string>();
  const links = useQuery({
    queryKey: keys.links(jobId),
    queryFn: () => call(listLinks, { params: { jobId } }),
    enabled: allowed,
  });
  const asks = Object.values(useRecords('ask')).filter((a) => a.to === 'customer');
  const done = (): void => void client.invalidateQueries({ queryKey: keys.links(jobId) });
  const making = useMutation({
    mutationFn: () => command(makeLink, { params: { jobId }, body: { days: 60 } }, { label: 'link made', jobId }),
    onSuccess: ({ path }) => {
      setMade(`${window.location.origin}${path}`);
      done();
    },
  });
  const ending = useMutation({
    mutationFn: (linkId: string) =>
      command(revokeLink, { params: { jobId, linkId }, body: {} }, { label: 'link ended', jobId }),
    onSuccess: done,
  });
  if (!allowed) return null;
  return (
    <div className="panel">
      <h3>For the customer</h3>
      <p className="quiet">
        A link shows how it goes and what you ask of them: no money of the shop, no names, no records.
      </p>
      {made && (
        <p className="notice">
          Shown this once: <span className="mono break-all">{made}</span>
        </p>
      )}
      <ul>
        {(links.data?.links ?? []).map((l) => (
          <li key={l.id} className="row-actions">
            <span className={`tag ${l.revoked ? '' : 'teal'}`}>
              {l.revoked ? 'ended' : `until ${dayWords(l.endsAt)}`}
            </span>
            <span style={{ flex: 1 }}>
              made by {l.madeBy}, {dayWords(l.madeAt)}
            </span>
            {!l.revoked && (
              <button type="button" className="plain-button small bare" onClick={() => ending.mutate(l.id)}>
                End it
              </button>
            )}
          </li>
        ))}
        {asks.map((a) => (
          <li key={a.what} className="row-actions">
            <span className={`tag ${a.answer ? 'teal' : 'ochre'}`}>
              {a.answer ? (a.answer.yes ? 'yes' : 'no') : 'asked'}
            </span>{' '}
            {a.what}
            {a.answer?.text ? <span className="quiet">{a.answer.text}</span> : null}
          </li>
        ))}
      </ul>
      <Trouble of={making} />
      <Trouble of={ending} />
      <div className="row-actions">
        <Button variant="default" loading={making.isPending} onClick={() => making.mutate()}>
          Make a link
        </Button>
      </div>
    </div>
  );
}
