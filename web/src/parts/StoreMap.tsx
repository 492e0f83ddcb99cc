import { Button, Checkbox, Select, TextInput } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { freeSpot, fullness, mapSide, onFloor, placeSorts, placeSortWords } from '@bay/core/parts';
import type { PlaceBox } from '@bay/core/parts';
import { drawPlace, erasePlace } from '@bay/contract/parts';
import type { StorePlace } from '@bay/contract/parts';
import { command, keys, newId, useRights } from '../api/index.ts';
import { fromToday, Form, useForm } from '../ui/index.ts';
import styles from './parts.module.css';

interface Lying {
  place: string;
  things: number;
  oldest: string;
}

const share = (part: number, of: number): string => `${(part / of) * 100}%`;
const rowsOf = (boxes: readonly PlaceBox[]): number =>
  Math.min(mapSide, Math.max(8, ...boxes.map((b) => b.top + b.high)));
const boxStyle = (b: PlaceBox, rows: number) => ({
  left: share(b.left, mapSide),
  top: share(b.top, rows),
  width: share(b.wide, mapSide),
  height: share(b.high, rows),
});

type TypedBox = Record<keyof PlaceBox, string>;
const typedBox = (b: PlaceBox): TypedBox => ({
  left: String(b.left),
  top: String(b.top),
  wide: String(b.wide),
  high: String(b.high),
});
/** What is empty, or no whole number, is none: the schema says so at its field. */
const squares = (typed: string): number => (/^\d+$/.test(typed.trim()) ? Number(typed) : Number.NaN);
function boxTyped(typed: TypedBox, otherwise: PlaceBox): PlaceBox {
  const side = (field: keyof PlaceBox): number =>
    /^\d+$/.test(typed[field].trim()) ? Number(typed[field]) : otherwise[field];
  return { left: side('left'), top: side('top'), wide: side('wide'), high: side('high') };
}

/** One place on the floor: its name, how much lies there of what it holds. */
function PlaceFace({ place, lying }: { place: StorePlace; lying: Lying | undefined }) {
  const things = lying?.things ?? 0;
  const full = fullness(things, place.holds ?? undefined);
  return (
    <>
      <b>{place.name}</b>
      <span className="mono">{place.holds === null ? things : `${things} of ${place.holds}`}</span>
      {full !== undefined && (
        <span
          aria-hidden="true"
          className={`${styles['full']}${full > 1 ? ` ${styles['over']}` : ''}`}
          style={{ width: share(Math.min(1, full), 1) }}
        />
      )}
    </>
  );
}

const faceWords = (place: StorePlace, lying: Lying | undefined): string =>
  [
    `${place.name}: ${placeSortWords[place.sort].toLowerCase()}`,
    place.dry ? '' : 'not dry',
    `${lying?.things ?? 0} ${place.holds === null ? '' : `of ${place.holds} `}here`,
    lying ? `since ${fromToday(lying.oldest)}` : '',
  ]
    .filter((w) => w !== '')
    .join(', ');

/** A place is drawn, moved or renamed: pulled about on the floor, by arrow keys, or by its numbers. */
export function PlaceForm({
  place,
  drawn,
  close,
}: {
  place: StorePlace | undefined;
  drawn: readonly StorePlace[];
  close: () => void;
}) {
  const client = useQueryClient();
  const [id] = useState(() => place?.id ?? newId());
  const floor = useRef<HTMLDivElement>(null);
  const pulled = useRef<{ x: number; y: number; box: PlaceBox; sizes: boolean }>(undefined);
  const others = drawn.filter((p) => p.id !== place?.id);
  const [spot] = useState(() => place ?? freeSpot(drawn, 6, 3) ?? { left: 0, top: 0, wide: 6, high: 3 });
  const form = useForm({
    draft: `store:map:${place?.id ?? 'new'}`,
    since: place?.revision,
    initial: {
      name: place?.name ?? '',
      sort: place?.sort ?? 'shelf',
      dry: place?.dry ?? true,
      holds: place === undefined || place.holds === null ? '' : String(place.holds),
      ...typedBox(spot),
    },
    command: drawPlace,
    sent: (v) => ({
      ...v,
      name: v.name.trim(),
      holds: v.holds.trim() === '' ? null : Number(v.holds),
      left: squares(v.left),
      top: squares(v.top),
      wide: squares(v.wide),
      high: squares(v.high),
      revision: place?.revision ?? 0,
    }),
  });
  // What is no number yet leaves the place where it was drawn last.
  const box: PlaceBox = onFloor(boxTyped(form.values, spot));
  const rows = Math.min(mapSide, rowsOf([...others, box]) + 3);
  const lay = (next: PlaceBox): void => form.set(typedBox(onFloor(next)));
  const over = (sizes: boolean) => ({
    onPointerDown: (e: React.PointerEvent) => {
      e.stopPropagation();
      e.currentTarget.setPointerCapture(e.pointerId);
      pulled.current = { x: e.clientX, y: e.clientY, box, sizes };
    },
    onPointerMove: (e: React.PointerEvent) => {
      const from = pulled.current;
      if (!from || from.sizes !== sizes) return;
      const side = floor.current!.clientWidth / mapSide;
      const dx = Math.round((e.clientX - from.x) / side);
      const dy = Math.round((e.clientY - from.y) / side);
      lay(
        sizes
          ? { ...from.box, wide: from.box.wide + dx, high: from.box.high + dy }
          : { ...from.box, left: from.box.left + dx, top: from.box.top + dy },
      );
    },
    onPointerUp: () => (pulled.current = undefined),
    onPointerCancel: () => (pulled.current = undefined),
  });
  const byKey = (e: React.KeyboardEvent): void => {
    const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[e.key];
    if (!step) return;
    e.preventDefault();
    const [dx, dy] = step as [number, number];
    lay(
      e.shiftKey
        ? { ...box, wide: box.wide + dx, high: box.high + dy }
        : { ...box, left: box.left + dx, top: box.top + dy },
    );
  };
  const read = () => client.invalidateQueries({ queryKey: keys.store() });
  const number = (field: keyof PlaceBox, label: string) => (
    <TextInput label={label} inputMode="numeric" {...form.field(field)} classNames={{ input: 'mono' }} />
  );
  return (
    <Form
      className="card-open"
      of={form}
      submit={place ? 'Keep' : 'Draw it'}
      cancel={close}
      after={close}
      send={async (body) => {
        await command(drawPlace, { params: { placeId: id }, body }, { label: `place ${form.values.name} drawn` });
        await read();
      }}
    >
      <div className="scroll-x">
        <div className={styles['floor']} ref={floor} style={{ aspectRatio: `${mapSide} / ${rows}` }}>
          {others.map((p) => (
            <div key={p.id} className={styles['place']} style={boxStyle(p, rows)}>
              <b>{p.name}</b>
            </div>
          ))}
          <button
            type="button"
            className={`${styles['place']} ${styles['moves']}`}
            aria-label={`${form.values.name || 'The new place'}: arrow keys move it, with shift they size it`}
            style={boxStyle(box, rows)}
            onKeyDown={byKey}
            {...over(false)}
          >
            <b>{form.values.name || 'new'}</b>
            <span className={styles['corner']} aria-hidden="true" {...over(true)} />
          </button>
        </div>
      </div>
      <div className="fields">
        <TextInput label="Name of the place" placeholder="shelf C2" data-autofocus autoFocus {...form.field('name')} />
        <Select
          label="What it is"
          data={placeSorts.map((value) => ({ value, label: placeSortWords[value] }))}
          allowDeselect={false}
          {...form.field('sort')}
        />
        <TextInput
          label="Holds so many things"
          description="Left empty where nobody counts"
          inputMode="numeric"
          {...form.field('holds')}
          classNames={{ input: 'mono' }}
        />
        {number('left', 'From the left')}
        {number('top', 'From the top')}
        {number('wide', 'Wide')}
        {number('high', 'Deep')}
      </div>
      <Checkbox
        label="It is dry there"
        checked={form.values.dry}
        onChange={(e) => form.set({ dry: e.currentTarget.checked })}
      />
      {place && (
        <button
          type="button"
          className="plain-button small bare"
          onClick={() => {
            void command(
              erasePlace,
              { params: { placeId: place.id }, body: { revision: place.revision } },
              { label: `place ${place.name} off the drawing` },
            ).then(read);
            close();
          }}
        >
          Take {place.name} off the drawing
        </button>
      )}
    </Form>
  );
}

/** The store as the shop drew it: press a place to see what lies there. */
export function StoreMap({
  drawn,
  places,
  at,
  choose,
}: {
  drawn: readonly StorePlace[];
  places: readonly Lying[];
  at: string;
  choose: (place: string) => void;
}) {
  const { mayWrite } = useRights();
  const [open, setOpen] = useState<StorePlace | 'new'>();
  const lying = new Map(places.map((p) => [p.place, p]));
  const rows = rowsOf(drawn);
  const chosen = drawn.find((p) => p.name === at);
  return (
    <section aria-label="The store, drawn">
      {drawn.length > 0 && open === undefined && (
        <div className="scroll-x">
          <ul
            className={styles['floor']}
            style={{ aspectRatio: `${mapSide} / ${rows}` }}
            aria-label="Places of the shop"
          >
            {drawn.map((p) => (
              <li key={p.id} style={boxStyle(p, rows)} className={styles['place-at']}>
                <button
                  type="button"
                  className={`${styles['place']} ${['yard', 'shell'].includes(p.sort) ? styles['outside'] : ''}${p.dry ? '' : ` ${styles['wet']}`}`}
                  aria-label={faceWords(p, lying.get(p.name))}
                  aria-pressed={at === p.name}
                  onClick={() => choose(at === p.name ? '' : p.name)}
                >
                  <PlaceFace place={p} lying={lying.get(p.name)} />
                </button>
              </li>
            ))}
          </ul>
        </div>
      )}
      {mayWrite && open === undefined && (
        <div className="row-actions" style={{ margin: '0 0 12px' }}>
          <Button variant="default" onClick={() => setOpen('new')}>
            Draw a place
          </Button>
          {chosen && (
            <Button variant="default" onClick={() => setOpen(chosen)}>
              Change {chosen.name}
            </Button>
          )}
          {chosen && (
            <span className="quiet">
              {placeSortWords[chosen.sort]}, {chosen.dry ? 'dry' : 'not dry'}
            </span>
          )}
        </div>
      )}
      {open !== undefined && (
        <PlaceForm place={open === 'new' ? undefined : open} drawn={drawn} close={() => setOpen(undefined)} />
      )}
    </section>
  );
}
