import { byTime } from '../rules/stamp.ts';
import type { Act, Stamp } from '../rules/stamp.ts';

/** What joins the engine to the car: every plug, hose, cable, strap and bracket, logged once as it comes off, ticked as it goes back on. */

export const linkSorts = ['plug', 'hose', 'pipe', 'cable', 'strap', 'bracket', 'other'] as const;
export type LinkSort = (typeof linkSorts)[number];
export const linkSortWords: Readonly<Record<LinkSort, string>> = {
  plug: 'Plug',
  hose: 'Hose',
  pipe: 'Pipe',
  cable: 'Cable or lever',
  strap: 'Earth or strap',
  bracket: 'Bracket',
  other: 'Something else',
};

/** What becomes of it: mated again, gone with the engine that leaves, or a circuit that is taken out for good. */
export const linkFates = ['back', 'goes', 'out'] as const;
export type LinkFate = (typeof linkFates)[number];
export const linkFateWords: Readonly<Record<LinkFate, string>> = {
  back: 'Goes back on',
  goes: 'Goes with the engine that leaves',
  out: 'Taken out for good',
};

const sortWords: readonly (readonly [RegExp, LinkSort])[] = [
  [/plug|connector|sensor/i, 'plug'],
  [/hose/i, 'hose'],
  [/pipe|line|rail/i, 'pipe'],
  [/earth|strap|ground/i, 'strap'],
  [/cable|lever|rod/i, 'cable'],
  [/bracket|stay|brace/i, 'bracket'],
];

/** What sort of thing a link is by its name; only what a list is grouped by, nothing rests on it. */
export const sortOfLink = (name: string): LinkSort => sortWords.find(([word]) => word.test(name))?.[1] ?? 'other';

export interface LinkRecord extends Stamp {
  what: LinkSort;
  name: string;
  from?: string | undefined;
  to?: string | undefined;
  label?: string | undefined;
  fate: LinkFate;
  /** Its open ends are shut: somebody counts the caps off again. */
  capped?: boolean | undefined;
  cut?: boolean | undefined;
  /** The step at which it came off, by the key of its record. */
  step?: string | undefined;
  photoId?: string | undefined;
  /** It is off; without this it still holds the engine. */
  off?: Act | undefined;
  /** It is mated again, and looked at. */
  on?: Act | undefined;
  /** Written in error, or no longer wanted: it holds nothing. */
  dropped?: Act<{ why: string }> | undefined;
}

export type LinkState = 'holds' | 'off' | 'on' | 'gone';

/** Where a link stands: it holds the engine, is off and waits to be mated, is mated, or does not come back. */
export function linkState({ off, on, fate, dropped }: LinkRecord): LinkState {
  if (dropped) return 'gone';
  if (!off) return 'holds';
  if (fate !== 'back') return 'gone';
  return on ? 'on' : 'off';
}

export interface RollCall {
  /** Links that were logged and count. */
  all: number;
  free: number;
  holding: readonly string[];
  /** Of those that go back. */
  back: number;
  mated: number;
  unmated: readonly string[];
  /** Cut or capped ends among those that are not mated. */
  capped: number;
}

/** What a link is called with its label. */
export const linkTitle = ({ name, label }: Pick<LinkRecord, 'name' | 'label'>): string =>
  label ? `${name} (${label})` : name;

/** The roll of all links of a job, in the order in which they came off. */
export function rollCall(links: Readonly<Record<string, LinkRecord>>): RollCall {
  const live = Object.values(links)
    .filter((l) => !l.dropped)
    .sort(byTime);
  const titles = (state: LinkState): string[] => live.filter((l) => linkState(l) === state).map(linkTitle);
  const holding = titles('holds');
  const unmated = titles('off');
  const back = live.filter((l) => l.fate === 'back');
  return {
    all: live.length,
    free: live.length - holding.length,
    holding,
    back: back.length,
    mated: back.filter((l) => linkState(l) === 'on').length,
    unmated,
    capped: live.filter((l) => l.capped && linkState(l) === 'off').length,
  };
}

/** "62 of 64 free; 2 still hold the engine": the roll before the lift, in a sentence. */
export function freeWords({ all, free, holding }: RollCall): string {
  if (all === 0) return 'No link is logged';
  if (holding.length === 0) return `All ${all} free`;
  return `${free} of ${all} free; ${holding.length} still ${holding.length === 1 ? 'holds' : 'hold'} the engine`;
}

/** "63 of 64 mated": the roll before the crank, in a sentence. */
export function matedWords({ back, mated }: RollCall): string {
  return back === 0 ? 'Nothing logged goes back on' : `${mated} of ${back} mated`;
}
