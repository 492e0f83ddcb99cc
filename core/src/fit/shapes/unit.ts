import { boxPoints } from '../../solid/index.ts';
import type { Stations } from '../../facts/index.ts';
import type { Span, Vec } from '../../solid/index.ts';
import type { Piece, ShapeRule } from './types.ts';
import type { Tape } from './tape.ts';

/**
 * Engine and gearbox in engine datum: the crank axis where it meets the bell face; x forward, y to the left, z up. What was measured
 * bounds a shape on one side; on the others it is drawn as engines are, which decides no gap.
 */

const piece = (span: Span, r = 0): Piece => ({ points: boxPoints(span), r });

const lengthOf = (tape: Tape): number =>
  tape.maybe('eng-fan-reach', 'pulley-face') ?? tape.orTake('eng-length', 'value', 620, 'as long as many are');
const topOf = (tape: Tape): number => tape.maybe('eng-height-up', 'highest-point') ?? 420;

/** Covers and coils on one side: from the head up, along the block. */
const covers = (side: 'left' | 'right') => (tape: Tape) => {
  const out = tape.mm('eng-width', `${side}-at-covers-and-coils`);
  const top = topOf(tape);
  const y: [number, number] = side === 'left' ? [0, out] : [-out, 0];
  return [piece({ x: [0, lengthOf(tape) * 0.85], y, z: [top * 0.55, top * 0.9] })];
};
const accessories = (side: 'left' | 'right') => (tape: Tape) => {
  const out = tape.mm('eng-width', `${side}-at-accessories`);
  const y: [number, number] = side === 'left' ? [0, out] : [-out, 0];
  const long = lengthOf(tape);
  return [piece({ x: [long * 0.7, long * 0.95], y, z: [-90, 60] })];
};

/** How far forward the engine reaches with what is on its nose, and what that is. */
function nose(tape: Tape): Piece[] {
  const driven = tape.said('cho-fan', 'value') === 'engine-driven';
  const x = tape.mm('eng-fan-reach', driven ? 'fan-face' : 'pulley-face');
  // How wide it is decides nothing while the crank is level: its face is flat.
  const r = tape.tiltedOrTake('eng-fan-reach', driven ? 'fan-diameter' : 'pulley-diameter', driven ? 380 : 140) / 2;
  const z = driven ? 90 : 0;
  return [{ points: disc(x - 30, x, r, z) }];
}

/** A drum along the crank, as sixteen points at either end; a flat one where the ends are one. */
function disc(from: number, to: number, radius: number, z: number): Vec[] {
  return (from === to ? [from] : [from, to]).flatMap((x) =>
    Array.from({ length: 16 }, (_, i): Vec => {
      const turn = (i / 16) * 2 * Math.PI;
      return [x, radius * Math.cos(turn), z + radius * Math.sin(turn)];
    }),
  );
}

/** A plate between block and bell moves the gearbox back by its thickness. */
const plateThick = (tape: Tape): number => tape.maybe('cho-stack', 'adapter-plate') ?? 0;

/** Stretches of the gearbox, as shares of its length, each as wide as it is there. */
const gearboxRules = (
  [
    { id: 'bell', name: 'Gearbox at the bell', part: 'widest-at-bell', from: 0.02, to: 0.25, top: 1, low: 120 },
    { id: 'waist', name: 'Gearbox at the waist', part: 'widest-at-waist', from: 0.25, to: 0.65, top: 0.6, low: 110 },
    { id: 'tail', name: 'Gearbox at the tail', part: 'widest-at-tail', from: 0.65, to: 1, top: 0.4, low: 80 },
  ] as const
).map(({ id, name, part, from, to, top, low }): ShapeRule => ({
  id: `gearbox-${id}`,
  side: 'unit',
  name,
  make: (tape) => {
    const half = tape.mm('gbx-envelope', part) / 2;
    const long = tape.orTake('gbx-length', 'value', 700, 'as long as many are');
    const high = (tape.maybe('gbx-envelope', 'highest-at-bell') ?? 150) * top;
    const plate = plateThick(tape);
    return [piece({ x: [-to * long - plate, -from * long - plate], y: [-half, half], z: [-low, high] })];
  },
}));

/** The sump from its floor, station by station; a plug that stands out does so where it is deepest. */
const sumpOf = (floor: Stations, plug: number): Piece[] => {
  const deepest = Math.max(...floor.map((r) => r[1]!));
  const depth = (row: readonly number[]): number => (row[1] === deepest ? Math.max(deepest, plug) : row[1]!);
  return floor.slice(1).map((b, i): Piece => ({
    points: [floor[i]!, b].flatMap((row) =>
      [-130, 130].flatMap((y): Vec[] => [
        [row[0]!, y, -40],
        [row[0]!, y, -depth(row)],
      ]),
    ),
  }));
};

/** Manifolds on one side, from the crank axis to the heads, along the block: how high they reach decides little beside how far out. */
const manifolds = (side: 'left' | 'right') => (tape: Tape) => {
  const out = tape.mm('eng-width', `${side}-at-manifolds`);
  const y: [number, number] = side === 'left' ? [100, out] : [-out, -100];
  return [
    piece({
      x: [lengthOf(tape) * 0.1, lengthOf(tape) * 0.85],
      y: out > 100 ? y : [-out, out],
      z: [-60, topOf(tape) * 0.6],
    }),
  ];
};

export const unitRules: readonly ShapeRule[] = [
  {
    id: 'block',
    side: 'unit',
    name: 'Block',
    make: (tape) => {
      const long = tape.mm('eng-length', 'value');
      return [piece({ x: [0, long * 0.95], y: [-120, 120], z: [-60, topOf(tape) * 0.6] })];
    },
  },
  {
    id: 'top',
    side: 'unit',
    name: 'Highest point of the engine',
    make: (tape) => {
      const z = tape.mm('eng-height-up', 'highest-point');
      const x = tape.orTake('eng-height-up', 'highest-point-x', lengthOf(tape) / 2, 'the middle of the engine');
      return [{ points: [[x, 0, z]] }];
    },
  },
  {
    id: 'rear-cover',
    side: 'unit',
    name: 'Rear of the heads',
    make: (tape) => {
      const z = tape.mm('eng-height-up', 'rear-cover');
      return [piece({ x: [0, 60], y: [-140, 140], z: [z * 0.5, z] })];
    },
  },
  { id: 'covers-left', side: 'unit', name: 'Left covers and coils', make: covers('left') },
  { id: 'covers-right', side: 'unit', name: 'Right covers and coils', make: covers('right') },
  { id: 'accessories-left', side: 'unit', name: 'Left accessories', make: accessories('left') },
  { id: 'accessories-right', side: 'unit', name: 'Right accessories', make: accessories('right') },
  { id: 'manifolds-left', side: 'unit', name: 'Left manifolds', make: manifolds('left') },
  { id: 'manifolds-right', side: 'unit', name: 'Right manifolds', make: manifolds('right') },
  { id: 'nose', side: 'unit', name: 'Pulley or fan', make: nose },
  {
    id: 'sump-bowl',
    side: 'unit',
    name: 'Sump bowl',
    make: (tape) => {
      const floor = tape.stations('eng-sump-depth', 'profile');
      if (floor) return sumpOf(floor, tape.maybe('eng-sump-depth', 'drain-plug') ?? 0);
      const deep = Math.max(tape.mm('eng-sump-depth', 'at-bowl'), tape.maybe('eng-sump-depth', 'drain-plug') ?? 0);
      const long = lengthOf(tape);
      const rear = tape.orTake('eng-sump-bowl-place', 'bowl-rear-x', 0, 'as if the bowl went all along');
      const front = tape.orTake('eng-sump-bowl-place', 'bowl-front-x', long, 'as if the bowl went all along');
      return [piece({ x: [Math.min(rear, front), Math.max(rear, front)], y: [-130, 130], z: [-deep, -40] })];
    },
  },
  {
    id: 'sump-front',
    side: 'unit',
    name: 'Front of the sump',
    make: (tape) => {
      if (tape.stations('eng-sump-depth', 'profile')) return undefined;
      // Where nobody knows where the bowl ends it is taken to go all along, and there is no shallower front.
      const from = tape.maybe('eng-sump-bowl-place', 'bowl-front-x');
      const long = lengthOf(tape) * 0.95;
      if (from === undefined || from >= long) return undefined;
      const deep = tape.mm('eng-sump-depth', 'at-front');
      return [piece({ x: [from, long], y: [-110, 110], z: [-deep, -40] })];
    },
  },
  {
    id: 'bell',
    side: 'unit',
    name: 'Bell face',
    make: (tape) => [{ points: disc(0, 0, tape.tiltedOrTake('gbx-envelope', 'widest-at-bell', 340) / 2, 0) }],
  },
  ...gearboxRules,
  {
    id: 'gearbox-pan',
    side: 'unit',
    name: 'Gearbox pan',
    make: (tape) => {
      const deep = tape.mm('gbx-envelope', 'pan-depth');
      const long = tape.orTake('gbx-length', 'value', 700, 'as long as many are');
      const rear = tape.tiltedOrTake('gbx-envelope', 'pan-rear', 0.65 * long);
      const plate = plateThick(tape);
      return [piece({ x: [-rear - plate, -Math.min(0.25 * long, rear) - plate], y: [-110, 110], z: [-deep, 0] })];
    },
  },
];
