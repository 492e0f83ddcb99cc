import { useRef, useState } from 'react';
import { photoPath } from '@bay/contract/logbook';
import type { RecordData } from '@bay/contract/records';
import styles from './logbook.module.css';

export type Pin = RecordData<'pin'>;
/** A place on the photo, in shares of width and height; with a second point, an arrow. */
export type Spot = Pick<Pin, 'x' | 'y' | 'toX' | 'toY'>;

export const pinSortWords: Record<Pin['sort'], string> = {
  bag: 'bag of bolts',
  part: 'part',
  finding: 'finding',
  measurement: 'measurement',
  note: 'note',
};

const keySteps: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const clamp = (n: number): number => Math.min(1, Math.max(0, n));

/** The photo with its numbered pins and arrows; in a mode of setting, a tap or the arrow keys choose the place. */
export function PinnedPhoto({
  photoId,
  photo,
  pins,
  mode,
  spot,
  onSpot,
  at,
  onPin,
}: {
  photoId: string;
  photo: { caption: string; width: number; height: number };
  pins: readonly (readonly [string, Pin])[];
  mode: 'look' | 'pin' | 'arrow';
  spot: Spot | undefined;
  onSpot: (spot: Spot) => void;
  at: string | undefined;
  onPin: (key: string) => void;
}) {
  const box = useRef<HTMLDivElement>(null);
  const [cross, setCross] = useState({ x: 0.5, y: 0.5 });
  const choose = (p: { x: number; y: number }): void => {
    if (mode === 'arrow' && spot && spot.toX === undefined) onSpot({ ...spot, toX: p.x, toY: p.y });
    else if (mode !== 'look') onSpot(p);
  };
  const { width: w, height: h } = photo;
  const setting = mode !== 'look';
  const arrow = (p: Spot, key: string) =>
    p.toX !== undefined && p.toY !== undefined ? (
      <line
        key={key}
        x1={p.x * w}
        y1={p.y * h}
        x2={p.toX * w}
        y2={p.toY * h}
        markerEnd="url(#tip)"
        className={styles['pin-arrow']}
      />
    ) : null;
  return (
    <div
      ref={box}
      className={`${styles['pinned']}${setting ? ` ${styles['setting']}` : ''}`}
      style={{ aspectRatio: `${w} / ${h}` }}
      tabIndex={setting ? 0 : undefined}
      role={setting ? 'application' : 'group'}
      aria-label={setting ? 'Photo: arrow keys move the cross, Enter sets the place' : `Photo ${photo.caption}`}
      onClick={(e) => {
        const r = box.current!.getBoundingClientRect();
        choose({ x: clamp((e.clientX - r.left) / r.width), y: clamp((e.clientY - r.top) / r.height) });
      }}
      onKeyDown={(e) => {
        if (!setting) return;
        const step = keySteps[e.key];
        if (step)
          setCross({
            x: clamp(cross.x + step[0] * (e.shiftKey ? 0.1 : 0.02)),
            y: clamp(cross.y + step[1] * (e.shiftKey ? 0.1 : 0.02)),
          });
        else if (e.key === 'Enter') choose(cross);
        else return;
        e.preventDefault();
      }}
    >
      <img src={photoPath(photoId, 'screen')} alt={photo.caption} draggable={false} />
      <svg viewBox={`0 0 ${w} ${h}`} aria-hidden="true">
        <defs>
          <marker id="tip" viewBox="0 0 10 10" refX="9" refY="5" markerWidth="5" markerHeight="5" orient="auto">
            <path d="M0 0 L10 5 L0 10 z" />
          </marker>
        </defs>
        {pins.map(([key, p]) => arrow(p, key))}
        {spot && arrow(spot, 'new')}
        {setting && (
          <path
            className={styles['cross']}
            d={`M${cross.x * w - w * 0.03} ${cross.y * h} h${w * 0.06} M${cross.x * w} ${cross.y * h - w * 0.03} v${w * 0.06}`}
          />
        )}
      </svg>
      {pins.map(([key, p]) => (
        <button
          key={key}
          type="button"
          className={`${styles['pin-number']}${at === key ? ' at' : ''}`}
          style={{ left: `${p.x * 100}%`, top: `${p.y * 100}%` }}
          aria-label={`Pin ${p.number}, ${pinSortWords[p.sort]}: ${p.text}`}
          onClick={(e) => {
            e.stopPropagation();
            onPin(key);
          }}
        >
          {p.number}
        </button>
      ))}
      {spot && (
        <span className={`${styles['pin-number']} new`} style={{ left: `${spot.x * 100}%`, top: `${spot.y * 100}%` }} />
      )}
    </div>
  );
}
