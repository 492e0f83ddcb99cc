import { Button } from '@mantine/core';
import { useState } from 'react';
import { csvOf, dxfOf, problemFileOf, svgOf, viewNames, viewOf } from '@bay/core/fit';
import type { ViewName } from '@bay/core/fit';
import { useJob, usePut, useRecords } from '../sheet/index.ts';
import { download, Trouble } from '../ui/index.ts';
import styles from './fit.module.css';
import { OwnShapeForm } from './OwnShapeForm.tsx';
import type { PositionView } from './usePosition.ts';

const views = Object.keys(viewNames) as ViewName[];

/** What people drew themselves, and the drawing for other programs. */
export function TakeAlong({
  view: { scene, pose, judged },
  drawBox,
}: {
  view: PositionView;
  /** Begins to draw a box in the views. */
  drawBox: () => void;
}) {
  const { sheet, mayWrite } = useJob();
  const [drawing, setDrawing] = useState(false);
  const own = useRecords('own-shape');
  const put = usePut();
  const drawn = Object.entries(own).flatMap(([key, of]) => (of.gone ? [] : [{ key, of }]));
  const title = `${sheet.job.carName}, position`;
  const name = title.toLowerCase().replaceAll(/[^a-z0-9]+/g, '-');
  return (
    <section className="panel" aria-label="The drawing">
      <h3>The drawing</h3>
      <ul className="rows">
        {drawn.map(({ key, of }) => (
          <li key={key} className={styles['plan']}>
            <span>
              {of.name} <span className="quiet">drawn by {of.by}</span>
            </span>
            {mayWrite && (
              <Button
                variant="subtle"
                size="compact-md"
                aria-label={`Take off the drawing: ${of.name}`}
                onClick={() => put.mutate({ kind: 'own-shape', key, data: { ...of, gone: true } })}
              >
                Take it off
              </Button>
            )}
          </li>
        ))}
      </ul>
      <div className="row-actions">
        {mayWrite && (
          <Button variant="default" onClick={() => setDrawing(true)}>
            A shape of our own
          </Button>
        )}
        {mayWrite && (
          <Button variant="default" onClick={drawBox}>
            Draw one in the views
          </Button>
        )}
        <Button
          variant="subtle"
          onClick={() =>
            views.forEach((v) =>
              download(`${name}-${v}.svg`, 'image/svg+xml', svgOf(viewOf(scene, v, pose, judged.margins))),
            )
          }
        >
          Views as SVG
        </Button>
        <Button
          variant="subtle"
          onClick={() => download(`${name}.dxf`, 'image/vnd.dxf', dxfOf(scene, pose, judged.margins))}
        >
          Views as DXF
        </Button>
        <Button variant="subtle" onClick={() => download(`${name}.csv`, 'text/csv', csvOf(scene))}>
          Shapes as CSV
        </Button>
        <Button
          variant="subtle"
          disabled={scene.pairs.length === 0}
          onClick={() =>
            download(`${name}.json`, 'application/json', JSON.stringify(problemFileOf(scene, title), null, 1))
          }
        >
          As a problem for ./bay fit
        </Button>
      </div>
      <Trouble of={put} />
      {drawing && <OwnShapeForm scene={scene} close={() => setDrawing(false)} />}
    </section>
  );
}
