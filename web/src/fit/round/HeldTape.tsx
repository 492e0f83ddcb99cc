import { useMemo } from 'react';
import { datumOf, datums } from '@bay/core/facts';
import type { FactId } from '@bay/core/facts';
import { heldTape } from '@bay/core/fit';
import { DatumDrawing } from '../../facts/index.ts';
import { useJob } from '../../sheet/index.ts';
import { Board } from '../../ui/board/index.ts';

/** Where the tape is held for one reading, drawn on what is known of the job; the datum alone where no shape shows it. */
export function HeldTape({ factId, partKey }: { factId: string; partKey: string }) {
  const { plan } = useJob();
  const drawing = useMemo(() => heldTape({ job: plan.facts }, { factId, partKey }), [plan.facts, factId, partKey]);
  if (!drawing) return <DatumDrawing factId={factId} />;
  const measured = datumOf[factId as FactId];
  const datum = measured && datums[measured.datum];
  return (
    <>
      <Board drawing={drawing} height={190} margin={34} listed={false} />
      <p className="quiet">
        {drawing.summary}
        {datum && ` ${datum.title}: ${datum.origin}${measured.counts ? `; ${measured.counts}` : ''}.`}
      </p>
    </>
  );
}
