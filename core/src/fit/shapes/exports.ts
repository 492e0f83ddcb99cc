import type { Drawing } from '../../drawing/index.ts';
import { boxOf } from '../../drawing/index.ts';
import type { Pose } from '../position/pose.ts';
import type { Margin } from '../position/scene.ts';
import type { JobScene } from './scene-of-job.ts';
import { viewNames, viewOf } from './views.ts';
import type { ViewName } from './views.ts';

/** The geometry of a job for other programs: drawings as SVG and DXF, shapes as CSV, the whole as a position problem. */

const n = (value: number): string => String(Math.round(value * 100) / 100 || 0);
const names = Object.keys(viewNames) as ViewName[];

const inks: Readonly<Record<string, string>> = {
  car: 'fill="#E4E1D8" stroke="#8C8A82"',
  in: 'fill="#DCE9E8" stroke="#0E5A5E"',
  meets: 'fill="#F1D9D2" stroke="#A93A22"',
  assumed: 'fill="none" stroke="#6B6F70" stroke-dasharray="18 12"',
  gear: 'fill="none" stroke="#1D2325"',
};
const marked: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
const escaped = (text: string): string => text.replace(/[&<>"]/g, (c) => marked[c]!);

/** A drawing as SVG, one unit a millimetre, y upwards turned over. */
export function svgOf(drawing: Drawing): string {
  const box = boxOf(drawing);
  const margin = 60;
  const at = (p: { x: number; y: number }): string => `${n(p.x)} ${n(-p.y)}`;
  const shapes = drawing.shapes.map(
    (s) =>
      `<path ${inks[s.ink]} stroke-width="3" d="M${s.points.map(at).join('L')}${s.closed ? 'Z' : ''}"><title>${escaped(s.name)}</title></path>`,
  );
  const numbers = drawing.dimensions.map((d) => {
    const middle = { x: (d.from.x + d.to.x) / 2, y: (d.from.y + d.to.y) / 2 };
    return `<path stroke="#1D2325" stroke-width="2" d="M${at(d.from)}L${at(d.to)}"/><text x="${n(middle.x)}" y="${n(-middle.y)}" font-size="24" font-family="monospace" text-anchor="middle">${escaped(d.said)}</text>`;
  });
  const view = [box.x - margin, -box.y - box.height - margin, box.width + 2 * margin, box.height + 2 * margin].map(n);
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${view.join(' ')}" width="${view[2]}mm" height="${view[3]}mm">`,
    `<title>${escaped(drawing.name)}</title>`,
    ...shapes,
    ...numbers,
    '</svg>',
  ].join('\n');
}

/** The three views as lines of a DXF of release 12, millimetres: from the side below left, from above over it, from the front beside it. */
export function dxfOf(scene: JobScene, pose: Pose, margins: readonly Margin[]): string {
  const lines = [
    '0',
    'SECTION',
    '2',
    'HEADER',
    '9',
    '$ACADVER',
    '1',
    'AC1009',
    '0',
    'ENDSEC',
    '0',
    'SECTION',
    '2',
    'ENTITIES',
  ];
  const drawings = names.map((view) => [view, viewOf(scene, view, pose, margins)] as const);
  const side = boxOf(drawings.find(([view]) => view === 'side')![1]);
  const away: Readonly<Record<ViewName, readonly [number, number]>> = {
    side: [0, 0],
    top: [0, side.height + 900],
    front: [side.x + side.width + 1200, 0],
  };
  for (const [view, drawing] of drawings) {
    const [dx, dy] = away[view];
    for (const { points, ink } of drawing.shapes) {
      const layer = `${view}_${ink === 'in' ? 'unit' : 'bay'}`.toUpperCase();
      points.forEach((from, i) => {
        const to = points[(i + 1) % points.length]!;
        const ends = [from.x + dx, from.y + dy, 0, to.x + dx, to.y + dy, 0].map(n);
        lines.push('0', 'LINE', '8', layer);
        for (const [k, code] of ['10', '20', '30', '11', '21', '31'].entries()) lines.push(code, ends[k]!);
      });
    }
  }
  lines.push('0', 'ENDSEC', '0', 'EOF');
  return `${lines.join('\r\n')}\r\n`;
}

const cell = (text: string): string => (/[",\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text);

/** Every point of every shape: the bay in body datum, the unit in engine datum, mm. */
export function csvOf(scene: JobScene): string {
  const rows = scene.shapes.flatMap((s, piece) =>
    s.points.map(([x, y, z]) =>
      [s.side, s.id, cell(s.name), String(piece + 1), n(x), n(y), n(z), n(s.r), n(s.sigma), s.source ?? ''].join(','),
    ),
  );
  return `${['side,id,name,piece,x,y,z,radius,sigma,source', ...rows].join('\r\n')}\r\n`;
}

/** The same as a position problem (docs/formats/fit-problem.md), which ./bay fit takes. */
export function problemFileOf(scene: JobScene, title: string): object {
  const shape = ({ id, label, points, r, sigma }: JobScene['problem']['bay'][number]): object => ({
    id,
    ...(label === undefined ? {} : { label }),
    points,
    r,
    sigma,
  });
  const { bay, unit, pairs, range } = scene.problem;
  return { title, units: 'mm', bay: bay.map(shape), unit: unit.map(shape), pairs, pose: range };
}
