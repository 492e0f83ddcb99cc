import { byTime } from '@bay/core/rules';
import { Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { photoPath } from '@bay/contract/logbook';
import type { RecordData } from '@bay/contract/records';
import { shortTitleOf } from '@bay/core/plan';
import { useJob, usePut, useRecordForm, useRecords } from '../sheet/index.ts';
import { dayWords, Empty, Form, timeWords, Trouble } from '../ui/index.ts';
import { PhotoDrop } from './PhotoDrop.tsx';
import { isPending } from './photos.ts';
import { History } from './History.tsx';
import { PinnedPhoto, pinSortWords } from './PinnedPhoto.tsx';
import type { Spot } from './PinnedPhoto.tsx';
import styles from './logbook.module.css';

type Photo = RecordData<'photo'> & { pending?: boolean };

/** What the photo shows, changed where it stands. */
function CaptionForm({ photoId, photo }: { photoId: string; photo: Photo }) {
  const { mayWrite } = useJob();
  const form = useRecordForm({
    kind: 'photo',
    key: photoId,
    merges: true,
    initial: { caption: photo.caption },
    sent: ({ caption }) => ({ ...photo, caption }),
  });
  if (!mayWrite) return <p>{photo.caption}</p>;
  return (
    <Form of={form} submit="Keep" variant="default" idle={form.values.caption === photo.caption} send={form.send}>
      <TextInput aria-label="What the photo shows" placeholder="What the photo shows" {...form.field('caption')} />
    </Form>
  );
}

function PinForm({ photoId, number, spot, done }: { photoId: string; number: number; spot: Spot; done: () => void }) {
  const form = useRecordForm({
    kind: 'pin',
    about: photoId,
    initial: { sort: 'bag', text: '' },
    sent: (v) => ({ photoId, number, ...spot, ...v }),
  });
  return (
    <Form
      className="panel"
      of={form}
      submit="Set it"
      send={form.send}
      after={done}
      cancel={done}
      cancelWord="Elsewhere"
    >
      <b>Pin {number}</b>
      <Select
        label="It is"
        data={Object.entries(pinSortWords).map(([value, label]) => ({ value, label }))}
        {...form.field('sort')}
      />
      <TextInput label="In words" placeholder="bag 031, M10 x 60" data-autofocus autoFocus {...form.field('text')} />
    </Form>
  );
}

/** One photo with its pins: a bolt map, a finding, a measurement, where it is. */
function OnePhoto({ photoId, photo }: { photoId: string; photo: Photo }) {
  const { sheet, mayWrite } = useJob();
  const put = usePut();
  const pins = Object.entries(useRecords('pin'))
    .filter(([, p]) => p.photoId === photoId && !p.removed)
    .sort(([, a], [, b]) => a.number - b.number);
  const all = Object.values(useRecords('pin')).filter((p) => p.photoId === photoId);
  const [mode, setMode] = useState<'look' | 'pin' | 'arrow'>('look');
  const [spot, setSpot] = useState<Spot>();
  const [at, setAt] = useState<string>();
  const number = Math.max(0, ...all.map((p) => p.number)) + 1;
  return (
    <div className={styles['photo-open']}>
      <PinnedPhoto
        photoId={photoId}
        photo={photo}
        pins={pins}
        mode={mode}
        spot={spot}
        onSpot={setSpot}
        at={at}
        onPin={setAt}
      />
      <div className={styles['photo-side']}>
        <CaptionForm photoId={photoId} photo={photo} />
        <p className="quiet">
          {photo.by}, {photo.at ? `${dayWords(photo.at)} ${timeWords(photo.at)}` : ''}
          {photo.about ? `, on ${shortTitleOf(photo.about)}` : ''}.{' '}
          <a href={photoPath(photoId, 'original')}>The original</a>
        </p>
        {mayWrite && (
          <div className="counts">
            {(['pin', 'arrow'] as const).map((m) => (
              <button
                key={m}
                type="button"
                aria-pressed={mode === m}
                onClick={() => {
                  setMode(mode === m ? 'look' : m);
                  setSpot(undefined);
                }}
              >
                {m === 'pin' ? 'Set a pin' : 'Draw an arrow'}
              </button>
            ))}
          </div>
        )}
        {mode !== 'look' && !spot && (
          <p className="notice">
            {mode === 'pin'
              ? 'Tap the place, or move the cross with the arrow keys and press Enter.'
              : 'Tap where the arrow begins, then where it points. Arrow keys and Enter do it too.'}
          </p>
        )}
        {spot && (mode === 'pin' || spot.toX !== undefined) && (
          <PinForm photoId={photoId} number={number} spot={spot} done={() => setSpot(undefined)} />
        )}
        <Trouble of={put} />
        <ol className={styles['pin-list']}>
          {pins.map(([key, p]) => (
            <li key={key} className={at === key ? 'at' : ''}>
              <button
                type="button"
                className={styles['pin-row']}
                onClick={() => setAt(at === key ? undefined : key)}
                aria-pressed={at === key}
              >
                <span className={styles['pin-number']}>{p.number}</span>{' '}
                <span className="tag">{pinSortWords[p.sort]}</span> {p.text}
              </button>
              {mayWrite && (
                <button
                  type="button"
                  className="plain-button small bare"
                  aria-label={`Take pin ${p.number} off`}
                  onClick={() => put.mutate({ kind: 'pin', key, data: { ...p, removed: true } })}
                >
                  Off
                </button>
              )}
            </li>
          ))}
        </ol>
        <History jobId={sheet.job.id} about={photoId} title="this photo" />
      </div>
    </div>
  );
}

/** Every photo of the job; one opens with its pins. */
/** A photo that waits on this device still: there is nothing to load yet. */

export default function PhotosBench() {
  const { sheet, mayWrite } = useJob();
  const photos = Object.entries(useRecords('photo')).sort(([, a], [, b]) => byTime(b, a));
  const pins = Object.values(useRecords('pin')).filter((p) => !p.removed);
  const [params, setParams] = useSearchParams();
  const open = params.get('photo') ?? '';
  const one = photos.find(([id]) => id === open)?.[1];
  return (
    <>
      <div className="bench-head">
        <h2>Photos</h2>
        <span className="quiet">{photos.length === 0 ? 'none yet' : `${photos.length}, the newest first`}</span>
      </div>
      {mayWrite && <PhotoDrop jobId={sheet.job.id} />}
      {photos.length === 0 && (
        <Empty title="No photo yet">
          Take one from here, from the log bar or from My bench. Pins on it make it a map of bolts.
        </Empty>
      )}
      {one && !isPending(one) && <OnePhoto key={open} photoId={open} photo={one} />}
      <ul className={styles['photo-grid']}>
        {photos.map(([id, p]) => (
          <li key={id}>
            <button
              type="button"
              aria-pressed={id === open}
              onClick={() => setParams(id === open ? {} : { photo: id }, { replace: true })}
              aria-label={`Photo: ${p.caption || 'no words yet'}`}
            >
              {isPending(p) ? (
                <span className="quiet">waits to be sent</span>
              ) : (
                <img src={photoPath(id, 'thumb')} alt="" loading="lazy" />
              )}
              <span>{p.caption || <span className="quiet">no words yet</span>}</span>
              {pins.some((x) => x.photoId === id) && (
                <span className="tag teal">{pins.filter((x) => x.photoId === id).length} pins</span>
              )}
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}
