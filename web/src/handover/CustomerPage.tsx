import { Button, TextInput } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import { showMoney } from '@bay/core/money';
import { stationName } from '@bay/core/jobs';
import type { StationId } from '@bay/core/jobs';
import { answerAsCustomer, customerPhoto, readCustomerView } from '@bay/contract/handover';
import type { CustomerView } from '@bay/contract/handover';
import { call, keys, newId, pathOf, sentenceOf } from '../api/index.ts';
import { CustomerQuote } from './CustomerQuote.tsx';
import { dayWords, Failed, fromToday, Loading, StationLine, Trouble } from '../ui/index.ts';

function Ask({ token, ask, currency }: { token: string; ask: CustomerView['asks'][number]; currency: string }) {
  const client = useQueryClient();
  const [text, setText] = useState('');
  const [id] = useState(newId);
  const answering = useMutation({
    mutationFn: (yes: boolean) =>
      call(answerAsCustomer, {
        params: { token },
        body: { commandId: id, key: ask.key, yes, text, revision: ask.revision },
      }),
    onSuccess: (view) => client.setQueryData(keys.customer(token), view),
  });
  return (
    <li className="panel">
      <p className="waiting-what">
        {ask.what}
        {ask.gross === null ? '' : `: ${showMoney(ask.gross, currency)}`}
        {ask.tax > 0 && ask.amount !== null && (
          <span className="quiet">
            {' '}
            with {ask.tax} % tax, {showMoney(ask.amount, currency)} before it
          </span>
        )}
      </p>
      {ask.photoId !== null && (
        <img
          src={pathOf(customerPhoto, { token, photoId: ask.photoId })}
          alt={`Shows it: ${ask.what}`}
          style={{ maxWidth: '100%', maxHeight: 320 }}
        />
      )}
      {ask.why !== '' && <p>Why: {ask.why}</p>}
      {ask.otherwise !== '' && <p>Without it: {ask.otherwise}</p>}
      {ask.answer ? (
        <p>
          You said <b>{ask.answer.yes ? 'yes' : 'no'}</b>, {dayWords(ask.answer.at)}. {ask.answer.text}
        </p>
      ) : (
        <>
          <TextInput
            aria-label={`A word with it: ${ask.what}`}
            placeholder="A word with it, if you like"
            value={text}
            onChange={(e) => setText(e.currentTarget.value)}
          />
          <Trouble of={answering} />
          <div className="row-actions">
            <Button loading={answering.isPending} onClick={() => answering.mutate(true)}>
              Yes, go on
            </Button>
            <Button variant="default" disabled={answering.isPending} onClick={() => answering.mutate(false)}>
              No
            </Button>
          </div>
        </>
      )}
    </li>
  );
}

/** How it goes, for the person whose car it is: by a link, without signing in. */
export function CustomerPage() {
  const { token = '' } = useParams();
  const view = useQuery({
    queryKey: keys.customer(token),
    queryFn: () => call(readCustomerView, { params: { token } }),
    refetchInterval: 60_000,
  });
  if (view.isPending)
    return (
      <main className="page">
        <Loading />
      </main>
    );
  if (view.isError)
    return (
      <main className="page">
        <Failed sentence={sentenceOf(view.error)} again={() => void view.refetch()} />
      </main>
    );
  const v = view.data;
  return (
    <main className="page" style={{ maxWidth: 760 }}>
      <div className="page-head">
        <h1>{v.carName}</h1>
        <span className="quiet">
          {v.shop}, job {v.number}
        </span>
      </div>
      <div className="panel">
        <p>
          {v.engineName ? (
            <>
              It gets <b>{v.engineName}</b>. It stands at <b>{stationName(v.station)}</b>.
            </>
          ) : (
            <>
              It stands at <b>{stationName(v.station)}</b>.
            </>
          )}
        </p>
        <div style={{ margin: '18px 0 8px' }}>
          <StationLine at={v.station as StationId} signed={v.signedStations} />
        </div>
        <p>
          {v.promised ? `Promised for ${dayWords(v.promised)}, ${fromToday(v.promised)}.` : 'No date is promised yet.'}
        </p>
        {v.waitsFor.map((w) => (
          <p key={w.what} className="ochre">
            It waits for {w.what}
            {w.due ? `, due ${dayWords(w.due)}` : ''}.
          </p>
        ))}
        {v.yours.length > 0 && (
          <>
            <p>With you, to do or to bring:</p>
            <ul>
              {v.yours.map((y) => (
                <li key={y.what}>
                  {y.what}
                  {y.due ? `, by ${dayWords(y.due)}` : ''}
                </li>
              ))}
            </ul>
          </>
        )}
      </div>
      {v.quote && (
        <>
          <h2 style={{ margin: '16px 0 8px' }}>
            {v.quote.state === 'open' ? 'What it would cost' : 'What was agreed'}
          </h2>
          <CustomerQuote key={v.quote.number} token={token} quote={v.quote} currency={v.currency} />
        </>
      )}
      {v.asks.length > 0 && <h2 style={{ margin: '16px 0 8px' }}>The shop asks you</h2>}
      <ul>
        {v.asks.map((a) => (
          <Ask key={a.key} token={token} ask={a} currency={v.currency} />
        ))}
      </ul>
    </main>
  );
}
