import { provisionalKinds } from '../commissioning/data/provisional.ts';
import { gateNames } from '../commissioning/types.ts';
import type { GateName, ProvisionalKindId } from '../commissioning/types.ts';
import { factCatalogue, partName } from '../facts/index.ts';
import { sheetDefs } from '../prep/sheets.ts';
import { parseMeasure } from '../units/index.ts';
import { readDay } from './days.ts';
import { fluidSystemOf, fluidSystems } from '../fluids/index.ts';
import type { FluidSystemId } from '../fluids/index.ts';
import type { LinkFate } from '../parts/index.ts';
import { pick, wordsOf } from './words.ts';
import type { Named, Picked } from './words.ts';

/** A piece of the line that the bar took, where it stands, and how it was understood. */
export interface Piece {
  name: string;
  from: number;
  to: number;
  shown: string;
}

/** What the words of a line are looked up among. Every list may be empty; then words that need it are only words. */
export interface LineContext {
  /** An ISO date: days of the week count from it. */
  today: string;
  steps: readonly (Named & { status: string })[];
  parts: readonly (Named & { label: string })[];
  circuits: readonly Named[];
  /** Links that are not mated yet. */
  links: readonly (Named & { label: string })[];
  provisional: readonly Named[];
  /** Joints that have a name on this job already. */
  joints: readonly Named[];
  people: readonly { id: string; name: string; initials: string }[];
}

export interface Understood {
  understood: string;
  pieces: readonly Piece[];
}

export type LogEntryDraft =
  | ({ kind: 'measurement'; text: string; sheet: string; place: string; valueMm: number } & Understood)
  | ({ kind: 'fact'; text: string; factId: string; partKey: string; typed: string } & Understood)
  | ({ kind: 'torque'; text: string; joint: string; bolt: string; torqueNm: number; angleDeg?: number } & Understood)
  | ({ kind: 'hold'; text: string; waitsFor: string; due?: string; forbiddenAt?: GateName } & Understood)
  | ({ kind: 'release'; text: string; what: string } & Understood)
  | ({ kind: 'arrival'; text: string; what: string; label?: string } & Understood)
  | ({ kind: 'provisional'; text: string; what: string; form: ProvisionalKindId } & Understood)
  | ({ kind: 'final'; text: string; key: string } & Understood)
  | ({ kind: 'finding'; text: string; what: string; follows?: string } & Understood)
  | ({ kind: 'moved'; text: string; key: string; place: string } & Understood)
  | ({ kind: 'bag'; text: string; what: string; label: string; place?: string } & Understood)
  | ({
      kind: 'freed';
      text: string;
      /** Of a link that is in the list already. */
      key?: string;
      name: string;
      from?: string;
      to?: string;
      label?: string;
      capped?: boolean;
      cut?: boolean;
      fate?: LinkFate;
    } & Understood)
  | ({ kind: 'mated'; text: string; key: string } & Understood)
  | ({
      kind: 'fluid';
      text: string;
      way: 'drained' | 'filled';
      litres: number;
      what: string;
      system?: FluidSystemId;
    } & Understood)
  | ({ kind: 'step'; text: string; key: string; status: 'done' | 'on-it' | 'open' } & Understood)
  | ({ kind: 'tested'; text: string; key: string } & Understood)
  | ({ kind: 'decision'; text: string; chosen: string; over: string[]; because?: string } & Understood)
  | ({ kind: 'tried'; text: string; part: string; how: string; back: boolean } & Understood)
  | ({
      kind: 'attempt';
      text: string;
      result: 'no-crank' | 'cranks-no-fire' | 'fires-and-dies' | 'runs';
      seconds?: number;
      volts?: number;
    } & Understood)
  | ({ kind: 'ask'; text: string; ask: 'question' | 'approval'; to: string; what: string } & Understood)
  | ({ kind: 'clock-on'; text: string; key: string; title: string } & Understood)
  | ({ kind: 'clock-off'; text: string } & Understood);

/** A line that began like a shape and broke off: the sentence, and where in the line. */
export interface Broken {
  broken: string;
  from: number;
  to: number;
}

export type Reading = LogEntryDraft | Broken | undefined;
type Shape = (text: string, context: LineContext) => Reading;

/** A regular expression with named groups, whose groups are pieces of the line. Its flags are `di`. */
class Match {
  private readonly m: RegExpExecArray;

  private constructor(m: RegExpExecArray) {
    this.m = m;
  }

  static of(re: RegExp, text: string): Match | undefined {
    const m = re.exec(text);
    return m ? new Match(m) : undefined;
  }

  get(name: string): string | undefined {
    return this.m.groups?.[name]?.trim();
  }

  must(name: string): string {
    return this.get(name) ?? '';
  }

  span(name: string): { from: number; to: number } {
    const [from, to] = this.m.indices?.groups?.[name] ?? [0, 0];
    return { from, to };
  }

  piece(name: string, label: string, shown = this.must(name)): Piece[] {
    return this.get(name) === undefined ? [] : [{ name: label, shown, ...this.span(name) }];
  }

  broken(name: string, sentence: string): Broken {
    return { broken: sentence, ...this.span(name) };
  }
}

const isBroken = (r: Picked<Named>): r is { hit?: undefined; sentence: string } => r.hit === undefined;

/** One name for one joint: "Main cap", "main caps" and "MAIN  CAPS" are the one that is there. */
function jointName(said: string, joints: readonly Named[]): string {
  const stems = (words: string): string =>
    wordsOf(words)
      .map((w) => w.replace(/s$/, ''))
      .sort()
      .join(' ');
  return joints.find((j) => stems(j.title) === stems(said))?.title ?? said.trim().replace(/\s+/g, ' ').toLowerCase();
}

const torque: Shape = (text, { joints }) => {
  if (!/^torqued?\b/i.test(text)) return undefined;
  const m = Match.of(
    /^torqued?\s+(?<joint>.+?)\s+(?<bolt>\d+)\s+(?<amount>\d[\d.,]*\s*[a-z·.-]+(?:\s?[a-z-]+)?)(?:\s*\+\s*(?<angle>\d{1,3})\s*(?:deg|°))?$/di,
    text,
  );
  if (!m) return { broken: 'A torque wants: torque main cap 3 65 Nm + 90 deg', from: 0, to: text.length };
  const amount = parseMeasure(m.must('amount'), 'N·m');
  if (!amount.ok) return m.broken('amount', amount.sentence);
  const angle = m.get('angle');
  const joint = jointName(m.must('joint'), joints);
  return {
    kind: 'torque',
    text,
    joint,
    bolt: m.must('bolt'),
    torqueNm: amount.measure.value,
    ...(angle === undefined ? {} : { angleDeg: Number(angle) }),
    pieces: [
      ...m.piece('joint', 'joint', joint),
      ...m.piece('bolt', 'bolt'),
      ...m.piece('amount', 'torque', amount.measure.understood),
      ...m.piece('angle', 'angle', `${angle} deg`),
    ],
    understood: `torque: ${joint}, bolt ${m.must('bolt')}, ${amount.measure.understood}${angle === undefined ? '' : `, then ${angle} deg`}`,
  };
};

const sheetWords: Readonly<Record<string, string>> = {
  bore: 'bore',
  journal: 'journal',
  'ring gap': 'ring-gap',
  lash: 'lash',
};

const measurement: Shape = (text) => {
  const m = Match.of(/^(?<sheet>bore|journal|ring gap|lash)\s+(?<place>\d{1,2}[a-z]?)\s+(?<value>.+)$/di, text);
  if (!m) return undefined;
  const word = m.must('sheet').toLowerCase();
  const sheet = sheetDefs.find((s) => s.id === sheetWords[word])!;
  const value = parseMeasure(m.must('value'), 'mm');
  if (!value.ok) return m.broken('value', `${m.must('value')}: ${value.sentence}`);
  return {
    kind: 'measurement',
    text,
    sheet: sheet.id,
    place: m.must('place'),
    valueMm: value.measure.value,
    pieces: [
      ...m.piece('sheet', 'sheet', word),
      ...m.piece('place', sheet.place),
      ...m.piece('value', 'reading', value.measure.understood),
    ],
    understood: `measurement: ${word}, ${sheet.place} ${m.must('place')}, ${value.measure.understood}`,
  };
};

interface FactWords {
  factId: string;
  partKey: string;
  words: readonly string[];
}

const stop = new Set(['the', 'of', 'at', 'to', 'a', 'in', 'and', 'from', 'over']);
const plain = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^a-z0-9]+/)
    .filter((w) => w !== '' && !stop.has(w));
const factWords: FactWords[] = factCatalogue.flatMap((def) =>
  def.parts
    .filter((p) => p.unit !== undefined && p.unit !== '')
    .map((p) => ({ factId: def.id, partKey: p.key, words: plain(`${def.label} ${p.label}`) })),
);

/** "bay length to radiator support 612": every word before the number belongs to one fact, and only to that one. */
const fact: Shape = (text) => {
  const m = Match.of(/^(?<name>[a-z][a-z -]{3,}?)\s+(?<value>-?[\d.,].*)$/di, text);
  if (!m) return undefined;
  const said = plain(m.must('name'));
  if (said.length < 2) return undefined;
  const hits = factWords.filter((f) =>
    said.every((w) => f.words.some((x) => x === w || (w.length >= 4 && x.startsWith(w)))),
  );
  const best = hits.filter((f) => f.words.length === Math.min(...hits.map((h) => h.words.length)));
  if (best.length !== 1) return undefined;
  const { factId, partKey } = best[0]!;
  const unit = factCatalogue.find((d) => d.id === factId)!.parts.find((p) => p.key === partKey)!.unit!;
  const value = parseMeasure(m.must('value'), unit);
  if (!value.ok) return m.broken('value', value.sentence);
  const name = partName(factId, partKey).toLowerCase();
  return {
    kind: 'fact',
    text,
    factId,
    partKey,
    typed: m.must('value'),
    pieces: [...m.piece('name', 'fact', name), ...m.piece('value', 'value', value.measure.understood)],
    understood: `fact: ${name}, ${value.measure.understood}`,
  };
};

const endsBeforeGate = new RegExp(
  `^(?<rest>.+?)\\s*[,;]\\s*before\\s+(?:the\\s+)?(?<gate>${gateNames.join('|')})$`,
  'di',
);

/** "…, before first drive": the first gate at which it may no longer be so. */
function beforeGate(text: string): { rest: string; gate?: GateName; pieces: Piece[] } {
  const m = Match.of(endsBeforeGate, text);
  const gate = gateNames.find((g) => g.toLowerCase() === m?.must('gate').toLowerCase());
  return m && gate
    ? { rest: m.must('rest'), gate, pieces: m.piece('gate', 'before', gate) }
    : { rest: text, pieces: [] };
}

const hold: Shape = (line, { today }) => {
  const { rest: text, gate, pieces } = beforeGate(line);
  const m = Match.of(/^(?:held|hold)\s*(?::|by|for)?\s*(?:waiting for|waits for|by|for)?\s+(?<rest>.+)$/di, text);
  if (!m) return undefined;
  const tail = Match.of(
    /^(?<lead>(?:held|hold)\s*(?::|by|for)?\s*(?:waiting for|waits for|by|for)?\s+)(?<what>.*)[,;]\s*(?:due|until|by|on)?\s*(?<day>[^,;]+)$/di,
    text,
  );
  const due = tail ? readDay(tail.must('day'), today) : undefined;
  const by = due ? tail! : m;
  const waitsFor = due ? tail!.must('what') : m.must('rest');
  return {
    kind: 'hold',
    text: line,
    waitsFor,
    ...(due ? { due } : {}),
    ...(gate ? { forbiddenAt: gate } : {}),
    pieces: [
      ...(due ? [...by.piece('what', 'waits for'), ...by.piece('day', 'due', due)] : by.piece('rest', 'waits for')),
      ...pieces,
    ],
    understood: `hold: waits for ${waitsFor}${due ? `, due ${due}` : ''}${gate ? `, before ${gate.toLowerCase()}` : ''}`,
  };
};

const release: Shape = (text) => {
  const m = Match.of(/^released?\s*:?\s+(?<what>.+)$/di, text);
  return (
    m && {
      kind: 'release',
      text,
      what: m.must('what'),
      pieces: m.piece('what', 'hold'),
      understood: `release: ${m.must('what')}`,
    }
  );
};

const arrival: Shape = (text) => {
  const m = Match.of(
    /^(?:arrived|received|here|arrival)\s*:?\s+(?<what>.+?)(?:,?\s+label\s+(?<label>[\w-]+))?$/di,
    text,
  );
  if (!m) return undefined;
  const label = m.get('label');
  return {
    kind: 'arrival',
    text,
    what: m.must('what'),
    ...(label ? { label } : {}),
    pieces: [...m.piece('what', 'part'), ...m.piece('label', 'label')],
    understood: `arrived: ${m.must('what')}${label ? `, label ${label}` : ''}`,
  };
};

const provisionalWords = provisionalKinds
  .flatMap((k) => k.words.map((w) => [w, k] as const))
  .sort(([a], [b]) => b.length - a.length);
const provisionalLine = new RegExp(
  `^(?<form>${provisionalWords.map(([w]) => w).join('|')})\\s*:\\s*(?<what>.+)$`,
  'di',
);

const provisional: Shape = (text) => {
  const m = Match.of(provisionalLine, text);
  if (!m) return undefined;
  const kind = provisionalWords.find(([w]) => w === m.must('form').toLowerCase())![1];
  return {
    kind: 'provisional',
    text,
    form: kind.id,
    what: text,
    pieces: [...m.piece('form', 'how', kind.title), ...m.piece('what', 'what')],
    understood: `provisional: ${text}. Ends when ${kind.endsWith}; none open at ${kind.forbiddenAt.toLowerCase()}`,
  };
};

const final: Shape = (text, { provisional: items }) => {
  const m = Match.of(/^final\s*:\s*(?<what>.+)$/di, text);
  if (!m) return undefined;
  const found = pick(m.must('what'), items, 'open provisional item');
  if (isBroken(found)) return m.broken('what', found.sentence);
  return {
    kind: 'final',
    text,
    key: found.hit.key,
    pieces: m.piece('what', 'item', found.hit.title),
    understood: `no longer provisional: ${found.hit.title}`,
  };
};

const finding: Shape = (text) => {
  const m = Match.of(/^(?:found|finding)\s*:\s*(?<what>.+?)(?:[;,.]\s*follows:?\s+(?<follows>.+))?$/di, text);
  if (!m) return undefined;
  const follows = m.get('follows');
  return {
    kind: 'finding',
    text,
    what: m.must('what'),
    ...(follows ? { follows } : {}),
    pieces: [...m.piece('what', 'found'), ...m.piece('follows', 'follows')],
    understood: `finding: ${m.must('what')}${follows ? `; follows: ${follows}` : ''}`,
  };
};

const moved: Shape = (text, { parts }) => {
  const m = Match.of(/^moved\s*:?\s+(?<part>.+?)\s+to\s+(?<place>.+)$/di, text);
  if (!m || parts.length === 0) return undefined;
  const label = parts.find((p) => p.label !== '' && p.label.toLowerCase() === m.must('part').toLowerCase());
  const found: Picked<LineContext['parts'][number]> = label ? { hit: label } : pick(m.must('part'), parts, 'part');
  if (isBroken(found)) return m.broken('part', found.sentence);
  return {
    kind: 'moved',
    text,
    key: found.hit.key,
    place: m.must('place'),
    pieces: [...m.piece('part', 'part', found.hit.title), ...m.piece('place', 'to')],
    understood: `moved: ${found.hit.title} to ${m.must('place')}`,
  };
};

const bag: Shape = (text) => {
  if (!/^bagged\b/i.test(text)) return undefined;
  const m = Match.of(/^bagged\s*:?\s+(?<what>.+?),\s*bag\s+(?<label>[\w-]+)(?:,\s*(?<place>.+))?$/di, text);
  if (!m) return { broken: 'A bag wants: bagged 6 bell bolts M10 x 60, bag 031, shelf C2', from: 0, to: text.length };
  const place = m.get('place');
  return {
    kind: 'bag',
    text,
    what: m.must('what'),
    label: m.must('label'),
    ...(place ? { place } : {}),
    pieces: [...m.piece('what', 'what'), ...m.piece('label', 'bag'), ...m.piece('place', 'place')],
    understood: `bag ${m.must('label')}: ${m.must('what')}${place ? `, ${place}` : ''}`,
  };
};

const link: Shape = (text, { links }) => {
  const m = Match.of(/^(?<way>freed|mated)\s*:\s*(?<what>.+)$/di, text);
  if (!m) return undefined;
  const [said, ...more] = m
    .must('what')
    .split(',')
    .map((w) => w.trim());
  const named = links.find((l) => l.label !== '' && l.label.toLowerCase() === said!.toLowerCase());
  if (m.must('way').toLowerCase() === 'mated') {
    const found: Picked<LineContext['links'][number]> = named ? { hit: named } : pick(said!, links, 'link');
    if (isBroken(found)) return m.broken('what', found.sentence);
    return {
      kind: 'mated',
      text,
      key: found.hit.key,
      pieces: m.piece('what', 'link', found.hit.title),
      understood: `mated: ${found.hit.title}`,
    };
  }
  if (named) {
    return {
      kind: 'freed',
      text,
      key: named.key,
      name: named.title,
      pieces: m.piece('what', 'link', named.title),
      understood: `off: ${named.title}`,
    };
  }
  const ends = more.map((w) => /^(?:from\s+)?(.+?)\s+to\s+(.+)$/i.exec(w)).find((e) => e !== null);
  const label = more.find((w) => /^(?:label\s+)?[a-z]{1,3}-?\d{1,4}$/i.test(w))?.replace(/^label\s+/i, '');
  const has = (word: string): boolean => more.some((w) => w.toLowerCase() === word);
  return {
    kind: 'freed',
    text,
    name: said!,
    ...(ends ? { from: ends[1]!, to: ends[2]! } : {}),
    ...(label ? { label: label.toUpperCase() } : {}),
    ...(has('capped') ? { capped: true } : {}),
    ...(has('cut') ? { cut: true } : {}),
    ...(has('goes') ? { fate: 'goes' as const } : has('out') ? { fate: 'out' as const } : {}),
    pieces: m.piece('what', 'link'),
    understood: `off: ${said!}${ends ? `, ${ends[1]!} to ${ends[2]!}` : ''}${label ? `, label ${label.toUpperCase()}` : ''}`,
  };
};

const fluid: Shape = (text) => {
  const m = Match.of(
    /^(?<way>drained|filled|topped up)\s*:?\s+(?<amount>[\d.,]+(?:\s+\d+\/\d+)?\s*(?:l|litres?|liters?|ml|qts?|quarts?|gals?|gallons?|pts?|pints?|fl oz)?)\s+(?:of\s+)?(?<what>[a-z].*)$/di,
    text,
  );
  if (!m) return undefined;
  const amount = parseMeasure(m.must('amount'), 'L');
  if (!amount.ok) return m.broken('amount', amount.sentence);
  const way = m.must('way').toLowerCase() === 'drained' ? 'drained' : 'filled';
  const system = fluidSystemOf(m.must('what'));
  const title = fluidSystems.find((s) => s.id === system)?.title;
  return {
    kind: 'fluid',
    text,
    way,
    litres: amount.measure.value,
    what: m.must('what'),
    ...(system ? { system } : {}),
    pieces: [
      ...m.piece('way', 'way', way),
      ...m.piece('amount', 'amount', amount.measure.understood),
      ...m.piece('what', 'fluid', title),
    ],
    understood: `fluid ${way}: ${amount.measure.understood} ${m.must('what')}`,
  };
};

const stepVerbs = { done: 'done', started: 'on-it', undone: 'open' } as const;

const step: Shape = (text, { steps }) => {
  const m = Match.of(/^(?<verb>done|started|undone)\s*:\s*(?<step>.+)$/di, text);
  if (!m) return undefined;
  const verb = m.must('verb').toLowerCase() as keyof typeof stepVerbs;
  const among = steps.filter((s) =>
    verb === 'undone' ? s.status === 'done' || s.status === 'waived' : s.status !== 'done' && s.status !== 'waived',
  );
  const found = pick(m.must('step'), among, verb === 'undone' ? 'done step' : 'open step');
  if (isBroken(found)) return m.broken('step', found.sentence);
  const said = { done: 'done', started: 'started', undone: 'undone' }[verb];
  return {
    kind: 'step',
    text,
    key: found.hit.key,
    status: stepVerbs[verb],
    pieces: [...m.piece('verb', 'state', said), ...m.piece('step', 'step', found.hit.title)],
    understood: `step ${said}: ${found.hit.title}`,
  };
};

const tested: Shape = (text, { circuits }) => {
  const m = Match.of(/^tested\s*:\s*(?<circuit>.+)$/di, text);
  if (!m) return undefined;
  const found = pick(m.must('circuit'), circuits, 'circuit');
  if (isBroken(found)) return m.broken('circuit', found.sentence);
  return {
    kind: 'tested',
    text,
    key: found.hit.key,
    pieces: m.piece('circuit', 'circuit', found.hit.title),
    understood: `circuit tested: ${found.hit.title}`,
  };
};

const decision: Shape = (text) => {
  if (!/^decided\s*:/i.test(text)) return undefined;
  const m = Match.of(
    /^decided\s*:\s*(?<chosen>.+?)(?:\s+over\s+(?<over>.+?))?(?:,?\s+because\s+(?<because>.+))?$/di,
    text,
  );
  if (!m)
    return {
      broken: 'A decision wants: decided: regrind over new crank, because of the price',
      from: 0,
      to: text.length,
    };
  const over = (m.get('over') ?? '')
    .split(/\s*,\s*|\s+or\s+/)
    .map((o) => o.trim())
    .filter(Boolean);
  const because = m.get('because');
  return {
    kind: 'decision',
    text,
    chosen: m.must('chosen'),
    over,
    ...(because ? { because } : {}),
    pieces: [
      ...m.piece('chosen', 'chosen'),
      ...m.piece('over', 'over', over.join(', ')),
      ...m.piece('because', 'because'),
    ],
    understood: `decision: ${m.must('chosen')}${over.length > 0 ? ` over ${over.join(', ')}` : ''}${because ? `, because ${because}` : '. Say why: add "because …"'}`,
  };
};

const tried: Shape = (text) => {
  const m = Match.of(/^tried\s*:\s*(?<part>[^,;:]+)[,;:]\s*(?<how>.+)$/di, text);
  if (!m)
    return /^tried\s*:/i.test(text)
      ? {
          broken: 'What was tried wants its outcome: tried: 38 mm hose on the neck, too tight, sent back',
          from: 0,
          to: text.length,
        }
      : undefined;
  const back = /\b(?:sent|went|goes|given) back\b|\breturned\b/i.test(m.must('how'));
  return {
    kind: 'tried',
    text,
    part: m.must('part'),
    how: m.must('how'),
    back,
    pieces: [...m.piece('part', 'part'), ...m.piece('how', 'outcome')],
    understood: `tried and failed: ${m.must('part')}, ${m.must('how')}${back ? ' (went back)' : ''}`,
  };
};

const results = [
  ['no-crank', /^(?:no crank|does not crank|dead)/i],
  ['cranks-no-fire', /^(?:cranks,? (?:but )?(?:no fire|does not fire)|no fire)/i],
  ['fires-and-dies', /^(?:fires and dies|starts and dies|dies)/i],
  ['runs', /^(?:runs|running|started)/i],
] as const;

const attempt: Shape = (text) => {
  const m = Match.of(
    /^attempt\s*:?\s+(?<result>[^\d]+?)(?:[,;]?\s+(?<seconds>\d+)\s*s(?:ec\w*)?)?(?:[,;]?\s+(?<volts>\d+(?:[.,]\d+)?)\s*v\w*)?$/di,
    text,
  );
  if (!m) return undefined;
  const result = results.find(([, re]) => re.test(m.must('result')))?.[0];
  if (!result) return m.broken('result', 'An attempt is one of: no crank, cranks no fire, fires and dies, runs.');
  const seconds = m.get('seconds');
  const volts = m.get('volts')?.replace(',', '.');
  return {
    kind: 'attempt',
    text,
    result,
    ...(seconds ? { seconds: Number(seconds) } : {}),
    ...(volts ? { volts: Number(volts) } : {}),
    pieces: [
      ...m.piece('result', 'result', result.replaceAll('-', ' ')),
      ...m.piece('seconds', 'cranked', `${seconds} s`),
      ...m.piece('volts', 'at crank', `${volts} V`),
    ],
    understood: `start attempt: ${result.replaceAll('-', ' ')}${seconds ? `, ${seconds} s` : ''}${volts ? `, ${volts} V` : ''}`,
  };
};

const ask: Shape = (text, { people }) => {
  const approval = Match.of(/^approval\s*:\s*(?<what>.+)$/di, text);
  if (approval)
    return {
      kind: 'ask',
      text,
      ask: 'approval',
      to: 'manager',
      what: approval.must('what'),
      pieces: approval.piece('what', 'approve'),
      understood: `asks the manager to approve: ${approval.must('what')}`,
    };
  const m = Match.of(/^@(?<who>[\p{L}]+)\s*:?\s+(?<what>.+)$/diu, text);
  if (!m) return undefined;
  const who = m.must('who').toLowerCase();
  const hits = people.filter((p) => p.initials.toLowerCase() === who || p.name.toLowerCase().split(' ').includes(who));
  if (hits.length !== 1)
    return m.broken(
      'who',
      hits.length === 0
        ? `Nobody here is called "${m.must('who')}".`
        : `"${m.must('who')}" is ${hits.map((h) => h.name).join(' or ')}.`,
    );
  return {
    kind: 'ask',
    text,
    ask: 'question',
    to: hits[0]!.id,
    what: m.must('what'),
    pieces: [...m.piece('who', 'to', hits[0]!.name), ...m.piece('what', 'question')],
    understood: `for ${hits[0]!.name}: ${m.must('what')}`,
  };
};

const clock: Shape = (text, { steps }) => {
  if (/^(?:clock )?off$/i.test(text)) return { kind: 'clock-off', text, pieces: [], understood: 'clock off' };
  const m = Match.of(/^(?:clock )?on\s*:\s*(?<step>.+)$/di, text);
  if (!m) return undefined;
  const found = pick(
    m.must('step'),
    steps.filter((s) => s.status !== 'done' && s.status !== 'waived'),
    'open step',
  );
  if (isBroken(found)) return m.broken('step', found.sentence);
  return {
    kind: 'clock-on',
    text,
    key: found.hit.key,
    title: found.hit.title,
    pieces: m.piece('step', 'step', found.hit.title),
    understood: `clock on: ${found.hit.title}`,
  };
};

/** Every shape, the more particular first. */
export const shapes: readonly Shape[] = [
  release,
  provisional,
  final,
  finding,
  hold,
  arrival,
  torque,
  measurement,
  bag,
  link,
  moved,
  fluid,
  step,
  tested,
  decision,
  tried,
  attempt,
  ask,
  clock,
  fact,
];
