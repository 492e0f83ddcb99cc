import { IconCamera } from '@tabler/icons-react';
import { useRef } from 'react';
import { useUploads } from './photos.ts';
import { Uploads } from './Uploads.tsx';
import styles from './logbook.module.css';

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
  const uploads = useUploads(jobId);
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
          uploads.add([...(e.currentTarget.files ?? [])], about);
          e.currentTarget.value = '';
        }}
      />
      <button
        type="button"
        className={`plain-button ${styles['photo-button']}${big ? ' big' : ''}`}
        aria-label={`Add a ${label.toLowerCase()}`}
        onClick={() => picker.current?.click()}
      >
        <IconCamera size={22} aria-hidden="true" />
        {big && ` ${label}`}
      </button>
      <Uploads of={uploads} />
    </>
  );
}
