import { FitEvidence } from '../evidence.ts';
import type { Books } from '../../rules/evidence.ts';
import type { Lie } from './lie.ts';

/** Shapes of unit and bay that are to keep a least gap, and the interface that speaks of it. */
export interface PairRule {
  id: string;
  /** Nothing where it is a thing of their own, of which no place speaks. */
  interfaceId?: string;
  name: string;
  unit: readonly string[];
  bay: readonly string[];
  clearance: string;
  /** More than the least gap, mm, with the words for it: what the row asks to be left over. */
  spare?: { mm: number; label: string };
}

/** What the engine's nose is held against: the core by its own fan, the fan's motor by its pulley. */
const nose = (driven: boolean): PairRule => ({
  id: 'nose',
  interfaceId: 'fit-bay-length',
  name: driven ? 'fan to core' : 'pulley to what stands behind the core',
  unit: ['nose'],
  bay: driven ? ['core'] : ['core', 'fan'],
  clearance: driven ? 'cl-fan-core' : 'cl-pulley-fan',
  spare: { mm: 10, label: 'To spare between firewall and radiator' },
});

const sides = (['left', 'right'] as const).flatMap((side): PairRule[] => [
  {
    id: `covers-${side}`,
    interfaceId: 'fit-bay-width',
    name: `${side} covers to tower`,
    unit: [`covers-${side}`],
    bay: [`tower-${side}`],
    clearance: 'cl-rock-upper',
  },
  {
    id: `accessories-${side}`,
    interfaceId: 'fit-bay-width',
    name: `${side} accessories to rail`,
    unit: [`accessories-${side}`],
    bay: [`rail-${side}`],
    clearance: 'cl-fixed',
  },
  ...(['bell', 'waist', 'tail'] as const).map((at): PairRule => ({
    id: `tunnel-${side}-${at}`,
    interfaceId: 'fit-tunnel',
    name: `gearbox to the ${side} of the tunnel, ${at}`,
    unit: [`gearbox-${at}`],
    bay: [`tunnel-${side}-${at}`],
    clearance: 'cl-gearbox-tunnel',
  })),
]);

/** Walls and roof of a tunnel that was read section by section: the whole gearbox against each. */
const gearbox = ['gearbox-bell', 'gearbox-waist', 'gearbox-tail', 'gearbox-pan'];
const tunnel = (
  [
    ['tunnel-left', 'gearbox to the left of the tunnel'],
    ['tunnel-right', 'gearbox to the right of the tunnel'],
    ['tunnel-roof', 'gearbox to the roof of the tunnel'],
  ] as const
).map(([id, name]): PairRule => ({
  id,
  interfaceId: 'fit-tunnel',
  name,
  unit: gearbox,
  bay: [id],
  clearance: 'cl-gearbox-tunnel',
}));

const always: readonly PairRule[] = [
  ...tunnel,
  {
    id: 'steering-shaft',
    interfaceId: 'fit-exhaust-steering',
    name: 'manifolds to steering shaft',
    unit: ['manifolds-left', 'manifolds-right'],
    bay: ['steering-shaft'],
    clearance: 'cl-exh-steering',
  },
  {
    id: 'hood',
    interfaceId: 'fit-hood',
    name: 'highest point to hood',
    unit: ['top'],
    bay: ['hood'],
    clearance: 'cl-hood',
  },
  {
    id: 'firewall',
    interfaceId: 'fit-firewall',
    name: 'bell and heads to firewall',
    unit: ['bell', 'rear-cover'],
    bay: ['firewall'],
    clearance: 'cl-firewall',
  },
  {
    id: 'crossmember',
    interfaceId: 'fit-sump-crossmember',
    name: 'sump to crossmember',
    unit: ['sump-bowl', 'sump-front'],
    bay: ['crossmember'],
    clearance: 'cl-sump-crossmember',
  },
  {
    id: 'steering',
    interfaceId: 'fit-sump-steering',
    name: 'sump to steering',
    unit: ['sump-bowl', 'sump-front'],
    bay: ['steering'],
    clearance: 'cl-sump-steering',
  },
  {
    id: 'sway-bar',
    interfaceId: 'fit-sway-bar',
    name: 'engine to sway bar',
    unit: ['sump-bowl', 'sump-front', 'nose'],
    bay: ['sway-bar'],
    clearance: 'cl-fixed',
  },
  {
    id: 'ground',
    interfaceId: 'fit-ground-clearance',
    name: 'lowest part to road',
    unit: ['sump-bowl', 'sump-front', 'gearbox-pan'],
    bay: ['ground'],
    clearance: 'cl-ground',
  },
];

/** What stands out of an engine that lies across, towards the front and towards the firewall. */
const flanks = (['left', 'right'] as const).flatMap((side) => [
  `covers-${side}`,
  `manifolds-${side}`,
  `accessories-${side}`,
]);
const ends = ['nose', 'block', 'gearbox-bell', 'gearbox-waist', 'gearbox-tail'];
const overAndUnder = new Set(['hood', 'crossmember', 'steering', 'sway-bar', 'ground']);

/** The pairs of an engine that lies across: its flanks meet firewall and radiator, its ends the sides of the bay. */
const lyingAcross: readonly PairRule[] = [
  ...always.filter((p) => overAndUnder.has(p.id)),
  {
    id: 'flank-front',
    interfaceId: 'fit-bay-length',
    name: 'engine to radiator and fan',
    unit: [...flanks, 'gearbox-bell'],
    bay: ['core', 'fan'],
    clearance: 'cl-pulley-fan',
  },
  {
    id: 'flank-firewall',
    interfaceId: 'fit-firewall',
    name: 'engine to firewall',
    unit: [...flanks, 'rear-cover', 'gearbox-bell'],
    bay: ['firewall'],
    clearance: 'cl-firewall',
  },
  ...(['left', 'right'] as const).flatMap((side): PairRule[] => [
    {
      id: `end-rail-${side}`,
      interfaceId: 'fit-bay-width',
      name: `engine or gearbox to the ${side} rail`,
      unit: ends,
      bay: [`rail-${side}`],
      clearance: 'cl-fixed',
    },
    {
      id: `end-tower-${side}`,
      interfaceId: 'fit-bay-width',
      name: `engine or gearbox to the ${side} tower`,
      unit: [...ends, ...flanks],
      bay: [`tower-${side}`],
      clearance: 'cl-rock-upper',
    },
  ]),
];

/** The pairs of an engine that lies along the car, by its fan, with and without a tunnel round its gearbox. */
const alongOf = (driven: boolean) => {
  const all: readonly PairRule[] = [...always, nose(driven), ...sides];
  return { all, noTunnel: all.filter((pair) => pair.interfaceId !== 'fit-tunnel') };
};
const alongPairs = { driven: alongOf(true), electric: alongOf(false) };

/** The pairs of a job. */
export function pairRulesOf(books: Books, lie: Lie): readonly PairRule[] {
  if (lie !== 'along') return lyingAcross;
  const driven = new FitEvidence(books).maybeWord('cho-fan') === 'engine-driven';
  // A gearbox behind or across before the firewall lies in no tunnel.
  const layout = new FitEvidence(books).maybeWord('rec-drive-layout');
  const tunnelled = layout === undefined || layout.startsWith('front-longitudinal');
  return alongPairs[driven ? 'driven' : 'electric'][tunnelled ? 'all' : 'noTunnel'];
}

export const pairRules: readonly PairRule[] = [
  ...alongPairs.driven.all,
  ...alongPairs.electric.all.filter((p) => !alongPairs.driven.all.includes(p)),
  ...lyingAcross,
];
