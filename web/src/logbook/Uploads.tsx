import { counted } from '@bay/core/units';
import type { Upload, useUploads } from './photos.ts';
import styles from './logbook.module.css';

const words: Record<Upload['state'], string> = {
  waits: 'waits',
  sending: 'sending',
  sent: 'in the book',
  kept: 'waits on this device',
  failed: 'failed',
  cancelled: 'cancelled',
};

/** What becomes of photos on their way: progress, cancel, and each tried again. */
export function Uploads({ of: { uploads, again, cancel, clear } }: { of: ReturnType<typeof useUploads> }) {
  if (uploads.length === 0) return null;
  const under = uploads.filter((u) => u.state === 'waits' || u.state === 'sending').length;
  const over = uploads.length - under;
  return (
    <div className={`${styles['uploads']} panel`} role="status" aria-label="Photos on their way">
      <p>
        <b>
          {over} of {counted(uploads.length, 'photo')}
        </b>{' '}
        {under > 0 ? (
          <button type="button" className="plain-button small" onClick={cancel}>
            Cancel the rest
          </button>
        ) : (
          <button type="button" className="plain-button small bare" onClick={clear}>
            Close
          </button>
        )}
      </p>
      <progress max={uploads.length} value={over} aria-label="Photos sent" />
      <ul>
        {uploads.map((u) => (
          <li key={u.id} className={u.state === 'failed' ? 'oxide' : 'quiet'}>
            {u.name}: {u.why ?? words[u.state]}{' '}
            {(u.state === 'failed' || u.state === 'cancelled') && (
              <button type="button" className="plain-button small bare" onClick={() => again(u.id)}>
                Try again
              </button>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}
