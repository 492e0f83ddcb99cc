import { useMemo, useState } from 'react';
import { interfaceOf, judge, tryKey, withTries } from '@bay/core/fit';
import type { Books, FitLine, Tries } from '@bay/core/fit';
import type { FactId } from '@bay/core/facts';
import { useJob } from '../../sheet/index.ts';

export interface TriesView {
  /** The facts with what is tried in them. */
  books: Books;
  tried: Tries;
  /** Tries a number; none takes it back. */
  set: (factId: FactId, partKey: string, value: number | undefined) => void;
  setAll: (tries: Tries) => void;
  clear: () => void;
  /** A place of the fit as it stands, and as it would with what is tried; nothing where nothing is. */
  line: (interfaceId: string) => { now: FitLine; then: FitLine | undefined };
}

/** "What if" on a sheet: one number is changed, and every sum beside it is seen to change. Nothing is written. */
export function useTries(): TriesView {
  const { plan } = useJob();
  const [tried, setTried] = useState<Tries>({});
  const asIs = useMemo((): Books => ({ job: plan.facts, outgoing: plan.outgoing }), [plan.facts, plan.outgoing]);
  const books = useMemo(() => withTries(asIs, tried), [asIs, tried]);
  const any = Object.keys(tried).length > 0;
  return {
    books,
    tried,
    set: (factId, partKey, value) =>
      setTried((was) => {
        const key = tryKey(factId, partKey);
        const others = Object.entries(was).filter(([k]) => k !== key);
        return Object.fromEntries(value === undefined ? others : [...others, [key, value]]);
      }),
    setAll: setTried,
    clear: () => setTried({}),
    line: (interfaceId) => ({
      now: plan.fits.find((l) => l.def.id === interfaceId)!,
      then: any ? judge(interfaceOf(interfaceId), books, undefined) : undefined,
    }),
  };
}
