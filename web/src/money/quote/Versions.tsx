import { Button, Textarea, TextInput } from '@mantine/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { openTitles, showMoney, typedMoney } from '@bay/core/money';
import { counted } from '@bay/core/units';
import { listQuotes, makeQuote, quotePdf, withdrawQuote } from '@bay/contract/money';
import type { OwnQuote } from '@bay/contract/money';
import { call, command, keys, pathOf } from '../../api/index.ts';
import { useJob } from '../../sheet/index.ts';
import {
  dayWords,
  Failed,
  FormDialog,
  fromToday,
  Loading,
  money,
  MoneyInput,
  Trouble,
  useForm,
  words,
} from '../../ui/index.ts';
import { useMutation } from '@tanstack/react-query';
import { useCurrency } from '../useCurrency.ts';
import type { Draft } from './useDraft.ts';

const stateWords: Record<OwnQuote['state'], string> = {
  open: 'With the customer',
  accepted: 'Accepted',
  declined: 'Declined',
  withdrawn: 'Taken back',
  replaced: 'Replaced',
};

export function useQuotes(sees: boolean) {
  const { sheet } = useJob();
  return useQuery({
    queryKey: keys.quotes(sheet.job.id),
    queryFn: () => call(listQuotes, { params: { jobId: sheet.job.id } }),
    enabled: sees,
  });
}

/** What moved between two quotes, line by line. */
function changesBetween(before: OwnQuote, after: OwnQuote, currency: string): string[] {
  const was = new Map(before.lines.map((l) => [l.id, l]));
  const now = new Map(after.lines.map((l) => [l.id, l]));
  return [
    ...after.lines.filter((l) => !was.has(l.id)).map((l) => `in: ${l.title}, ${showMoney(l.amount, currency)}`),
    ...before.lines.filter((l) => !now.has(l.id)).map((l) => `out: ${l.title}, ${showMoney(l.amount, currency)}`),
    ...after.lines.flatMap((l) => {
      const old = was.get(l.id);
      return old && old.amount !== l.amount
        ? [`${l.title}: ${showMoney(old.amount, currency)} is ${showMoney(l.amount, currency)} now`]
        : [];
    }),
  ];
}

/** Makes a quote of what stands. */
export function MakeQuoteForm({
  draft,
  net,
  asExtra,
  last,
  close,
}: {
  draft: Draft;
  /** Open lines are asked as extra work. */
  asExtra: boolean;
  /** What is asked before tax. */
  net: number;
  last: OwnQuote | undefined;
  close: () => void;
}) {
  const { sheet } = useJob();
  const client = useQueryClient();
  const currency = useCurrency();
  const open = openTitles(draft.lines, draft.estimate.causes);
  const form = useForm({
    draft: `${sheet.job.id}:quote`,
    initial: {
      net: typedMoney(net, currency),
      exclusions: (last?.exclusions ?? []).join('\n'),
      note: last?.note ?? '',
      despite: '',
    },
    command: makeQuote,
    sent: (v) => ({
      net: money(v.net, currency),
      shown: draft.offer.lineSum,
      exclusions: v.exclusions
        .split('\n')
        .map((l) => l.trim())
        .filter((l) => l !== ''),
      note: v.note.trim(),
      despite: words(v.despite),
      openAsExtra: asExtra,
      after: last?.number ?? 0,
    }),
  });
  return (
    <FormDialog
      title={`Quote ${(last?.number ?? 0) + 1}`}
      submit="Make it"
      size="lg"
      of={form}
      close={close}
      send={async (body) => {
        await command(
          makeQuote,
          { params: { jobId: sheet.job.id }, body },
          { label: 'quote made', jobId: sheet.job.id },
        );
        await client.invalidateQueries({ queryKey: keys.quotes(sheet.job.id) });
      }}
    >
      <p>
        The lines come to <b className="mono">{showMoney(draft.offer.lineSum, currency)}</b> before tax. What is asked
        more stands in it as a line for what nobody can see yet.
      </p>
      <MoneyInput label="Asked, before tax" currency={currency} {...form.field('net')} />
      <Textarea label="Not in it, one a line" autosize minRows={2} {...form.field('exclusions')} />
      <Textarea label="A word to the customer" autosize minRows={1} {...form.field('note')} />
      {open.length > 0 && (
        <>
          <p className="ochre">
            {counted(open.length, 'thing is', 'things are')} open; lines of that kind are not in it:{' '}
            {open
              .slice(0, 6)
              .map((l) => l.toLowerCase())
              .join(', ')}
            {open.length > 6 ? ' and others' : ''}.{' '}
            {asExtra
              ? 'The customer reads that they are asked as extra work if wanted.'
              : 'The shop carries what of them turns out to be wanted.'}
          </p>
          <TextInput label="Why it goes out all the same" {...form.field('despite')} />
        </>
      )}
    </FormDialog>
  );
}

function Version({ quote, before }: { quote: OwnQuote; before: OwnQuote | undefined }) {
  const { sheet } = useJob();
  const client = useQueryClient();
  const currency = useCurrency();
  const taking = useMutation({
    mutationFn: () =>
      command(
        withdrawQuote,
        { params: { jobId: sheet.job.id, number: quote.number }, body: {} },
        { label: 'quote taken back', jobId: sheet.job.id },
      ),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.quotes(sheet.job.id) }),
  });
  const moved = before ? changesBetween(before, quote, currency) : [];
  return (
    <li>
      <p>
        <b>Quote {quote.number}</b>, <span className="mono">{showMoney(quote.gross, currency)}</span> with tax:{' '}
        <span className={quote.state === 'open' ? 'ochre' : quote.state === 'accepted' ? 'teal' : 'quiet'}>
          {stateWords[quote.state]}
        </span>
        {quote.answer &&
          ` by ${quote.answer.by}, ${dayWords(quote.answer.at)}${quote.state === 'accepted' ? `: ${showMoney(quote.answer.gross, currency)}` : ''}`}
      </p>
      <p className="quiet">
        Made by {quote.madeBy}, {dayWords(quote.madeAt)}; good until {dayWords(quote.validUntil)},{' '}
        {fromToday(quote.validUntil)}.
        {quote.despite && ` Went out with ${counted(quote.open.length, 'thing')} open: ${quote.despite}`}
        {quote.answer && quote.answer.text !== '' && ` "${quote.answer.text}"`}
      </p>
      {moved.length > 0 && (
        <details>
          <summary>{counted(moved.length, 'change')} from the one before</summary>
          <ul className="rows">
            {moved.slice(0, 60).map((m) => (
              <li key={m}>{m}</li>
            ))}
          </ul>
        </details>
      )}
      <Trouble of={taking} />
      <div className="row-actions">
        <Button
          variant="default"
          component="a"
          href={pathOf(quotePdf, { jobId: sheet.job.id, number: quote.number })}
          aria-label={`PDF of quote ${quote.number}`}
        >
          PDF
        </Button>
        {quote.state === 'open' && (
          <Button variant="subtle" loading={taking.isPending} onClick={() => taking.mutate()}>
            Take it back
          </Button>
        )}
      </div>
    </li>
  );
}

/** Every quote that was made, the last first. */
export function Versions({ read }: { read: ReturnType<typeof useQuotes> }) {
  const [all, setAll] = useState(false);
  if (read.isPending) return <Loading />;
  if (read.isError) return <Failed sentence={read.error.message} again={() => void read.refetch()} />;
  const { quotes } = read.data;
  if (quotes.length === 0) return <p className="quiet">None was made yet.</p>;
  const shown = all ? quotes : quotes.slice(0, 3);
  return (
    <>
      <ul className="rows">
        {shown.map((q) => (
          <Version key={q.number} quote={q} before={quotes.find((o) => o.number === q.number - 1)} />
        ))}
      </ul>
      {quotes.length > shown.length && (
        <button type="button" className="plain-button bare" onClick={() => setAll(true)}>
          {counted(quotes.length - shown.length, 'earlier one')}
        </button>
      )}
    </>
  );
}
