import { Button, TextInput } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { labelPathOf } from '@bay/core/parts';
import { listPlaces } from '@bay/contract/parts';
import { call, keys, useRights } from '../api/index.ts';
import { fromToday } from '../ui/index.ts';
import { ScanLabel } from './ScanLabel.tsx';
import { MovePlaceForm } from './MovePlaceForm.tsx';
import { StoreList } from './StoreList.tsx';
import { StoreMap } from './StoreMap.tsx';
import styles from './parts.module.css';

/** The store: where everything lies that came off a car or waits for one. */
export function StorePage() {
  const [params, setParams] = useSearchParams();
  const { mayWrite } = useRights();
  const navigate = useNavigate();
  const [typed, setTyped] = useState(params.get('q') ?? '');
  const [q] = useDebouncedValue(typed.trim(), 150);
  const place = params.get('at') ?? '';
  const all = params.get('all') === 'yes';
  const [moving, setMoving] = useState(false);
  const places = useQuery({ queryKey: [...keys.store(), 'places'], queryFn: () => call(listPlaces) });
  const set = (key: string, value: string): void => {
    const next = new URLSearchParams(params);
    if (value === '') next.delete(key);
    else next.set(key, value);
    setParams(next, { replace: true });
  };
  const drawn = places.data?.drawn ?? [];
  const loose = (places.data?.places ?? []).filter((p) => !drawn.some((d) => d.name === p.place));
  return (
    <div className="page">
      <div className="page-head">
        <h1>Store</h1>
        <span className="quiet">Parts, bags and units: where each lies, for which job it is kept</span>
        <span className="right row-actions">
          <ScanLabel />
          <TextInput
            aria-label="Find what lies in the shop"
            placeholder="three letters, a label, a place"
            w={270}
            value={typed}
            onChange={(e) => setTyped(e.currentTarget.value)}
            onKeyDown={(e) => {
              const path = e.key === 'Enter' ? labelPathOf(typed) : undefined;
              if (path === undefined) return;
              setTyped('');
              void navigate(path);
            }}
          />
        </span>
      </div>
      {places.data && <StoreMap drawn={drawn} places={places.data.places} at={place} choose={(to) => set('at', to)} />}
      {loose.length > 0 && (
        <ul
          className={styles['places']}
          aria-label={drawn.length > 0 ? 'Places that are not drawn' : 'Places of the shop'}
        >
          {loose.map((p) => (
            <li key={p.place}>
              <button
                type="button"
                aria-pressed={place === p.place}
                onClick={() => set('at', place === p.place ? '' : p.place)}
              >
                <b>{p.place}</b>
                <span className="mono">{p.things}</span>
                <small className="quiet">since {fromToday(p.oldest)}</small>
              </button>
            </li>
          ))}
        </ul>
      )}
      <div className="counts">
        <button type="button" aria-pressed={!all} onClick={() => set('all', '')}>
          Here
        </button>
        <button type="button" aria-pressed={all} onClick={() => set('all', 'yes')}>
          Also what is gone or built in
        </button>
        {place !== '' && mayWrite && (
          <Button variant="default" onClick={() => setMoving(true)}>
            Move all of {place}
          </Button>
        )}
      </div>
      <StoreList sought={{ q, place, all }} />
      {moving && (
        <MovePlaceForm
          from={place}
          close={(to) => {
            setMoving(false);
            if (to) set('at', to);
          }}
        />
      )}
    </div>
  );
}
