import type { Dimension, Drawing, Point, Shape } from '../../drawing/index.ts';
import type { Books } from '../../rules/evidence.ts';
import type { Bands } from '../../rules/evidence.ts';
import { ifKnown } from '../../rules/evidence.ts';
import { formatMeasure } from '../../units/index.ts';
import { FitEvidence } from '../evidence.ts';
import { figure } from '../sheet.ts';
import type { FitSheet } from '../sheet.ts';
import {
  chainApartMm,
  converterDraw,
  drawBands,
  faceOf,
  plateOf,
  releaseBands,
  releaseOf,
  tipIntoCrank,
} from './sums.ts';

/**
 * What lies behind the block, drawn as one stack: along the crank to scale, its heights as they are usual. The front is to the right,
 * as in the drawing of the place; the bell face of the engine stands at nothing.
 */

/** Heights drawn, mm from the crank axis: they decide nothing. */
const high = {
  block: 96,
  bell: 96,
  plateFrom: 78,
  flange: 24,
  wheel: 72,
  converter: 68,
  shaft: 7,
  bearing: 20,
} as const;
/** Lengths drawn where nobody measured, mm: dashed. */
const long = { block: 90, bell: 165, wheel: 26, flexplate: 4, converter: 120 } as const;

const box = (from: number, to: number, low: number, top: number): Point[] => [
  { x: -from, y: low },
  { x: -to, y: low },
  { x: -to, y: top },
  { x: -from, y: top },
];

/** Thick pieces, both above and below the axis where they are rings. */
const ring = (
  id: string,
  name: string,
  ink: Shape['ink'],
  from: number,
  to: number,
  low: number,
  top: number,
): Shape[] =>
  ([1, -1] as const).map((side) => ({
    id: `${id}-${side}`,
    name,
    ink,
    closed: true,
    points: box(from, to, side * low, side * top),
    ...(side === 1 ? { named: true } : {}),
  }));

const solid = (id: string, name: string, ink: Shape['ink'], from: number, to: number, top: number): Shape => ({
  id,
  name,
  ink,
  closed: true,
  points: box(from, to, -top, top),
  named: true,
});

/** How a number is marked that lies outside of what bolts up, or of what can be adapted. */
const outside = (value: number, { boltsUp, adapt }: Bands): Pick<Dimension, 'word'> =>
  value < adapt[0] || value > adapt[1]
    ? { word: 'stop' }
    : value < boltsUp[0] || value > boltsUp[1]
      ? { word: 'look' }
      : {};

/** The stack of a job, its figures, and what is missing for more. */
export function stackSheet(books: Books): FitSheet {
  const e = new FitEvidence(books);
  const kind = e.maybeWord('gbx-kind');
  const converter = kind === undefined ? undefined : !['manual', 'transaxle-manual', 'dual-clutch'].includes(kind);
  const plate = ifKnown(() => plateOf(e));
  const setBack = e.maybe('eng-crank-flange', 'depth-behind-bell-face');
  const spacer = e.maybe('cho-stack', 'crank-spacer');
  const face = ifKnown(() => faceOf(e));
  const draw = converter !== false && face ? ifKnown(() => converterDraw(e, face)) : undefined;
  const tip = converter !== true ? ifKnown(() => tipIntoCrank(e)) : undefined;
  const release = converter !== true ? ifKnown(() => releaseOf(e)) : undefined;
  const bellDepth = e.maybe('gbx-bell-depth');
  const home = e.maybe('gbx-converter-seat', 'pads-behind-bell-face-when-home');
  const reach = e.maybe('gbx-input-shaft', 'reach-ahead-of-bell-face');
  const fingers = e.maybe('gbx-clutch-set', 'finger-height');
  const bearing = e.maybe('gbx-clutch-set', 'bearing-behind-bell-face');
  const pads = e.maybe('cho-stack', 'pad-spacer');

  const flange = -(setBack?.value ?? 0);
  const onCrank = flange + (spacer?.value ?? 0);
  const at = plate?.value ?? 0;
  const back = at + (bellDepth?.value ?? long.bell);
  const faceAt = face?.face.value;
  const shapes: Shape[] = [
    ...ring('block', 'block', 'in', -long.block, 0, high.plateFrom, high.block),
    solid(
      'crank',
      setBack ? 'crank flange' : 'crank flange, not measured',
      setBack ? 'in' : 'assumed',
      flange - 60,
      flange,
      high.flange,
    ),
    ...(spacer && spacer.value > 0 ? [solid('spacer', 'spacer', 'gear', flange, onCrank, high.flange)] : []),
    ...(plate && plate.value > 0 ? ring('plate', 'plate', 'gear', 0, at, high.plateFrom, high.bell) : []),
    ...ring(
      'bell',
      bellDepth ? 'bell' : 'bell, depth not measured',
      bellDepth ? 'car' : 'assumed',
      at,
      back,
      high.bell - 8,
      high.bell,
    ),
  ];
  if (faceAt !== undefined) {
    const thick = converter === false ? long.wheel : long.flexplate;
    const from = Math.min(onCrank, faceAt - thick);
    shapes.push(
      ...ring('wheel', converter === false ? 'flywheel' : 'flexplate', 'in', from, faceAt, high.flange + 4, high.wheel),
    );
  }
  if (home && converter !== false) {
    const drawn = faceAt === undefined ? undefined : faceAt + (pads?.value ?? 0);
    const meets = drawn !== undefined && draw !== undefined && draw.value < 0;
    shapes.push({
      ...solid(
        'converter-home',
        'converter, pushed home',
        'assumed',
        at + home.value,
        at + home.value + long.converter,
        high.converter,
      ),
    });
    if (drawn !== undefined)
      shapes.push(
        solid('converter', 'converter', meets ? 'meets' : 'car', drawn, drawn + long.converter, high.converter),
      );
  }
  if (reach && converter !== true)
    shapes.push(
      solid('shaft', 'input shaft', tip && tip.value < 0 ? 'meets' : 'car', at - reach.value, back, high.shaft),
    );
  if (faceAt !== undefined && fingers && converter !== true)
    shapes.push(...ring('fingers', 'clutch', 'in', faceAt, faceAt + fingers.value, high.bearing, high.converter * 0.8));
  if (bearing && converter !== true)
    shapes.push(
      solid(
        'bearing',
        'release bearing, home',
        release && release.gap.value < 0 ? 'meets' : 'car',
        at + bearing.value,
        back,
        high.bearing,
      ),
    );

  const mm = (value: number): string => formatMeasure(Math.round(value * 10) / 10, 'mm');
  const across = (
    id: string,
    name: string,
    from: number,
    to: number,
    y: number,
    said: string,
    more: Partial<Dimension> = {},
  ): Dimension => ({ id, name, said, from: { x: -from, y }, to: { x: -to, y }, aside: 0, ...more });
  const dimensions: Dimension[] = [
    ...(setBack
      ? [
          across('set-back', 'crank flange from the bell face', 0, flange, -high.flange - 18, mm(setBack.value), {
            rows: setBack.rows,
          }),
        ]
      : []),
    ...(plate && plate.value > 0
      ? [across('plate', 'plate', 0, at, -high.block - 20, mm(plate.value), { rows: plate.rows })]
      : []),
    ...(face
      ? [
          across(
            'face',
            'pads or friction face from the bell face',
            0,
            face.face.value,
            high.wheel + 8,
            mm(face.face.value),
            { rows: face.face.rows },
          ),
        ]
      : []),
    ...(draw && faceAt !== undefined && home
      ? [
          across(
            'draw',
            'converter draws forward',
            faceAt + (pads?.value ?? 0),
            at + home.value,
            -high.converter - 12,
            mm(draw.value),
            {
              rows: draw.rows,
              ...outside(draw.value, drawBands),
            },
          ),
        ]
      : []),
    ...(tip
      ? [across('tip', 'input shaft into the crank', flange, flange - tip.value, 22, mm(tip.value), { rows: tip.rows })]
      : []),
    ...(release && faceAt !== undefined && fingers
      ? [
          across(
            'release',
            'bearing to fingers',
            faceAt + fingers.value,
            faceAt + fingers.value + release.gap.value,
            high.bearing + 14,
            mm(release.gap.value),
            {
              rows: release.gap.rows,
              ...outside(release.gap.value, releaseBands),
            },
          ),
        ]
      : []),
  ];
  const drawing: Drawing = {
    name: 'Behind the block, cut along the crank',
    summary:
      'Along the crank to scale, the front to the right; heights are not to scale. What is dashed is not measured.',
    unit: 'mm',
    shapes,
    spots: [],
    dimensions,
  };
  const wants = [
    ...(setBack ? [] : [{ factId: 'eng-crank-flange' as const, partKey: 'depth-behind-bell-face' }]),
    ...(face ? [] : [{ factId: 'eng-flywheel' as const, partKey: 'face-from-crank-flange' }]),
    ...(plate || !patternsDiffer(e) ? [] : [{ factId: 'cho-stack' as const, partKey: 'adapter-plate' }]),
    ...(bellDepth ? [] : [{ factId: 'gbx-bell-depth' as const, partKey: 'value' }]),
    ...(converter !== false && !home
      ? [{ factId: 'gbx-converter-seat' as const, partKey: 'pads-behind-bell-face-when-home' }]
      : []),
    ...(converter !== true && !reach
      ? [{ factId: 'gbx-input-shaft' as const, partKey: 'reach-ahead-of-bell-face' }]
      : []),
    ...(converter === false && !fingers ? [{ factId: 'gbx-clutch-set' as const, partKey: 'finger-height' }] : []),
    ...(converter === false && !bearing
      ? [{ factId: 'gbx-clutch-set' as const, partKey: 'bearing-behind-bell-face' }]
      : []),
  ];
  const apart = face?.apart;
  return {
    drawing,
    groups: [
      {
        title: 'From the bell face of the engine, towards the gearbox',
        figures: [
          ...figure('plate', 'Plate between block and bell', plate),
          ...figure('face', 'Pads or friction face', face?.face),
          ...figure(
            'apart',
            'Face as read, less added up',
            apart,
            apart && Math.abs(apart.value) > chainApartMm ? 'stop' : undefined,
          ),
          ...figure('draw', 'Converter draws forward', draw),
          ...figure('tip', 'Input shaft into the crank', tip),
          ...figure('release', 'Release bearing to the fingers', release?.gap),
          ...figure(
            'left',
            'Travel left once the disc is free',
            release?.left,
            release?.left && release.left.value < 0 ? 'stop' : undefined,
          ),
        ],
      },
    ],
    wants,
  };
}

/** Patterns that differ want a plate between them. */
function patternsDiffer(e: FitEvidence): boolean {
  return ifKnown(() => (plateOf(e), true)) === undefined;
}
