import { Button, Checkbox, Textarea, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { acceptedLines, moneyFigures, offerSections, showMoney, totalsOf } from '@bay/core/money';
import { answerQuote, customerQuotePdf } from '@bay/contract/handover';
import type { CustomerView } from '@bay/contract/handover';
import { call, fieldsOf, keys, newId, pathOf } from '../api/index.ts';
import { dayWords, fromToday, Trouble } from '../ui/index.ts';

type Quote = NonNullable<CustomerView['quote']>;

/** The lines of a section, each optional one with its tick. */
function Lines({
  quote,
  currency,
  declined,
  decline,
}: {
  quote: Quote;
  currency: string;
  declined: readonly string[];
  decline?: ((id: string, out: boolean) => void) | undefined;
}) {
  return Object.entries(offerSections).map(([section, name]) => {
    const lines = quote.lines.filter((l) => l.section === section);
    if (lines.length === 0) return null;
    const sum = lines.filter((l) => !declined.includes(l.id)).reduce((total, l) => total + l.amount, 0);
    return (
      <details key={section} open={lines.length <= 6 || lines.some((l) => l.optional)}>
        <summary>
          <b>{name}</b> <span className="mono">{moneyFigures(sum, currency)}</span>
        </summary>
        <ul className="rows">
          {lines.map((l) => (
            <li key={l.id} style={{ display: 'flex', gap: 12, justifyContent: 'space-between' }}>
              {l.optional && decline ? (
                <Checkbox
                  label={l.title}
                  checked={!declined.includes(l.id)}
                  onChange={(e) => decline(l.id, !e.currentTarget.checked)}
                />
              ) : (
                <span>
                  {l.title}
                  {declined.includes(l.id) && <span className="quiet"> left out</span>}
                </span>
              )}
              <span className="mono">{l.who === 'customer' ? 'yours' : moneyFigures(l.amount, currency)}</span>
            </li>
          ))}
        </ul>
      </details>
    );
  });
}

/** The quote as the customer reads and answers it: line by line where a line is optional, with their name under it. */
export function CustomerQuote({ token, quote, currency }: { token: string; quote: Quote; currency: string }) {
  const client = useQueryClient();
  const [refused, setDeclined] = useState<readonly string[]>([]);
  // What was answered stands, whoever answered it on whatever device.
  const declined = quote.answer?.declined ?? refused;
  const [name, setName] = useState('');
  const [text, setText] = useState('');
  const [id, setId] = useState(newId);
  const [sent, setSent] = useState(false);
  const answering = useMutation({
    mutationFn: (say: 'yes' | 'no' | 'ask') =>
      call(answerQuote, {
        params: { token },
        body: { commandId: id, number: quote.number, say, declined: say === 'yes' ? [...declined] : [], name, text },
      }),
    onSuccess: (view, say) => {
      client.setQueryData(keys.customer(token), view);
      setId(newId());
      if (say === 'ask') {
        setText('');
        setSent(true);
      }
    },
  });
  const open = quote.state === 'open';
  const now = totalsOf(acceptedLines(quote.lines, declined), 0);
  const wrong = fieldsOf(answering.error);
  const decline = (lineId: string, out: boolean): void =>
    setDeclined(out ? [...declined, lineId] : declined.filter((d) => d !== lineId));
  return (
    <section className="panel" aria-label={`Quote ${quote.number}`}>
      <p>
        Quote {quote.number}, {dayWords(quote.madeAt)}.{' '}
        {open && `Good until ${dayWords(quote.validUntil)}, ${fromToday(quote.validUntil)}.`}
      </p>
      <Lines quote={quote} currency={currency} declined={declined} decline={open ? decline : undefined} />
      {quote.exclusions.length > 0 && <p className="quiet">Not in it: {quote.exclusions.join('; ')}.</p>}
      {quote.foreseen.length > 0 && (
        <details open>
          <summary>What this job brings along</summary>
          <ul>
            {quote.foreseen.map((f) => (
              <li key={f.title}>
                <b>{f.title}</b>: {f.text}.
              </li>
            ))}
          </ul>
        </details>
      )}
      {quote.asExtra.length > 0 && (
        <details>
          <summary>Not known yet whether it is wanted, and asked as extra work if so</summary>
          <p className="quiet">{quote.asExtra.join('; ')}.</p>
        </details>
      )}
      {quote.note !== '' && <p>{quote.note}</p>}
      <p>
        <span className="mono">{moneyFigures(now.net, currency)}</span> before tax
        {now.taxes.map((t) => (
          <span key={t.rate}>
            , <span className="mono">{moneyFigures(t.amount, currency)}</span> tax at {t.rate} %
          </span>
        ))}
        : <b className="mono">{showMoney(now.gross, currency)}</b>. A deposit of{' '}
        <span className="mono">{moneyFigures(quote.deposit, currency)}</span> is due before work begins.
      </p>
      {quote.answer ? (
        <p>
          <b>{quote.state === 'accepted' ? 'Accepted' : 'Declined'}</b> by {quote.answer.by},{' '}
          {dayWords(quote.answer.at)}.
        </p>
      ) : (
        <>
          <Textarea
            label="A question, or a word with it"
            autosize
            minRows={1}
            value={text}
            error={wrong['text']}
            onChange={(e) => setText(e.currentTarget.value)}
          />
          {sent && <p role="status">Sent to the shop; the answer comes to you from there.</p>}
          <TextInput
            label="Your name, as signature"
            value={name}
            error={wrong['name']}
            onChange={(e) => setName(e.currentTarget.value)}
          />
          {Object.keys(wrong).length === 0 && <Trouble of={answering} />}
          <div className="row-actions">
            <Button loading={answering.isPending} onClick={() => answering.mutate('yes')}>
              Accept for {showMoney(now.gross, currency)}
            </Button>
            <Button variant="default" disabled={answering.isPending} onClick={() => answering.mutate('ask')}>
              Ask
            </Button>
            <Button variant="default" disabled={answering.isPending} onClick={() => answering.mutate('no')}>
              Not like this
            </Button>
          </div>
        </>
      )}
      <p>
        <a href={pathOf(customerQuotePdf, { token, number: quote.number })}>The quote as PDF</a>
      </p>
    </section>
  );
}
