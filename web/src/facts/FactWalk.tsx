import { useState } from 'react';
import { factDef, mostAwaited } from '@bay/core/facts';
import type { Awaited } from '@bay/core/facts';
import { counted } from '@bay/core/units';
import { useJob } from '../sheet/index.ts';
import { Dialog } from '../ui/index.ts';
import { Difference, FactEditor } from './FactEditor.tsx';
import type { PlanChange } from './FactEditor.tsx';
import { useIsThere, usualBearer } from './useFact.ts';

/** Facts that lines wait for and that have something to hang on, the one that most wait for first. */
export function useAwaited(): Awaited[] {
  const { plan } = useJob();
  const isThere = useIsThere();
  return mostAwaited(plan.waitingFor).filter(({ factId }) => isThere(factId));
}

/** One missing fact after the other, the one that decides most first: Enter saves and goes on. */
export function FactWalk({ close }: { close: () => void }) {
  const awaited = useAwaited();
  const [behind, setBehind] = useState<ReadonlySet<string>>(new Set());
  const [saved, setSaved] = useState(0);
  const [last, setLast] = useState<{ label: string; change: PlanChange }>();
  const ahead = awaited.filter((a) => !behind.has(a.factId));
  const [at, setAt] = useState(ahead[0]);
  const goOn = (from: Awaited): void => {
    setBehind(new Set([...behind, from.factId]));
    setAt(ahead.find((a) => a.factId !== from.factId));
  };
  const beside = (
    <>
      {last && (
        <div className="notice">
          <b>{last.label}</b>: <Difference d={last.change} short />
        </div>
      )}
      {at && (
        <p className="ochre" role="status">
          {counted(at.lines, 'line waits', 'lines wait')} for it. {counted(saved, 'fact')} written, {ahead.length}{' '}
          ahead.
        </p>
      )}
    </>
  );
  if (!at)
    return (
      <Dialog close={close} title="Nothing more is asked for">
        {beside}
        <p>{counted(saved, 'fact')} written.</p>
      </Dialog>
    );
  return (
    <FactEditor
      key={at.factId}
      factId={at.factId}
      bearer={usualBearer(at.factId)}
      close={close}
      beside={beside}
      skip={() => goOn(at)}
      saved={(change) => {
        setLast({ label: factDef(at.factId).label, change });
        setSaved(saved + 1);
        goOn(at);
      }}
    />
  );
}
