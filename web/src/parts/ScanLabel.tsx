import { Button } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { labelPathOf } from '@bay/core/parts';
import { Desk } from '../workers/index.ts';
import { Dialog } from '../ui/index.ts';
import styles from './parts.module.css';

/** The wider side of the picture that is looked at: a label in the hand is large enough in it. */
const looked = 640;

/** Why no camera is shown, in a sentence. */
function whyNot(error: unknown): string {
  const name = error instanceof Error ? error.name : '';
  if (name === 'NotAllowedError')
    return 'This device does not let the page see its camera. Allow it in the settings of the page.';
  if (name === 'NotFoundError') return 'This device has no camera. A scanner that types works in "Find or do".';
  return 'The camera could not be started. Another program may have it.';
}

/** The picture of the camera, looked at a few times a second beside the screen, until a label of the shop is seen. */
function Camera({ found }: { found: (path: string) => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const [said, setSaid] = useState('');
  useEffect(() => {
    let wanted = true;
    let stream: MediaStream | undefined;
    const desk = new Desk();
    const canvas = document.createElement('canvas');
    const look = async (): Promise<void> => {
      const seen = video.current;
      if (!wanted || !seen) return;
      if (seen.videoWidth > 0) {
        const by = Math.min(1, looked / Math.max(seen.videoWidth, seen.videoHeight));
        canvas.width = Math.round(seen.videoWidth * by);
        canvas.height = Math.round(seen.videoHeight * by);
        const ink = canvas.getContext('2d', { willReadFrequently: true })!;
        ink.drawImage(seen, 0, 0, canvas.width, canvas.height);
        const { data: pixels, width, height } = ink.getImageData(0, 0, canvas.width, canvas.height);
        const code = await desk.start('readCode', { pixels, width, height });
        const path = code === undefined ? undefined : labelPathOf(code);
        if (!wanted) return;
        if (path !== undefined) return found(path);
        if (code !== undefined) setSaid('That is no label of this shop.');
      }
      setTimeout(() => void look().catch(stop), 150);
    };
    const stop = (error: unknown): void => {
      if (wanted) setSaid(whyNot(error));
    };
    const begin = async (): Promise<void> => {
      stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } });
      if (!wanted || !video.current) return stream.getTracks().forEach((t) => t.stop());
      video.current.srcObject = stream;
      await video.current.play();
      await look();
    };
    void begin().catch(stop);
    return () => {
      wanted = false;
      stream?.getTracks().forEach((t) => t.stop());
      desk.dispose();
    };
  }, [found]);
  return (
    <>
      <video ref={video} className={styles['camera']} muted playsInline />
      <p role="status" className={said === '' ? 'quiet' : 'ochre'}>
        {said || 'Hold a label before the camera.'}
      </p>
    </>
  );
}

/** Opens what a label stands on: its code is read by the camera of the phone. */
export function ScanLabel() {
  const navigate = useNavigate();
  const [open, setOpen] = useState(false);
  // A browser shows its camera only to a page that came by a safe way.
  const sees = 'mediaDevices' in navigator;
  const [found] = useState(() => (path: string) => {
    setOpen(false);
    void navigate(path);
  });
  return (
    <>
      <Button variant="default" onClick={() => setOpen(true)}>
        Scan a label
      </Button>
      {open && (
        <Dialog close={() => setOpen(false)} title="Scan a label">
          {sees ? (
            <Camera found={found} />
          ) : (
            <p className="ochre">
              A browser shows its camera only to a page that came by https. A scanner that types works in "Find or do"
              all the same.
            </p>
          )}
        </Dialog>
      )}
    </>
  );
}
