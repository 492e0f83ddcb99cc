import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bareContext,
  pick,
  readDay,
  readLogLine,
  suggestAbout,
  understoodWords,
  spokenOf,
  keptUnasked,
} from './index.ts';
import type { LineContext, Thing } from './index.ts';

// A Tuesday.
const today = '2026-11-24';
const bare = bareContext(today);

describe('a line of any length', () => {
  // What a shape once read for minutes: its time must not grow with more than the length. The test ends, or it does not.
  const heads =
    'moved torqued bagged drained held found: done: attempt decided: tried: @OT bore arrived tested: engine'.split(
      ' ',
    );
  const fills = [
    ' ',
    '\t',
    '\u00a0',
    '1',
    '1 ',
    '1/',
    "1'",
    'a ',
    ', ',
    ' to ',
    ' over ',
    ' because ',
    ' bag ',
    ':',
    '(',
    '-1 ',
  ];
  it.each(heads)('%s, filled up with anything, is read at once', (head) => {
    for (const fill of fills) {
      const line = `${head} ${fill.repeat(1000)}`.slice(0, 999) + '!';
      expect(readLogLine(line, bare).text).toBe(line.trim());
    }
  });
  it('pieces stand where they were typed, however many spaces were between', () => {
    const line = '  bagged   6 bell  bolts,  bag   031';
    const draft = readLogLine(line, bare);
    expect(draft.pieces.map((p) => line.slice(p.from, p.to))).toEqual(['6 bell  bolts', '031']);
  });
});

describe('days as people say them', () => {
  it.each([
    ['today', '2026-11-24'],
    ['tomorrow', '2026-11-25'],
    ['Thursday', '2026-11-26'],
    ['thu', '2026-11-26'],
    ['Tuesday', '2026-12-01'],
    ['in 3 days', '2026-11-27'],
    ['26 Nov', '2026-11-26'],
    ['3 January', '2027-01-03'],
    ['2026-12-24', '2026-12-24'],
    ['31 Feb', undefined],
    ['whenever', undefined],
    ['th', undefined],
  ])('%s', (said, day) => expect(readDay(said, today)).toBe(day));
});

describe('one line', () => {
  it.each([
    ['bore 3 86.02', { kind: 'measurement', sheet: 'bore', place: '3', valueMm: 86.02 }],
    ['lash 2 0,25', { kind: 'measurement', sheet: 'lash', place: '2', valueMm: 0.25 }],
    ['ring gap 1 0.014 in', { kind: 'measurement', sheet: 'ring-gap', place: '1' }],
    [
      'held: waiting for coolant neck, Thursday',
      { kind: 'hold', waitsFor: 'coolant neck', due: '2026-11-26' },
    ],
    ['held by paint', { kind: 'hold', waitsFor: 'paint' }],
    [
      'held: seat cover, before hand over',
      { kind: 'hold', waitsFor: 'seat cover', forbiddenAt: 'Hand over' },
    ],
    ['held: seat cover, before lunch', { kind: 'hold', waitsFor: 'seat cover, before lunch' }],
    ['hold: engine stand, bay 2', { kind: 'hold', waitsFor: 'engine stand, bay 2' }],
    ['arrived: coolant neck', { kind: 'arrival', what: 'coolant neck' }],
    [
      'received tach divider, label K-118',
      { kind: 'arrival', what: 'tach divider', label: 'K-118' },
    ],
    ['released: coolant neck', { kind: 'release', what: 'coolant neck' }],
    ['torque main caps 3 65 Nm', { kind: 'torque', joint: 'main caps', bolt: '3', torqueNm: 65 }],
    ['torque main caps 3 30 Nm + 90 deg', { kind: 'torque', angleDeg: 90 }],
    ['loose: left mount, 2 bolts', { kind: 'provisional', what: 'loose: left mount, 2 bolts' }],
    ['engine mass 128 kg', { kind: 'fact', factId: 'eng-mass', partKey: 'value' }],
    [
      'bay length to core rear face 25 1/4 in',
      { kind: 'fact', factId: 'rec-bay-length', partKey: 'to-core-rear-face' },
    ],
    ['chain and guides look good', { kind: 'note' }],
    ['trial fit 1: slope 5.1 deg, tail too low', { kind: 'note' }],
  ])('%s', (line, wanted) => expect(readLogLine(line, bare)).toMatchObject(wanted));

  it('a torque in foot pounds is kept in newton metres', () => {
    const draft = readLogLine('torque head 1 40 lbft', bare);
    expect(draft.kind === 'torque' && draft.torqueNm).toBeCloseTo(54.23, 2);
  });
  it('a line that breaks off is a note with a hint', () => {
    expect(readLogLine('bore 3 wide', bare)).toMatchObject({
      kind: 'note',
      hint: expect.stringContaining('wide') as string,
    });
    expect(readLogLine('torque cap', bare)).toMatchObject({
      kind: 'note',
      hint: expect.stringContaining('torque main cap') as string,
    });
  });
  it('says before Enter what it took', () => {
    expect(understoodWords(readLogLine('bore 3 86.02', bare))).toBe(
      'measurement: bore, cylinder 3, 86.02 mm = 3.3866 in',
    );
    expect(understoodWords(readLogLine('hello', bare))).toBe('note');
  });
  it('never loses a word and never throws (property)', () => {
    fc.assert(
      fc.property(
        fc.string({ minLength: 1 }),
        (line) => readLogLine(line, bare).text === line.trim(),
      ),
    );
  });
});

const shop: LineContext = {
  today,
  steps: [
    { key: 'rm-bell-bolts', title: 'Bell bolts out, upper ones first', status: 'free' },
    { key: 'rm-mounts-free', title: 'Mount bolts out, engine held', status: 'held' },
    { key: 'rm-battery-off', title: 'Battery off: negative first', status: 'done' },
    { key: 'rm-oil-drain', title: 'Engine oil drained', status: 'free' },
  ],
  parts: [
    { key: 'p1', title: 'Engine computer', label: 'C-104' },
    { key: 'p2', title: 'Engine loom', label: 'C-105' },
  ],
  circuits: [{ key: 'c1', title: 'Main relay to injectors' }],
  links: [
    { key: 'l1', title: 'Injector 3 plug', label: 'L3' },
    { key: 'l2', title: 'Heater hose, upper', label: '' },
  ],
  joints: [{ key: 'main caps', title: 'main caps' }],
  provisional: [
    { key: 'v1', title: 'loose: left mount, 2 bolts' },
    { key: 'v2', title: 'capped: heater stubs' },
  ],
  people: [
    { id: 'u1', name: 'Osk Tiller', initials: 'OT' },
    { id: 'u2', name: 'Della Pruitt', initials: 'DP' },
  ],
};

describe('one line for every kind that can be written in one', () => {
  it.each([
    [
      'found: journal 4 scored, follows: regrind',
      { kind: 'finding', what: 'journal 4 scored', follows: 'regrind' },
    ],
    ['finding: weep at the rear seal', { kind: 'finding', what: 'weep at the rear seal' }],
    ['moved C-104 to shelf D1', { kind: 'moved', key: 'p1', place: 'shelf D1' }],
    ['moved: loom to bench 2', { kind: 'moved', key: 'p2', place: 'bench 2' }],
    [
      'freed: coolant temperature plug, loom to sender, L14, capped',
      {
        kind: 'freed',
        name: 'coolant temperature plug',
        from: 'loom',
        to: 'sender',
        label: 'L14',
        capped: true,
      },
    ],
    ['freed: L3', { kind: 'freed', key: 'l1', name: 'Injector 3 plug' }],
    ['freed: old alarm feed, cut, out', { kind: 'freed', cut: true, fate: 'out' }],
    ['mated: L3', { kind: 'mated', key: 'l1' }],
    ['mated: upper heater hose', { kind: 'mated', key: 'l2' }],
    [
      'bagged 6 bell bolts M10 x 60, bag 031, shelf C2',
      { kind: 'bag', what: '6 bell bolts M10 x 60', label: '031', place: 'shelf C2' },
    ],
    [
      'drained 4.5 l engine oil',
      { kind: 'fluid', way: 'drained', what: 'engine oil', system: 'engine-oil' },
    ],
    ['drained 1.2 l gear oil', { kind: 'fluid', system: 'gearbox' }],
    ['filled 0.4 l DOT 4', { kind: 'fluid', what: 'DOT 4' }],
    ['topped up 0.3 l power steering fluid', { kind: 'fluid', way: 'filled', system: 'steering' }],
    ['filled 4 l 5W-30', { kind: 'fluid', system: 'engine-oil' }],
    ['filled: 5,2 l coolant 50/50', { kind: 'fluid', way: 'filled', what: 'coolant 50/50' }],
    ['done: bell bolts', { kind: 'step', key: 'rm-bell-bolts', status: 'done' }],
    ['started: oil drained', { kind: 'step', key: 'rm-oil-drain', status: 'on-it' }],
    ['undone: battery', { kind: 'step', key: 'rm-battery-off', status: 'open' }],
    ['tested: relay injectors', { kind: 'tested', key: 'c1' }],
    [
      'decided: regrind over new crank, used crank because of the price',
      {
        kind: 'decision',
        chosen: 'regrind',
        over: ['new crank', 'used crank'],
        because: 'of the price',
      },
    ],
    [
      'tried: 38 mm hose on the neck, too tight, sent back',
      { kind: 'tried', part: '38 mm hose on the neck', back: true },
    ],
    [
      'tried: fan of the estate; meets the pulley',
      { kind: 'tried', how: 'meets the pulley', back: false },
    ],
    [
      'attempt: cranks no fire, 8 s, 11.2 V',
      { kind: 'attempt', result: 'cranks-no-fire', seconds: 8, volts: 11.2 },
    ],
    ['attempt runs', { kind: 'attempt', result: 'runs' }],
    ['approval: regrind, 420', { kind: 'ask', ask: 'approval', to: 'manager' }],
    [
      '@OT is the thread good?',
      { kind: 'ask', ask: 'question', to: 'u1', what: 'is the thread good?' },
    ],
    ['@della look at the seal', { kind: 'ask', to: 'u2' }],
    ['on: bell bolts', { kind: 'clock-on', key: 'rm-bell-bolts' }],
    ['off', { kind: 'clock-off' }],
    ['offered up: left header', { kind: 'provisional', form: 'offered-up' }],
    ['open exhaust: front pipe off', { kind: 'provisional', form: 'open-exhaust' }],
    ['old bolts: flywheel', { kind: 'provisional', form: 'old-bolts' }],
    ['final: left mount', { kind: 'final', key: 'v1' }],
  ])('%s', (line, wanted) => expect(readLogLine(line, shop)).toMatchObject(wanted));

  it.each([
    ['done: flux capacitor', 'No open step has the words', 'flux capacitor'],
    ['done: bolts', '2 open steps have these words', 'bolts'],
    ['undone: bell bolts', 'No done step has the words', 'bell bolts'],
    ['moved radio to shelf 1', 'No part has the words', 'radio'],
    ['moved engine to shelf 1', '2 parts have these words', 'engine'],
    ['@ZZ hello there', 'Nobody here is called', 'ZZ'],
    ['attempt: purple', 'An attempt is one of', 'purple'],
    ['final: exhaust', 'No open provisional item', 'exhaust'],
    ['torque main caps 3 65', 'A torque wants', 'torque main caps 3 65'],
    ['bagged six bolts', 'A bag wants', 'bagged six bolts'],
    ['tried: hose', 'wants its outcome', 'tried: hose'],
    ['bore 3 wide', 'wide', 'wide'],
  ])('%s: the error points at the words', (line, sentence, words) => {
    const draft = readLogLine(`  ${line}`, shop);
    expect(draft).toMatchObject({
      kind: 'note',
      hint: expect.stringContaining(sentence) as string,
    });
    const { from, to } = (draft as { at: { from: number; to: number } }).at;
    expect(`  ${line}`.slice(from, to).trim()).toBe(words);
  });

  it('names the pieces it took, each where it stands in the line', () => {
    const line = ' torque main caps 3 30 Nm + 90 deg';
    const draft = readLogLine(line, shop);
    expect(draft.pieces.map((p) => [p.name, line.slice(p.from, p.to)])).toEqual([
      ['joint', 'main caps'],
      ['bolt', '3'],
      ['torque', '30 Nm'],
      ['angle', '90'],
    ]);
  });
  it('every piece of every line lies inside the line (property)', () => {
    const verbs = fc.constantFrom(
      'done: ',
      'moved ',
      'bagged ',
      'found: ',
      'tried: ',
      'attempt ',
      '@OT ',
      'held: ',
      'torque ',
      'bore 1 ',
      'filled 2 l ',
      'decided: ',
      '',
    );
    fc.assert(
      fc.property(verbs, fc.string(), (verb, rest) => {
        const line = verb + rest;
        const draft = readLogLine(line, shop);
        const spans = [...draft.pieces, ...('at' in draft && draft.at ? [draft.at] : [])];
        return spans.every((s) => s.from >= 0 && s.from <= s.to && s.to <= line.length);
      }),
    );
  });
  it('words that need a list are only words where there is none', () =>
    expect(readLogLine('moved the car to the wash', bare)).toMatchObject({ kind: 'note' }));
});

describe('choosing by words', () => {
  const things = [
    { key: 'a', title: 'Fuel lines' },
    { key: 'b', title: 'Fuel lines and return of the rail' },
    { key: 'c', title: 'Coolant hoses' },
  ];
  it('takes the one of which most was said', () =>
    expect(pick('fuel lines', things, 'thing')).toMatchObject({ hit: { key: 'a' } }));
  it('takes word beginnings of four letters and more', () =>
    expect(pick('cool hose', things, 'thing')).toMatchObject({ hit: { key: 'c' } }));
  it('asks for a word when none tells', () =>
    expect(pick('the of', things, 'thing')).toEqual({ sentence: 'Say which thing.' }));
});

describe('what a line probably belongs to', () => {
  const things: Thing[] = [
    ...shop.steps.map(({ key, title }): Thing => ({ key, title, sort: 'step' })),
    { key: 'fit-hood', title: 'Highest points to hood', sort: 'interface' },
    { key: 'p2', title: 'Engine loom', sort: 'part' },
  ];
  it.each([
    ['two of the bell ones were seized', 'rm-bell-bolts'],
    ['hood shut with clay, 14 mm', 'fit-hood'],
    ['loom has three cut plugs', 'p2'],
  ])('%s', (line, key) => expect(suggestAbout(line, things)?.thing.key).toBe(key));
  it('goes to the step that runs when nothing else is spoken of', () => {
    expect(suggestAbout('knuckles bleeding', things, 'rm-oil-drain')).toMatchObject({
      thing: { key: 'rm-oil-drain' },
      sure: 0.5,
    });
    expect(suggestAbout('hood shut with clay', things, 'rm-oil-drain')?.thing.key).toBe('fit-hood');
  });
  it('says nothing when nothing is near', () =>
    expect(suggestAbout('coffee', things)).toBeUndefined());
});

describe('what a line speaks of', () => {
  const spoken = (line: string) => spokenOf(line, readLogLine(line, bareContext('2026-11-26')));
  it('is what it says, without the word that makes it a hold or a bag', () => {
    expect(spoken('held: second pair of hands')).toBe('second pair of hands');
    expect(spoken('bagged 6 bell bolts, bag 031, shelf C2')).toBe('6 bell bolts 031 shelf C2');
    expect(spoken('studs still seized')).toBe('studs still seized');
  });
  it('a hold is kept with nothing unasked, however sure it is', () => {
    const sure = { thing: { key: 'rm-chock', title: 'Chocks', sort: 'step' as const }, sure: 1 };
    expect(keptUnasked('hold', sure)).toBe(false);
    expect(keptUnasked('bag', sure)).toBe(true);
    expect(keptUnasked('bag', { ...sure, sure: 0.69 })).toBe(false);
  });
});
