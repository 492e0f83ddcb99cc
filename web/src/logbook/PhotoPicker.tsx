import { photoPath } from '@bay/contract/logbook';
import { useJob, useRecords } from '../sheet/index.ts';
import { PhotoButton } from './PhotoButton.tsx';
import { isPending } from './photos.ts';
import styles from './logbook.module.css';

/** How many of the photos are offered: the newest, and those that are taken of this. */
const offered = 12;

/** Photos of the job that show something: one is taken here, or those that are there are tapped. */
export function PhotoPicker({
  about,
  chosen,
  set,
}: {
  about: string;
  chosen: readonly string[];
  set: (photoIds: string[]) => void;
}) {
  const { sheet } = useJob();
  const rank = (id: string, of: string | undefined): number => (chosen.includes(id) ? 0 : of === about ? 1 : 2);
  const photos = Object.entries(useRecords('photo'))
    .filter(([, p]) => !isPending(p))
    .sort(([a, p], [b, q]) => rank(a, p.about) - rank(b, q.about) || ((p.at ?? '') < (q.at ?? '') ? 1 : -1))
    .slice(0, Math.max(offered, chosen.length));
  return (
    <fieldset style={{ border: 0, padding: 0, margin: '10px 0' }}>
      <legend style={{ fontFamily: 'var(--head)', fontWeight: 600 }}>Photos that show it</legend>
      <PhotoButton jobId={sheet.job.id} about={about} label="Photo of it" big />
      {photos.length === 0 && <p className="quiet">This job has no photo yet.</p>}
      <div className={styles['photo-grid']}>
        {photos.map(([id, photo]) => (
          <button
            key={id}
            type="button"
            aria-pressed={chosen.includes(id)}
            aria-label={`Shows it: ${photo.caption || 'photo without words'}`}
            onClick={() => set(chosen.includes(id) ? chosen.filter((c) => c !== id) : [...chosen, id])}
          >
            <img src={photoPath(id, 'thumb')} alt="" />
            {photo.caption}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
