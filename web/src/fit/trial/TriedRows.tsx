import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { counted, formatMeasure } from '@bay/core/units';
import { findTried } from '@bay/contract/logbook';
import type { TriedPart } from '@bay/contract/logbook';
import { call, keys } from '../../api/index.ts';
import { dayWords } from '../../ui/index.ts';
import styles from '../fit.module.css';
import { fitsWords } from './words.ts';

export const useTried = (of: { q?: string; kitLine?: string }) =>
  useQuery({
    queryKey: keys.tried(of),
    queryFn: ({ signal }) => call(findTried, { query: { ...of, limit: '100' as unknown as number }, signal }),
    staleTime: 5000,
  });

/** Parts that were tried, with what they were proved on: no more than that car and that engine. */
export function TriedRows({ parts }: { parts: readonly TriedPart[] }) {
  return (
    <ul className="rows">
      {parts.map(({ jobId, number, carName, engineName, key, tried }) => (
        <li key={`${jobId} ${key}`} className={styles['tried']}>
          <p>
            <b>{tried.part}</b>
            {tried.variant ? `, ${tried.variant}` : ''}:{' '}
            <span className={tried.fits === 'fits' ? 'teal' : tried.fits === undefined ? '' : 'oxide'}>
              {tried.fits ? `${fitsWords[tried.fits].toLowerCase()}, ` : ''}
            </span>
            {tried.how}
            {tried.gapMm === undefined
              ? ''
              : tried.gapMm < 0
                ? `, meets by ${formatMeasure(-tried.gapMm, 'mm')}`
                : `, ${formatMeasure(tried.gapMm, 'mm')} left`}
            {tried.back ? `. Went back${tried.moneyBack ? ', money back' : ''}` : ''}
          </p>
          <p className="meta">
            On <Link to={`/jobs/${jobId}/fit?tab=trial`}>{`${number} ${carName}`}</Link>
            {engineName ? ` with ${engineName}` : ''}
            {tried.alsoNotStandard ? `; also not standard: ${tried.alsoNotStandard}` : ''}. {tried.by}
            {tried.at ? `, ${dayWords(tried.at)}` : ''}
          </p>
        </li>
      ))}
    </ul>
  );
}

/** Before an order: what this shop tried for the same line, on whatever car. */
export function TriedBefore({ kitLine }: { kitLine: string }) {
  const { data } = useTried({ kitLine });
  if (!data || data.parts.length === 0) return null;
  const bad = data.parts.filter((p) => p.tried.back || (p.tried.fits !== undefined && p.tried.fits !== 'fits')).length;
  return (
    <section className="notice ochre-notice" aria-label="Tried before in this shop">
      <b>
        Tried before in this shop: {counted(data.parts.length, 'part')}
        {bad > 0 ? `, ${bad} did not fit as it was or went back` : ''}. The same family is no proof.
      </b>
      <TriedRows parts={data.parts} />
    </section>
  );
}
