import '@mantine/dropzone/styles.css';
import { Dropzone } from '@mantine/dropzone';
import { IconCamera } from '@tabler/icons-react';
import { useState } from 'react';
import { mostPhotoBytes } from '@bay/contract/logbook';
import { useUploads } from './photos.ts';
import { Uploads } from './Uploads.tsx';
import styles from './logbook.module.css';

/** Where photos are dropped, chosen or taken, several at once. */
export function PhotoDrop({ jobId, about }: { jobId: string; about?: string }) {
  const uploads = useUploads(jobId);
  const [refused, setRefused] = useState<string[]>([]);
  return (
    <>
      <Dropzone
        accept={['image/*']}
        maxSize={mostPhotoBytes}
        onDrop={(files) => {
          setRefused([]);
          uploads.add(files, about);
        }}
        onReject={(files) =>
          setRefused(
            files.map(
              ({ file }) =>
                `${file.name}: ${file.size > mostPhotoBytes ? 'a photo has 20 MB at most.' : 'this is no photo.'}`,
            ),
          )
        }
        inputProps={{ 'aria-label': 'Photo: choose or take' }}
        aria-label="Add a photo: drop it here, or press Enter to choose one"
        className={styles['photo-drop']}
      >
        <IconCamera size={24} aria-hidden="true" /> Drop photos here, or tap to choose or take them
      </Dropzone>
      {refused.map((sentence) => (
        <p key={sentence} role="alert" className="oxide">
          {sentence}
        </p>
      ))}
      <Uploads of={uploads} />
    </>
  );
}
