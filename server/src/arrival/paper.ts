import { cameWith, worksLines } from '@bay/core/arrival';
import type { ArrivalRecord, CameRecord, WorksRecord } from '@bay/core/arrival';
import { noCurrency } from '@bay/core/money';
import { formatMeasure } from '@bay/core/units';
import type { FileReply } from '@bay/contract/endpoint';
import { beginPaper } from '../money/paper-head.ts';
import type { PaperHead } from '../money/paper-head.ts';
import { ink } from '../pdf/sheet.ts';

interface TakenIn {
  wish: string;
  faults: string;
  promised: string | null;
  identity: string | null;
  marks: readonly CameRecord[];
  works: Readonly<Record<string, WorksRecord | undefined>>;
  sheet: ArrivalRecord | undefined;
}

const worksWords = { works: 'works', 'does-not': 'does not work', 'not-tried': 'not tried' } as const;

/** What was taken in with a car: the customer keeps it, and nobody is blamed for what was there. */
export async function arrivalPaper(head: PaperHead, came: TakenIn): Promise<FileReply> {
  const title = `Taken in, job ${head.jobNumber}`;
  const paper = await beginPaper(
    title,
    { ...head, engineName: null, currency: noCurrency },
    'How the car came, and what came with it.',
  );
  const { sheet } = came;
  const rows: [string, string | undefined][] = [
    ['Identity number', came.identity ?? undefined],
    [
      'Odometer',
      sheet?.odometerKm === undefined
        ? undefined
        : `${formatMeasure(sheet.odometerKm, 'km', 0)}${sheet.odometerFrom ? `, ${sheet.odometerFrom === 'said' ? 'as said' : `from the ${sheet.odometerFrom}`}` : ''}`,
    ],
    ['Keys', sheet?.keys === undefined ? undefined : String(sheet.keys)],
    ['Fuel in it', sheet?.fuel],
    ['Promised for', came.promised ?? undefined],
  ];
  for (const [name, value] of rows) paper.row(name, value ?? 'not written');
  const words: [string, string | undefined][] = [
    ['What is wanted', came.wish],
    ['Faults as said', came.faults],
    ['Warning lamps', sheet?.lamps],
    ['Codes stored', sheet?.codes],
    ['Fluids', sheet?.fluids],
    ['Things that stay in it', sheet?.things],
    ['By a day, because', sheet?.deadlineNote],
  ];
  paper.rule();
  for (const [name, value] of words) if (value) paper.say(`${name}: ${value}`);
  paper.rule().say('On the car', { face: 'strong', size: 12 });
  for (const m of came.marks) paper.say(`${cameWith[m.what].word}, ${m.view}: ${m.note}`, { after: 0 });
  if (came.marks.length === 0) paper.say('Nothing was marked.');
  paper.gap(4).rule().say('What works', { face: 'strong', size: 12 });
  for (const w of worksLines(came.works)) paper.row(w.what, worksWords[w.came]);
  paper.gap(8);
  if (sheet?.received) {
    paper.drawn(sheet.received.strokes);
    paper.say(
      `${sheet.received.name}, ${(sheet.received.at ?? '').slice(0, 10)}. Taken in by ${sheet.received.by ?? head.shop}.`,
    );
  } else
    paper
      .say('Not signed yet.', { colour: ink.grey })
      .gap(20)
      .say('Date, name, signature: ______________________________________________');
  return {
    name: `taken-in-${head.jobNumber}.pdf`,
    type: 'application/pdf',
    bytes: await paper.end(`${head.shop}, ${title}`),
    keep: 'never',
  };
}
