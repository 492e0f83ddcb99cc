import { IconCamera } from '@tabler/icons-react';
import { useRef } from 'react';
import { useUploads } from './photos.ts';
import type { Upload } from './photos.ts';

const words: Record<Upload['state'], string> = {
  waits: 'waits',
  sending: 'sending',
  sent: 'in the book',
  kept: 'waits on this device',
  failed: 'failed',
  cancelled: 'cancelled',
};

/** From camera or file, several at once, with progress and cancel. */
export function PhotoButton({
  jobId,
  about,
  label = 'Photo',
  big = false,
}: {
  jobId: string;
  about?: string;
  label?: string;
  big?: boolean;
}) {
  const picker = useRef<HTMLInputElement>(null);
  const { uploads, add, again, cancel, clear } = useUploads(jobId);
  const under = uploads.filter((u) => u.state === 'waits' || u.state === 'sending').length;
  const over = uploads.length - under;
  return (
    <>
      <input
        ref={picker}
        type="file"
        accept="image/*"
        multiple
        hidden
        aria-label={`${label}: choose or take`}
        onChange={(e) => {
          add([...(e.currentTarget.files ?? [])], about);
          e.currentTarget.value = '';
        }}
      />
      <button
        type="button"
        className={`plain-button photo-button${big ? ' big' : ''}`}
        aria-label={`Add a ${label.toLowerCase()}`}
        onClick={() => picker.current?.click()}
      >
        <IconCamera size={22} aria-hidden="true" />
        {big && ` ${label}`}
      </button>
      {uploads.length > 0 && (
        <div className="uploads panel" role="status" aria-label="Photos on their way">
          <p>
            <b>
              {over} of {uploads.length} photos
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
      )}
    </>
  );
}
