import { useQuery } from '@tanstack/react-query';
import { useReducedMotion, useViewportSize } from '@mantine/hooks';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { readFloor } from '@bay/contract/jobs';
import type { Strip } from '@bay/contract/jobs';
import { call, keys, sentenceOf } from '../api/index.ts';
import { Failed, Loading } from '../ui/index.ts';
import { FloorDays, inDays, rowPx } from './FloorDays.tsx';
import styles from './floor.module.css';

/** How long a page stands before the next, s. */
const stands = 15;
/** Taken by the head of the page and of the days, px. */
const headPx = 190;

/** A wide screen hangs far away: there all of it is drawn so much larger, as the style sheet says too. */
const wide = 1500;
const nearer = 1.6;

/** As many rows to a page as the screen has room for; each page is filled before the next begins. */
function pagesOf(strips: readonly Strip[], room: number): Strip[][] {
  const pages: Strip[][] = [];
  let left = 0;
  for (const strip of strips) {
    const wants = rowPx(strip);
    if (pages.length === 0 || wants > left) {
      pages.push([]);
      left = room;
    }
    pages.at(-1)!.push(strip);
    left -= wants;
  }
  return pages;
}

/** The days ahead for the screen on the wall: turns its pages by itself, and stops when somebody wants to read. */
export function WallPage() {
  const floor = useQuery({ queryKey: keys.floor, queryFn: () => call(readFloor) });
  const { width, height } = useViewportSize();
  const still = useReducedMotion();
  const [turning, setTurning] = useState(true);
  const [at, setAt] = useState(0);
  const bays = floor.data?.bays ?? [];
  const ordered = inDays(floor.data?.strips ?? [], bays);
  const pages = pagesOf(ordered, Math.max(200, (height || 900) - headPx) / (width >= wide ? nearer : 1));
  const page = pages.length === 0 ? 0 : at % pages.length;
  const turns = turning && !still && pages.length > 1;
  useEffect(() => {
    if (!turns) return undefined;
    const timer = setInterval(() => setAt((n) => n + 1), stands * 1000);
    return () => clearInterval(timer);
  }, [turns]);
  if (floor.isPending)
    return (
      <div className="page">
        <Loading as="table" />
      </div>
    );
  if (floor.isError && !floor.data)
    return (
      <div className="page">
        <Failed sentence={sentenceOf(floor.error)} again={() => void floor.refetch()} />
      </div>
    );
  return (
    <div className={`page ${styles['floor-page']}`}>
      <div className="page-head">
        <h1>On the wall</h1>
        <span className="quiet" aria-live="off">
          {pages.length > 1
            ? `page ${page + 1} of ${pages.length}${turns ? `, turns every ${stands} s` : ', stands still'}`
            : 'all on one page'}
        </span>
        <span className="right row-actions">
          {pages.length > 1 && (
            <>
              <button type="button" className="plain-button" onClick={() => setAt(page + 1)}>
                Next page
              </button>
              {!still && (
                <button
                  type="button"
                  className="plain-button"
                  aria-pressed={!turning}
                  onClick={() => setTurning(!turning)}
                >
                  {turning ? 'Stand still' : 'Turn by itself'}
                </button>
              )}
            </>
          )}
          <Link to="/">To the Floor</Link>
        </span>
      </div>
      <div className={styles['wall']}>
        <FloorDays strips={pages[page] ?? []} bays={bays} />
      </div>
    </div>
  );
}
