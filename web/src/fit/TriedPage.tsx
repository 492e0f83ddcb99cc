import { TextInput } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useSearchParams } from 'react-router';
import { sentenceOf } from '../api/index.ts';
import { Empty, Failed } from '../ui/index.ts';
import { ShopAgreement } from './trial/ShopAgreement.tsx';
import { TriedRows, useTried } from './trial/TriedRows.tsx';

/** Every part that was tried on any car of the shop: how it fitted, on what, and whether it went back. */
export function TriedPage() {
  const [params, setParams] = useSearchParams();
  const typed = params.get('q') ?? '';
  const [q] = useDebouncedValue(typed.trim(), 150);
  const tried = useTried(q === '' ? {} : { q });
  return (
    <div className="page" style={{ maxWidth: 980 }}>
      <div className="page-head">
        <h1>Tried parts</h1>
        <span className="quiet">how each fitted, on which car, with what else not standard; the newest first</span>
      </div>
      <TextInput
        aria-label="Search the tried parts"
        placeholder="Header, mount plate, a number, a car"
        value={typed}
        onChange={(e) => setParams(e.currentTarget.value ? { q: e.currentTarget.value } : {}, { replace: true })}
        autoFocus
      />
      <ShopAgreement />
      {tried.isError && <Failed sentence={sentenceOf(tried.error)} again={() => void tried.refetch()} />}
      {tried.data &&
        (tried.data.parts.length > 0 ? (
          <section className="panel" style={{ marginTop: 12 }}>
            <TriedRows parts={tried.data.parts} />
          </section>
        ) : q === '' ? (
          <Empty title="Nothing tried yet">
            Write it on the job, at Fit, Trial fit; or in the log bar: "tried: 38 mm hose on the neck, too tight, sent
            back".
          </Empty>
        ) : (
          <p className="quiet">Nothing that was tried has these words.</p>
        ))}
    </div>
  );
}
