import { stations } from '@bay/core/jobs';
import type { StationId } from '@bay/core/jobs';

/** Where a job stands: square filled when signed, diamond where work is, empty square ahead. */
export function StationMark({ state, size = 18 }: { state: 'signed' | 'here' | 'ahead'; size?: number }) {
  return (
    <svg width={size + 8} height={size + 8} viewBox="0 0 26 26" aria-hidden="true" className={`station-mark ${state}`}>
      {state === 'here' ? (
        <>
          <path d="M13 2.5L23.5 13 13 23.5 2.5 13z" fill="var(--panel)" stroke="currentColor" strokeWidth="2.6" />
          <circle cx="13" cy="13" r="3.2" fill="currentColor" />
        </>
      ) : (
        <rect
          x="6"
          y="6"
          width="14"
          height="14"
          fill={state === 'signed' ? 'currentColor' : 'var(--panel)'}
          stroke="currentColor"
          strokeWidth="2.2"
        />
      )}
    </svg>
  );
}

export const stationState = (id: StationId, at: StationId, signed: readonly string[]): 'signed' | 'here' | 'ahead' =>
  id === at && !signed.includes(id) ? 'here' : signed.includes(id) ? 'signed' : 'ahead';

/** The eight stations as one line. */
export function StationLine({ at, signed }: { at: StationId; signed: readonly string[] }) {
  return (
    <ol className="station-line" aria-label={`Stands at ${stations.find((s) => s.id === at)?.name ?? at}`}>
      {stations.map((s) => {
        const state = stationState(s.id, at, signed);
        return (
          <li key={s.id} className={state} {...(state === 'here' ? { 'aria-current': 'step' as const } : {})}>
            <StationMark state={state} />
            <span>{s.name}</span>
          </li>
        );
      })}
    </ol>
  );
}
