import { Button, Checkbox, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { labelledThings, labelPapers, labelPlaces } from '@bay/core/parts';
import { counted } from '@bay/core/units';
import { labelsPdf } from '@bay/contract/parts';
import { pathOf } from '../api/index.ts';
import { useJob, useRecords } from '../sheet/index.ts';
import { Empty, styleNonce } from '../ui/index.ts';
import { QrSquare } from './QrSquare.tsx';
import styles from './parts.module.css';

/** Everything of this job that bears a label: parts that came off, bags of bolts, both halves of links. */
function useLabels() {
  const { sheet } = useJob();
  const parts = useRecords('part');
  const bags = useRecords('bag');
  const links = useRecords('link');
  const { origin } = window.location;
  return labelledThings({ jobId: sheet.job.id, parts, bags, links }).map(({ key, path, ...l }) => ({
    ...l,
    id: key,
    address: `${origin}${path}`,
  }));
}

/** Labels by the dozen: which, on which paper, from which free place of a begun sheet. */
export default function LabelsBench() {
  const { sheet } = useJob();
  const labels = useLabels();
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [paperId, setPaper] = useState<string>(labelPapers[0]!.id);
  const [begin, setBegin] = useState('1');
  const paper = labelPapers.find((p) => p.id === paperId)!;
  const of = paper.across * paper.down;
  const first = /^\d+$/.test(begin.trim()) ? Number(begin) : 0;
  const wrong = first < 1 || first > of ? `This sheet has labels 1 to ${of}.` : undefined;
  const chosen = labels.filter((l) => !left.has(l.id));
  const places = labelPlaces(paper, chosen.length, wrong ? 1 : first);
  const pages = places.length === 0 ? 0 : places.at(-1)!.page + 1;
  const { width, height } = paper.page;
  return (
    <>
      <div className="bench-head no-print">
        <h2>Labels</h2>
        <span className="quiet">
          {counted(chosen.length, 'label')} on{' '}
          {counted(pages, of > 1 ? 'sheet' : 'piece', of > 1 ? 'sheets' : 'pieces')}
        </span>
        <span className="right">
          <Link to={`/jobs/${sheet.job.id}/donor`}>To the donor</Link>
          {wrong === undefined && chosen.length > 0 && (
            <Button
              variant="default"
              component="a"
              href={`${pathOf(labelsPdf, { jobId: sheet.job.id })}?${new URLSearchParams({
                paper: paperId,
                first: String(first),
                ...(left.size === 0 ? {} : { keys: chosen.map((l) => l.id).join(',') }),
              }).toString()}`}
            >
              As PDF
            </Button>
          )}
          <Button disabled={chosen.length === 0 || wrong !== undefined} onClick={() => window.print()}>
            Print
          </Button>
        </span>
      </div>
      {labels.length === 0 ? (
        <Empty title="Nothing bears a label yet">
          A part that is ticked off the harvest list gets one, and so does a bag: write "bag 031: 4 bolts" in the line
          below.
        </Empty>
      ) : (
        <>
          <div className="panel fields no-print">
            <Select
              label="Paper"
              data={labelPapers.map((p) => ({ value: p.id, label: p.name }))}
              value={paperId}
              allowDeselect={false}
              onChange={(id) => {
                setPaper(id ?? labelPapers[0]!.id);
                setBegin('1');
              }}
            />
            {of > 1 && (
              <TextInput
                label="First free label on the sheet"
                inputMode="numeric"
                value={begin}
                error={wrong}
                onChange={(e) => setBegin(e.currentTarget.value)}
              />
            )}
          </div>
          <ul className={`${styles['choose']} no-print`} aria-label="Which labels">
            {labels.map((l) => (
              <li key={l.id}>
                <Checkbox
                  label={`${l.code}, ${l.title}${l.id.endsWith(':a') || l.id.endsWith(':b') ? `, ${l.place || 'other half'}` : ''}`}
                  checked={!left.has(l.id)}
                  onChange={() => {
                    const next = new Set(left);
                    if (!next.delete(l.id)) next.add(l.id);
                    setLeft(next);
                  }}
                />
              </li>
            ))}
          </ul>
          {/* The page of a printer is as large as its paper, and the labels begin at its edge. */}
          <style
            nonce={styleNonce()}
          >{`@page { size: ${width}mm ${height}mm; margin: 0 } @media print { .print-head { display: none !important; } }`}</style>
          <div className="scroll-x">
            {Array.from({ length: pages }, (_, page) => (
              <div key={page} className={styles['sheet']} style={{ width: `${width}mm`, height: `${height}mm` }}>
                {chosen.map((l, i) => {
                  const at = places[i]!;
                  return at.page === page ? (
                    <div
                      key={l.id}
                      className={styles['label']}
                      style={{
                        left: `${at.left}mm`,
                        top: `${at.top}mm`,
                        width: `${paper.label.width}mm`,
                        height: `${paper.label.height}mm`,
                      }}
                    >
                      <QrSquare address={l.address} className={styles['qr']} />
                      <span className={styles['text']}>
                        <b>{l.code}</b>
                        <span>{l.title}</span>
                        <small>
                          {sheet.job.number} {sheet.job.carName}
                          {l.place ? `, ${l.place}` : ''}
                        </small>
                      </span>
                    </div>
                  ) : null;
                })}
              </div>
            ))}
          </div>
        </>
      )}
    </>
  );
}
