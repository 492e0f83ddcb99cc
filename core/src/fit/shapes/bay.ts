import { boxPoints } from '../../solid/index.ts';
import type { Span, Vec } from '../../solid/index.ts';
import type { Stations } from '../../facts/index.ts';
import type { Piece, ShapeRule } from './types.ts';
import type { Tape } from './tape.ts';

/**
 * The bay in body datum: x from the firewall's foremost point forward, y from the centre line to the left, z from the top of the
 * frame rail up. What bounds the engine on one side (a hood, a wall, the road) has no other side: it goes on beyond where an engine can
 * be, so that nothing is ever found to fit by being put through it, and a strip of it is drawn.
 */

/** Farther than this nothing of an engine is from where it is sought, mm. */
const beyond = 3000;

const everywhere: readonly [number, number] = [-beyond, beyond];

/**
 * What bounds on one side: it begins at a face and goes on beyond, also along the face, since how high a core or how long a tower is
 * nobody measured; drawn is a strip of it.
 */
function bound(span: Span, towards: 'x' | 'y' | 'z', sign: 1 | -1): Piece {
  const [low, high] = span[towards];
  const on: Span = {
    x: everywhere,
    y: everywhere,
    z: everywhere,
    [towards]: sign > 0 ? [low, beyond] : [-beyond, high],
  };
  return { points: boxPoints(on), drawn: boxPoints(span), bounds: towards };
}

/** What lies across the whole car, and is drawn as wide as a bay. */
const across = (x: readonly [number, number], z: readonly [number, number]): Piece => ({
  points: boxPoints({ x: [Math.min(...x), Math.max(...x)], y: everywhere, z }),
  drawn: boxPoints({ x: [Math.min(...x), Math.max(...x)], y: [-400, 400], z }),
});

/**
 * A face that was read station by station: between two stations it goes straight, and beyond the last on either side it is taken
 * as it is where there is least room. `at` gives the corner of a station on the face, `edge` which way the stations go, `towards`
 * where the thing lies.
 */
function face(
  stations: Stations,
  { along, towards, sign, least }: { along: 'x' | 'z'; towards: 'x' | 'z'; sign: 1 | -1; least: number },
): Piece[] {
  const first = stations[0]![0]!;
  const last = stations.at(-1)![0]!;
  const ends: [number, number][] = [
    [-beyond, first],
    [last, beyond],
  ];
  const point = (place: number, y: number, at: number): Vec => (along === 'x' ? [place, y, at] : [at, y, place]);
  const strip = (rows: readonly (readonly [number, number])[], half: number, deep: number): Vec[] =>
    rows.flatMap(([place, at]) =>
      [-half, half].flatMap((y) => [point(place, y, at), point(place, y, at + sign * deep)]),
    );
  const between = stations.slice(1).map((row, i): Piece => {
    const rows = [stations[i]!, row].map((r) => [r[0]!, r[1]!] as const);
    return { points: strip(rows, beyond, 2 * beyond), drawn: strip(rows, aside, thick), bounds: towards };
  });
  const outside = ends.map((range): Piece => {
    const rows = range.map((place) => [place, least] as const);
    const seen = [Math.max(range[0], first - 120), Math.min(range[1], last + 120)].map((p) => [p, least] as const);
    return { points: strip(rows, beyond, 2 * beyond), drawn: strip(seen, aside, thick), bounds: towards };
  });
  return [...between, ...outside];
}

/** How far walls are drawn, mm: beyond any engine that goes in. */
const behind = -900;
const above = 650;
const aside = 480;
const thick = 20;

/** Rear face of the core: a thicker radiator stands farther back than the old one did. */
const coreFace = (tape: Tape): number =>
  tape.mm('rec-bay-length', 'to-core-rear-face') - (tape.maybe('cho-radiator', 'rear-face-back') ?? 0);

/** The front end of the bay, or as far as one is drawn. */
const frontOf = (tape: Tape): number =>
  tape.maybe('rec-bay-length', 'to-core-rear-face') ?? tape.maybe('rec-bay-length', 'to-radiator-support') ?? 850;

const wall = (at: number, side: 1 | -1, [from, to]: readonly [number, number], z: readonly [number, number]): Piece =>
  bound({ x: [from, to], y: side > 0 ? [at, at + thick] : [-at - thick, -at], z }, 'y', side);

const towers = (side: 1 | -1) => (tape: Tape) => [
  wall(tape.mm('rec-bay-width', 'between-towers-at-head-height') / 2, side, [0, frontOf(tape)], [80, above]),
];
const rails = (side: 1 | -1) => (tape: Tape) => [
  wall(tape.mm('rec-bay-width', 'between-rails-at-mounts') / 2, side, [0, frontOf(tape)], [-140, 0]),
];

/** Stretches of the tunnel: where card templates are held, and how far each is drawn behind the firewall. */
const stretches = [
  { id: 'bell', name: 'at the bell', part: 'width-at-bell', x: [-180, -30], z: [-150, 200] },
  { id: 'waist', name: 'at the waist', part: 'width-at-waist', x: [-450, -180], z: [-150, 160] },
  { id: 'tail', name: 'at the gearbox mount', part: 'width-at-gearbox-mount', x: [behind, -450], z: [-150, 130] },
] as const;

/** A side of a stretch; it is held against the same stretch of the gearbox only. */
const tunnelRules = (['left', 'right'] as const).flatMap((side) =>
  stretches.map(({ id, name, part, x, z }): ShapeRule => ({
    id: `tunnel-${side}-${id}`,
    side: 'bay',
    name: `Tunnel ${name}, ${side}`,
    structural: true,
    make: (tape) => {
      // Where it was read section by section, that says more.
      if (tape.stations('rec-tunnel-envelope', 'sections')) return undefined;
      const at = tape.mm('rec-tunnel-envelope', part) / 2;
      const sign = side === 'left' ? 1 : -1;
      return [{ ...wall(at, sign, [2 * behind, 300], z), drawn: wall(at, sign, x, z).drawn! }];
    },
  })),
);

/** The tunnel from its sections: two walls and a roof, from section to section; where nobody held a card there is nothing. */
const tunnelWall = (side: 1 | -1) => (tape: Tape) => {
  const sections = tape.stations('rec-tunnel-envelope', 'sections');
  return sections?.slice(1).map((b, i): Piece => {
    const rows = [sections[i]!, b];
    const slab = (deep: number, low: number): Vec[] =>
      rows.flatMap(([x, width, roof]) =>
        [low, roof!].flatMap((z): Vec[] => [
          [x!, (side * width!) / 2, z],
          [x!, side * (width! / 2 + deep), z],
        ]),
      );
    return { points: slab(beyond, -400), drawn: slab(thick, -150), bounds: 'y' };
  });
};
function tunnelRoof(tape: Tape): Piece[] | undefined {
  const sections = tape.stations('rec-tunnel-envelope', 'sections');
  return sections?.slice(1).map((b, i): Piece => {
    const slab = (deep: number): Vec[] =>
      [sections[i]!, b].flatMap(([x, width, roof]) =>
        [-1, 1].flatMap((side): Vec[] => [
          [x!, (side * width!) / 2, roof!],
          [x!, (side * width!) / 2, roof! + deep],
        ]),
      );
    return { points: slab(beyond), drawn: slab(thick), bounds: 'z' };
  });
}

export const bayRules: readonly ShapeRule[] = [
  {
    id: 'hood',
    side: 'bay',
    name: 'Hood bracing',
    make: (tape) => {
      const profile = tape.stations('rec-hood-profile', 'profile');
      const lowest = profile && Math.min(...profile.map((r) => r[1]!));
      if (profile) return face(profile, { along: 'x', towards: 'z', sign: 1, least: lowest! });
      const z = tape.mm('rec-hood-profile', 'lowest-z-over-the-engine');
      return [bound({ x: [0, frontOf(tape)], y: [-aside, aside], z: [z, z + thick] }, 'z', 1)];
    },
  },
  {
    id: 'firewall',
    side: 'bay',
    name: 'Firewall',
    structural: true,
    make: (tape) => {
      const profile = tape.stations('rec-bay-length', 'firewall-profile')?.map(([z, recess]) => [z!, -recess!]);
      if (profile)
        return face(profile, { along: 'z', towards: 'x', sign: -1, least: Math.max(...profile.map((r) => r[1]!)) });
      const recess = tape.mm('rec-bay-length', 'firewall-recess-depth');
      return [bound({ x: [-recess - thick, -recess], y: [-aside, aside], z: [-200, above] }, 'x', -1)];
    },
  },
  {
    id: 'core',
    side: 'bay',
    name: 'Radiator core',
    make: (tape) => {
      const x = coreFace(tape);
      const deep =
        tape.maybe('rec-radiator-core', 'overall-depth') ?? tape.maybe('rec-radiator-core', 'core-depth') ?? 40;
      const wide = tape.maybe('rec-radiator-core', 'width') ?? 600;
      return [bound({ x: [x, x + deep], y: [-wide / 2, wide / 2], z: [-60, 400] }, 'x', 1)];
    },
  },
  {
    id: 'fan',
    side: 'bay',
    name: 'Fan behind the core',
    make: (tape) => {
      if (tape.said('cho-fan', 'value') !== 'electric-puller') return undefined;
      const x = coreFace(tape);
      const deep = tape.mm('cho-fan', 'thickness');
      return [bound({ x: [x - deep, x], y: [-230, 230], z: [-20, 380] }, 'x', 1)];
    },
  },
  { id: 'tower-left', side: 'bay', name: 'Left tower', structural: true, make: towers(1) },
  { id: 'tower-right', side: 'bay', name: 'Right tower', structural: true, make: towers(-1) },
  { id: 'rail-left', side: 'bay', name: 'Left rail', structural: true, make: rails(1) },
  { id: 'rail-right', side: 'bay', name: 'Right rail', structural: true, make: rails(-1) },
  {
    id: 'crossmember',
    side: 'bay',
    name: 'Crossmember',
    structural: true,
    make: (tape) => {
      const rear = tape.mm('rec-crossmember-place', 'rear-edge-x');
      const front = tape.mm('rec-crossmember-place', 'front-edge-x');
      const top = tape.mm('rec-crossmember-place', 'top-z');
      return [across([rear, front], [top - 70, top])];
    },
  },
  {
    id: 'steering',
    side: 'bay',
    name: 'Steering in its worst position',
    structural: true,
    make: (tape) => {
      const rear = tape.mm('rec-steering-envelope', 'rear-x');
      const front = tape.mm('rec-steering-envelope', 'front-x');
      const top = tape.mm('rec-steering-envelope', 'top-z-worst-position');
      return [across([rear, front], [top - 50, top])];
    },
  },
  {
    id: 'sway-bar',
    side: 'bay',
    name: 'Sway bar at its highest',
    structural: true,
    make: (tape) => {
      if (tape.said('rec-sway-bar-place', 'value') === 'none') return undefined;
      const x = tape.mm('rec-sway-bar-place', 'x');
      const z = tape.mm('rec-sway-bar-place', 'z');
      return [
        {
          points: [
            [x, -380, z],
            [x, 380, z],
          ],
          r: 0,
        },
      ];
    },
  },
  {
    id: 'ground',
    side: 'bay',
    name: 'Road, laden',
    make: (tape) => {
      const top = tape.mm('rec-crossmember-place', 'top-z');
      const road = tape.mm('rec-ground-at-crossmember', 'ground-to-crossmember');
      const springs = tape.orTake('rec-ground-at-crossmember', 'planned-ride-height-change', 0, 'no other springs');
      const z = top - road - springs;
      return [bound({ x: [behind, frontOf(tape)], y: [-aside, aside], z: [z - thick, z] }, 'z', -1)];
    },
  },
  ...tunnelRules,
  { id: 'tunnel-left', side: 'bay', name: 'Tunnel, left', structural: true, make: tunnelWall(1) },
  { id: 'tunnel-right', side: 'bay', name: 'Tunnel, right', structural: true, make: tunnelWall(-1) },
  { id: 'tunnel-roof', side: 'bay', name: 'Tunnel roof', structural: true, make: tunnelRoof },
  {
    id: 'steering-shaft',
    side: 'bay',
    name: 'Steering shaft',
    structural: true,
    make: (tape) => {
      const path = tape.list('rec-steering-shaft-path', 'path');
      // As thick as shafts with their joints are: common practice, no source.
      return path
        ?.slice(1)
        .map((b, i): Piece => ({ points: [path[i]!, b].map(([x, y, z]): Vec => [x!, y!, z!]), r: 20 }));
    },
  },
];
