import type { Dimension, Drawing, Point, Shape, Spot } from '../../drawing/index.ts';
import { ifKnown } from '../../rules/evidence.ts';
import type { Books } from '../../rules/evidence.ts';
import { capital, formatMeasure } from '../../units/index.ts';
import { FitEvidence } from '../evidence.ts';
import { balanceOf } from '../mounts/judged.ts';
import { figure, notKnownOf } from '../sheet.ts';
import type { FitSheet } from '../sheet.ts';
import { around, hangFor, hookSpare, hungUnit, offFirst, reachSpare, slingMm } from './judged.ts';
import type { Hang } from './judged.ts';
import { heightOf, tilted } from './outline.ts';

export interface WayInSheet extends FitSheet {
  /** How each lift would hang: the engine with its gearbox, and alone. */
  ways: readonly string[];
}

function saidOf(e: FitEvidence, hang: Hang): string {
  const what = hang.unit.withGearbox ? 'engine with gearbox' : 'engine alone';
  const hook = hookSpare(e, hang);
  const short =
    hang.spare.value < 0 ? `, ${formatMeasure(Math.round(-hang.spare.value), 'mm')} too long for the opening` : '';
  const how = hang.level ? 'goes in level' : `hangs tail down by ${hang.tiltDeg}°`;
  const lifts =
    hook === undefined
      ? ''
      : hook.value < 0
        ? `; the hook is ${formatMeasure(Math.round(-hook.value), 'mm')} too low`
        : `; ${formatMeasure(Math.round(hook.value), 'mm')} left under the hook`;
  return `${capital(what)} ${how}${short}${lifts}.`;
}

/** The unit as it goes over the front panel, hung as it must be. */
export function wayInSheet(books: Books): WayInSheet {
  const e = new FitEvidence(books);
  const hang = ifKnown(() => hangFor(e, hungUnit(e)));
  const other = ifKnown(() => hangFor(e, hungUnit(e, !(hang?.unit.withGearbox ?? true))));
  const wants = notKnownOf(books, [
    ['rec-install-path', 'opening-length'],
    ...(e.maybeWord('rec-install-path') === 'from-below' ? [['rec-install-path', 'stack-height'] as const] : []),
    ['rec-install-path', 'panel-height'],
    ['rec-install-path', 'hook-height'],
    ['rec-install-path', 'boom-reach'],
    ['rec-install-path', 'front-edge-x'],
    ['rec-install-path', 'hoist-rating-at-boom-place'],
    ['eng-length', 'value'],
    ['eng-height-up', 'highest-point'],
    ['eng-sump-depth', 'at-bowl'],
    ['gbx-length', 'value'],
    ['eng-cg', 'x-ahead-of-bell-face'],
  ]);
  const hook = hang && hookSpare(e, hang);
  const reach = ifKnown(() => reachSpare(e));
  const negative = (n: number | undefined) => (n !== undefined && n < 0 ? ('stop' as const) : undefined);
  return {
    drawing: draw(e, hang),
    groups: [
      {
        title: 'What is left',
        figures: [
          ...figure('opening', 'Of the length of the opening', hang?.spare, negative(hang?.spare.value)),
          ...figure('hook', 'Of the height of the hook', hook, negative(hook?.value)),
          ...figure('reach', 'Of the reach of the boom', reach, negative(reach?.value)),
        ],
      },
      {
        title: 'Comes off before it goes in',
        figures: offFirst(e, hang).flatMap(({ name, over }, i) =>
          figure(`off-${i}`, `${name}, too far out by`, over, 'look'),
        ),
      },
    ].filter((g) => g.figures.length > 0),
    wants,
    ways: [hang, other].flatMap((h) => (h ? [saidOf(e, h)] : [])),
  };
}

/** Just before the tail goes down behind the panel: the unit hangs over it as it must hang to pass. The front to the right. */
function draw(e: FitEvidence, hang: Hang | undefined): Drawing {
  const empty: Drawing = {
    name: 'The way in',
    summary: 'Nothing is drawn while a size is missing.',
    unit: 'mm',
    shapes: [],
    spots: [],
    dimensions: [],
  };
  if (!hang) return empty;
  const corners = tilted(hang.unit.boxes, hang.tiltDeg);
  const { low, high } = heightOf(corners);
  const panel = e.maybe('rec-install-path', 'panel-height');
  const opening = e.maybe('rec-install-path', 'opening-length');
  const lift = (panel?.value ?? 900) + around - low;
  const tailMost = Math.min(...corners.flat().map((p) => p.x));
  const put = ({ x, y }: Point): Point => ({ x: x - tailMost - 60, y: y + lift });
  const names = ['engine', 'bell', 'gearbox'];
  const floor = {
    from: -(opening?.value ?? 900) - 200,
    to: Math.max(...corners.flat().map((p) => p.x)) - tailMost + 250,
  };
  const shapes: Shape[] = [
    {
      id: 'floor',
      name: 'floor',
      ink: 'car',
      closed: false,
      points: [
        { x: floor.from, y: 0 },
        { x: floor.to, y: 0 },
      ],
      named: true,
    },
    {
      id: 'panel',
      name: panel ? 'front panel' : 'front panel, height not measured',
      ink: panel ? 'car' : 'assumed',
      closed: true,
      points: [
        { x: -20, y: 250 },
        { x: 60, y: 250 },
        { x: 60, y: panel?.value ?? 900 },
        { x: -20, y: panel?.value ?? 900 },
      ],
      named: true,
    },
    ...(opening
      ? [
          {
            id: 'firewall',
            name: 'firewall',
            ink: 'car' as const,
            closed: true,
            points: [
              { x: -20 - opening.value - 60, y: 350 },
              { x: -20 - opening.value, y: 350 },
              { x: -20 - opening.value, y: (panel?.value ?? 900) + 60 },
              { x: -20 - opening.value - 60, y: (panel?.value ?? 900) + 60 },
            ],
            named: true,
          },
        ]
      : []),
    ...corners.map((box, i): Shape => ({
      id: `box-${i}`,
      name: names[i]!,
      ink: 'in',
      closed: true,
      points: box.map(put),
      named: i === 0,
    })),
  ];
  const balance = hang.unit.withGearbox ? ifKnown(() => balanceOf(e)?.x) : e.maybe('eng-cg', 'x-ahead-of-bell-face');
  const turn = (hang.tiltDeg * Math.PI) / 180;
  const centre = balance && put({ x: balance.value * Math.cos(turn), y: balance.value * Math.sin(turn) });
  const hookAt = { x: centre?.x ?? 300, y: lift + high + slingMm };
  const highest = e.maybe('rec-install-path', 'hook-height');
  const spots: Spot[] = [
    { id: 'hook', name: 'hook, at the least', ink: 'gear', at: hookAt, mark: 'hook' },
    ...(centre
      ? [{ id: 'balance', name: 'it balances here', ink: 'assumed' as const, at: centre, mark: 'cross' as const }]
      : []),
    ...(highest
      ? [
          {
            id: 'highest',
            name: 'the hook goes up to here',
            ink: 'gear' as const,
            at: { x: hookAt.x + 160, y: highest.value },
            mark: 'ring' as const,
          },
        ]
      : []),
  ];
  if (centre) shapes.push({ id: 'plumb', name: 'plumb line', ink: 'gear', closed: false, points: [hookAt, centre] });
  const dimensions: Dimension[] = [
    {
      id: 'needs',
      name: 'hook above the floor, at the least',
      said: formatMeasure(Math.round(hookAt.y), 'mm'),
      from: { x: floor.to - 60, y: 0 },
      to: { x: floor.to - 60, y: hookAt.y },
      aside: 0,
    },
    ...(opening
      ? [
          {
            id: 'opening',
            name: 'opening',
            said: formatMeasure(opening.value, 'mm'),
            from: { x: -20 - opening.value, y: 420 },
            to: { x: -20, y: 420 },
            aside: 0,
            rows: hang.spare.rows,
            ...(hang.spare.value < 0 ? { word: 'stop' as const } : {}),
          },
        ]
      : []),
  ];
  return {
    name: 'The way in, from the side',
    summary: `${hang.unit.withGearbox ? 'Engine with gearbox' : 'Engine alone'}, ${hang.level ? 'level' : `tail down by ${hang.tiltDeg}°`}, over the front panel; the front to the right.`,
    unit: 'mm',
    shapes,
    spots,
    dimensions,
  };
}
