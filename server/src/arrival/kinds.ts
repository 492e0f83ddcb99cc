import { cameWith } from '@bay/core/arrival';
import type { ArrivalRecord } from '@bay/core/arrival';
import { sameValue } from '@bay/core/rules';
import { formatMeasure } from '@bay/core/units';
import { badInput } from '../http/problem.ts';
import { kindRule } from '../records/kind.ts';

const stateWords = { works: 'works', 'does-not': 'does not work' } as const;

/** What the customer signed for: all but the signature itself, and the stamps under it. The budget lies elsewhere. */
const signedFor = ({ received: _r, by: _b, byId: _i, at: _a, budget: _m, ...rest }: ArrivalRecord): object =>
  Object.fromEntries(Object.entries(rest).filter(([, v]) => v !== undefined));

const drawn = ({ received }: ArrivalRecord): object => ({ name: received?.name, strokes: received?.strokes });

export const arrivalKinds = [
  kindRule({
    kind: 'as-it-came',
    logKind: 'finding',
    station: 'scope',
    describe: ({ what, view, note, removed }) =>
      `${removed ? 'taken back, ' : ''}as it came, ${view}: ${cameWith[what].word.toLowerCase()}, ${note}`,
  }),
  kindRule({
    kind: 'works',
    logKind: 'finding',
    check: ({ again }, { before }) => {
      if (again && !before) throw badInput({ 'data.again': 'Say first how it came.' });
    },
    describe: ({ what, state, note, again }, { before }) =>
      again && !sameValue(again, before?.again)
        ? `tried again: ${what} ${stateWords[again.state]}${again.note ? `, ${again.note}` : ''}`
        : `as it came: ${what} ${stateWords[state]}${note ? `, ${note}` : ''}`,
  }),
  kindRule({
    kind: 'arrival',
    logKind: 'job',
    station: 'scope',
    check: (_data, { key }) => {
      if (key !== 'sheet') throw badInput({ key: 'There is one sheet of a job: "sheet".' });
    },
    // A signature stands under what was read: what is changed afterwards is signed anew.
    settle: (data, { before }) =>
      before?.received && sameValue(drawn(data), drawn(before)) && !sameValue(signedFor(data), signedFor(before))
        ? { ...data, received: undefined }
        : data,
    describe: (data, { before }) => {
      if (data.received && !before?.received) return `taken in, signed by ${data.received.name}`;
      const said = [
        data.odometerKm === undefined ? '' : `${formatMeasure(data.odometerKm, 'km', 0)} on the clock`,
        data.keys === undefined ? '' : `${data.keys} keys`,
        data.things ? `in it: ${data.things}` : '',
      ].filter(Boolean);
      const void_ = before?.received && !data.received ? '. The signature fell: what it stood under was changed' : '';
      return `taken in${said.length > 0 ? `: ${said.join(', ')}` : ''}${void_}`;
    },
  }),
];
