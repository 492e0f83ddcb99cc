import { Button } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { stationName } from '@bay/core/jobs';
import type { OwnInPlan } from '@bay/core/plan';
import { counted } from '@bay/core/units';
import { may } from '@bay/contract/rights';
import { useMe } from '../api/index.ts';
import { StepList } from '../pull/index.ts';
import { useJob, usePut, useRecords } from '../sheet/index.ts';
import { Because, Empty, Trouble } from '../ui/index.ts';
import { KeepForm } from './KeepForm.tsx';
import { AddOwnLine } from './AddOwnLine.tsx';
import styles from './memory.module.css';
import { sortWords } from './sort-words.ts';

const where = ({ line }: OwnInPlan): string => {
  switch (line.sort) {
    case 'part':
      return `kit, ${line.system}`;
    case 'check':
      return `before "${line.gate}"`;
    case 'circuit':
      return `${line.from} to ${line.to}`;
    case 'step':
      return stationName(line.station);
  }
};

function Line({ own, keep }: { own: OwnInPlan; keep: (() => void) | undefined }) {
  const { sheet, plan, mayWrite } = useJob();
  const put = usePut();
  const record = useRecords('own-line')[own.id];
  const revision = sheet.records.find((r) => r.kind === 'own-line' && r.key === own.id)?.revision ?? 0;
  const { line, id } = own;
  return (
    <li className={styles['line']}>
      <div>
        <b>{line.title}</b> <span className="tag">{sortWords[line.sort]}</span>{' '}
        <span className="quiet">
          {where(own)}
          {own.from === 'shop' ? ', a rule of the shop' : record ? `, ${record.by}` : ''}
          {line.why ? `. Without it: ${line.why}` : ''}
        </span>
        {own.from === 'shop' && <Because ids={[...own.because, ...own.needs]} facts={plan.facts} />}
        <Trouble of={put} />
      </div>
      {mayWrite && (
        <span className={styles['acts']}>
          {keep && (
            <button
              type="button"
              className="plain-button small"
              aria-label={`Keep for the shop: ${line.title}`}
              onClick={keep}
            >
              Keep for the shop
            </button>
          )}
          <button
            type="button"
            className="plain-button small bare"
            aria-label={`${own.from === 'shop' ? 'Not on this job' : 'Take back'}: ${line.title}`}
            onClick={() => put.mutate({ kind: 'own-line', key: id, data: { ...line, removed: true }, revision })}
          >
            {own.from === 'shop' ? 'Not on this job' : 'Take back'}
          </button>
        </span>
      )}
    </li>
  );
}

/** Lines that no rule of the program knew: steps and checks in their order, parts, circuits; and the shop's rules that hold here. */
export default function OwnBench() {
  const { plan, mayWrite } = useJob();
  const manages = may(useMe().data?.person?.role, 'manage-people');
  const [adding, setAdding] = useState(false);
  const [keeping, setKeeping] = useState<OwnInPlan>();
  const { ownLines, own } = plan;
  return (
    <>
      <div className="bench-head">
        <h2>Lines of our own</h2>
        <span className="quiet">
          {ownLines.length === 0 ? 'none yet' : counted(ownLines.length, 'line')}: what no rule knew of this car
        </span>
        <span className={`right ${styles['acts']}`}>
          <Link to="/rules">Rules of the shop</Link>
          {mayWrite && <Button onClick={() => setAdding(true)}>Add a line</Button>}
        </span>
      </div>
      {ownLines.length === 0 && (
        <Empty title="Nothing of our own on this job">
          <p>
            Add a step, a part, a check or a circuit that the plan left out; it is ordered, timed, held and quoted like
            the others.
          </p>
        </Empty>
      )}
      {own.lines.length > 0 && <StepList of="own" />}
      {ownLines.length > 0 && (
        <section>
          <h3 className="group-title">All of them</h3>
          <ul className="rows">
            {ownLines.map((l) => (
              <Line key={l.id} own={l} keep={manages && l.from === 'job' ? () => setKeeping(l) : undefined} />
            ))}
          </ul>
        </section>
      )}
      {adding && <AddOwnLine close={() => setAdding(false)} />}
      {keeping && <KeepForm id={keeping.id} line={keeping.line} close={() => setKeeping(undefined)} />}
    </>
  );
}
