import { Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { cameWith, carDrawings, carViews, viewWidth } from '@bay/core/arrival';
import type { CarView } from '@bay/core/arrival';
import { counted } from '@bay/core/units';
import { PhotoButton } from '../logbook/index.ts';
import { useJob, usePut, useRecordForm, useRecords } from '../sheet/index.ts';
import { Board } from '../ui/board/index.ts';
import { dayWords, FormDialog, Trouble } from '../ui/index.ts';
import type { BoardPin } from '../ui/board/index.ts';
import styles from './arrival.module.css';

interface Place {
  view: CarView;
  x: number;
  y: number;
}

/** Says what is to be seen at a place of the car. */
function MarkOnCar({ place, close }: { place: Place; close: () => void }) {
  const form = useRecordForm({
    kind: 'as-it-came',
    about: 'mark on the car',
    initial: { what: 'damage', note: '' },
    sent: (v) => ({ ...v, ...place }),
  });
  return (
    <FormDialog title={`On the car, ${place.view}`} submit="Mark it" of={form} send={form.send} close={close}>
      <Select
        label="What it is"
        data={Object.entries(cameWith).map(([value, { word }]) => ({ value, label: word }))}
        allowDeselect={false}
        {...form.field('what')}
      />
      <TextInput label="What is seen there" data-autofocus {...form.field('note')} />
    </FormDialog>
  );
}

/** The car as it came, on its four views: what was damaged, rusty, missing or leaking before anybody here touched it. */
export function AsItCame() {
  const { sheet, mayWrite } = useJob();
  const put = usePut();
  const [place, setPlace] = useState<Place>();
  const [at, setAt] = useState<string>();
  const marks = Object.entries(useRecords('as-it-came')).filter(([, m]) => !m.removed);
  const photos = Object.values(useRecords('photo'));
  const pinsOf = (view: CarView): BoardPin[] =>
    marks
      .filter(([, m]) => m.view === view)
      .map(([id, m]) => ({
        id,
        at: { x: m.x * viewWidth(view), y: m.y },
        letter: cameWith[m.what].letter,
        said: `${cameWith[m.what].word}: ${m.note}`,
      }));
  const share = (n: number): number => Math.min(1, Math.max(0, n));
  return (
    <section className="panel" id="as-it-came">
      <div className="bench-head">
        <h3>The car as it came</h3>
        <span className="quiet">
          {marks.length === 0 ? 'nothing marked' : `${counted(marks.length, 'mark')} on it`}
          {mayWrite ? '; tap the car where something is' : ''}
        </span>
      </div>
      <div className={styles['round']}>
        {carViews.map((view) => (
          <Board
            key={view}
            drawing={carDrawings[view]}
            height={190}
            margin={26}
            pins={pinsOf(view)}
            pickPin={setAt}
            {...(mayWrite
              ? { place: ({ x, y }) => setPlace({ view, x: share(x / viewWidth(view)), y: share(y) }) }
              : {})}
          />
        ))}
      </div>
      <ul className="rows">
        {marks.map(([key, m]) => {
          const pictures = photos.filter((p) => p.about === key).length;
          return (
            <li key={key} className={`${styles['mark']} ${at === key ? styles['at'] : ''}`}>
              <b className="tag">{cameWith[m.what].letter}</b>
              <span>
                <b>{cameWith[m.what].word}</b>, {m.view}: {m.note}{' '}
                <span className="quiet">
                  {m.by}, {m.at ? dayWords(m.at) : ''}
                  {pictures > 0 ? `, ${counted(pictures, 'photo')}` : ''}
                </span>
              </span>
              {mayWrite && (
                <span className="actions">
                  <PhotoButton jobId={sheet.job.id} about={key} label={`Photo of: ${m.note}`} />
                  <button
                    type="button"
                    className="plain-button small bare"
                    aria-label={`Take back: ${m.note}`}
                    onClick={() => put.mutate({ kind: 'as-it-came', key, data: { ...m, removed: true } })}
                  >
                    Take back
                  </button>
                </span>
              )}
            </li>
          );
        })}
      </ul>
      <Trouble of={put} />
      {place && <MarkOnCar place={place} close={() => setPlace(undefined)} />}
    </section>
  );
}
