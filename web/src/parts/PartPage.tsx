import { Button } from '@mantine/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { QueryClient } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import type { PartRecord } from '@bay/core/parts';
import type { JobSheet } from '@bay/contract/jobs';
import { photoPath } from '@bay/contract/logbook';
import { readPart } from '@bay/contract/parts';
import { History } from '../logbook/index.ts';
import { call, keys, sentenceOf } from '../api/index.ts';
import { dayWords, Failed, Loading } from '../ui/index.ts';
import { QrSquare } from './QrSquare.tsx';
import styles from './parts.module.css';

/** The part as it stood on a job that was opened on this device. */
function keptPart(client: QueryClient, partId: string) {
  for (const [, sheet] of client.getQueriesData<JobSheet>({ queryKey: keys.job() })) {
    const record = sheet?.records.find((r) => r.kind === 'part' && r.key === partId);
    if (sheet && record) return { jobId: sheet.job.id, number: sheet.job.number, carName: sheet.job.carName, record };
  }
  return undefined;
}

/** What a label opens: the part, where it is, whose it is; and the label itself to print. */
export function PartPage() {
  const { partId = '' } = useParams();
  const client = useQueryClient();
  const part = useQuery({
    queryKey: keys.part(partId),
    queryFn: () => call(readPart, { params: { partId } }),
    // Without a network a label opens what this device read of its job.
    initialData: () => keptPart(client, partId),
    initialDataUpdatedAt: 0,
  });
  const address = `${window.location.origin}/parts/${partId}`;
  if (part.isPending)
    return (
      <div className="page">
        <Loading />
      </div>
    );
  if (!part.data)
    return (
      <div className="page">
        <Failed sentence={sentenceOf(part.error)} again={() => void part.refetch()} />
      </div>
    );
  const { number, carName, jobId, record } = part.data;
  const data = record.data as unknown as PartRecord;
  return (
    <div className="page" style={{ maxWidth: 760 }}>
      <div className="page-head no-print">
        <h1>{data.title}</h1>
        <span className="quiet">
          {data.condition}, {data.place || 'no place yet'}
        </span>
        <span className="right">
          <Button onClick={() => window.print()}>Print the label</Button>
        </span>
      </div>
      <div className={styles['label-sheet']}>
        <QrSquare address={address} className={styles['square']} />
        <div>
          <b className="mono">{data.label || 'no label'}</b>
          <p>{data.title}</p>
          <p>
            Job {number}, {carName}
          </p>
          <p>
            {data.place}, {data.condition}
          </p>
          <p>
            {record.by}, {dayWords(record.at)}
          </p>
        </div>
      </div>
      {data.photoId && (
        <img
          className={`no-print ${styles['part-photo']}`}
          src={photoPath(data.photoId, 'thumb')}
          alt={`${data.title} as it came off`}
        />
      )}
      {data.notOriginal && <p className="ochre">Not original: {data.notOriginal}</p>}
      <p className="no-print" style={{ marginTop: 14 }}>
        {data.note} <Link to={`/jobs/${jobId}/donor`}>To the harvest of job {number}</Link>
      </p>
      <div className="no-print">
        <History jobId={jobId} about={data.takeId || record.key} title={data.title} />
      </div>
    </div>
  );
}
