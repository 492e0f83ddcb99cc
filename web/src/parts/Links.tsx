import { Button, Checkbox, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import {
  freeWords,
  linkFates,
  linkFateWords,
  linkSorts,
  linkSortWords,
  linkState,
  matedWords,
  returnsOf,
  rollCall,
} from '@bay/core/parts';
import type { LinkRecord } from '@bay/core/parts';
import { shortTitleOf } from '@bay/core/plan';
import { photoPath } from '@bay/contract/logbook';
import { counted } from '@bay/core/units';
import { PhotoPicker } from '../logbook/index.ts';
import { useJob, usePut, useRecordForm, useRecords } from '../sheet/index.ts';
import { FindIn, Fold, FormDialog, Trouble, useNarrow, words } from '../ui/index.ts';
import { BagsAt } from './Bags.tsx';
import styles from './parts.module.css';

/** The next free number among labels of links. */
function nextLink(links: readonly LinkRecord[]): string {
  const used = links.flatMap((l) => /^L-?(\d+)$/i.exec(l.label ?? '')?.[1] ?? []);
  return `L${Math.max(0, ...used.map(Number)) + 1}`;
}

/** A link as it comes off, or as it is to; what was typed of the last one is there for the next. */
export function LinkForm({
  step,
  recordKey,
  close,
}: {
  step?: string | undefined;
  recordKey?: string;
  close: () => void;
}) {
  const links = useRecords('link');
  const now = recordKey === undefined ? undefined : links[recordKey];
  const form = useRecordForm({
    kind: 'link',
    key: recordKey,
    about: recordKey ?? `link at ${step ?? 'job'}`,
    initial: {
      name: now?.name ?? '',
      what: now?.what ?? 'plug',
      from: now?.from ?? '',
      to: now?.to ?? '',
      label: now?.label ?? nextLink(Object.values(links)),
      fate: now?.fate ?? 'back',
      capped: now?.capped ?? false,
      cut: now?.cut ?? false,
      off: now ? now.off !== undefined : true,
      photos: now?.photoId ? [now.photoId] : ([] as string[]),
      why: now?.dropped?.why ?? '',
    },
    sent: (v) => ({
      what: v.what,
      name: v.name,
      from: words(v.from),
      to: words(v.to),
      label: words(v.label),
      fate: v.fate,
      capped: v.capped || undefined,
      cut: v.cut || undefined,
      step: now?.step ?? step,
      photoId: v.photos[0],
      off: v.off ? (now?.off ?? {}) : undefined,
      ...(v.off && v.fate === 'back' && now?.on ? { on: now.on } : {}),
      ...(words(v.why) ? { dropped: { why: v.why.trim() } } : {}),
    }),
    names: { photoId: 'photos', 'dropped.why': 'why' },
  });
  const twice = Object.entries(links).some(
    ([key, l]) =>
      key !== recordKey &&
      !l.dropped &&
      l.label !== undefined &&
      l.label.toLowerCase() === form.values.label.trim().toLowerCase(),
  );
  const label = form.field('label');
  return (
    <FormDialog
      title={now ? now.name : 'Something comes off'}
      size="lg"
      submit={form.values.off && !now ? 'It is off' : 'Keep'}
      of={form}
      send={form.send}
      close={close}
      disabled={twice}
    >
      <TextInput label="What it is" placeholder="plug of injector 3" data-autofocus {...form.field('name')} />
      <div className="fields">
        <TextInput label="From" placeholder="engine loom" {...form.field('from')} />
        <TextInput label="To" placeholder="injector 3" {...form.field('to')} />
        <TextInput
          label="Label"
          {...label}
          error={twice ? `${form.values.label} is on another link of this job.` : label.error}
          classNames={{ input: 'mono' }}
        />
        <Select
          label="Sort"
          data={linkSorts.map((value) => ({ value, label: linkSortWords[value] }))}
          allowDeselect={false}
          {...form.field('what')}
        />
        <Select
          label="What becomes of it"
          data={linkFates.map((value) => ({ value, label: linkFateWords[value] }))}
          allowDeselect={false}
          {...form.field('fate')}
        />
      </div>
      <Checkbox
        mt="sm"
        label="It is off"
        checked={form.values.off}
        onChange={(e) => form.set({ off: e.currentTarget.checked })}
      />
      <Checkbox
        mt="xs"
        label="Its ends are capped or plugged"
        checked={form.values.capped}
        onChange={(e) => form.set({ capped: e.currentTarget.checked })}
      />
      <Checkbox
        mt="xs"
        label="It was cut"
        checked={form.values.cut}
        onChange={(e) => form.set({ cut: e.currentTarget.checked })}
      />
      <PhotoPicker
        about={step ?? ''}
        chosen={form.values.photos}
        set={(photos) => form.set({ photos: photos.slice(-1) })}
      />
      {now && <TextInput label="Counts no more, because" {...form.field('why')} />}
    </FormDialog>
  );
}

function Line({ recordKey, link, edit }: { recordKey: string; link: LinkRecord; edit: () => void }) {
  const { mayWrite } = useJob();
  const put = usePut();
  const state = linkState(link);
  const next = state === 'holds' ? { ...link, off: {} } : { ...link, on: {} };
  const ticks = state === 'holds' || state === 'off';
  const said = [
    [link.from, link.to].filter((e) => e !== undefined).join(' to '),
    link.cut ? 'cut' : '',
    link.capped && state === 'off' ? 'capped: take the cap off' : '',
    link.fate === 'back' ? '' : linkFateWords[link.fate].toLowerCase(),
  ].filter((w) => w !== '');
  return (
    <li className={`step ${state === 'on' || state === 'gone' ? 'done' : state === 'holds' ? 'held' : 'free'}`}>
      <button
        type="button"
        className="tick"
        aria-label={`${state === 'holds' ? 'Free' : 'Mated'}: ${link.name}`}
        disabled={!mayWrite || !ticks || put.isPending}
        onClick={() => put.mutate({ kind: 'link', key: recordKey, data: next })}
      >
        <span className="mark" aria-hidden="true">
          {state === 'on' ? '✓' : state === 'gone' ? '–' : ''}
        </span>
      </button>
      <div>
        <button type="button" className="title" onClick={edit}>
          {link.label && <span className="mono">{link.label} </span>}
          {link.name} {state === 'holds' && <span className="tag ochre">holds the engine</span>}
        </button>
        {said.length > 0 && <p className="meta">{said.join(', ')}</p>}
        {link.dropped && <p className="meta">Counts no more: {link.dropped.why}</p>}
        {link.step && <p className="meta">At: {shortTitleOf(link.step)}</p>}
        <Trouble of={put} />
      </div>
      {link.photoId && (
        <img className={styles['link-photo']} src={photoPath(link.photoId, 'thumb')} alt={link.name} loading="lazy" />
      )}
    </li>
  );
}

/** What came off as a way in and goes back on, each with when. */
function Returns() {
  const { mayWrite } = useJob();
  const tasks = useRecords('task');
  const put = usePut();
  const all = returnsOf(tasks);
  if (all.length === 0) return null;
  return (
    <>
      <h4 className="group-title">Came off as a way in</h4>
      <ul className="rows">
        {all.map(({ def, done }) => (
          <li key={def.id} className={`step ${done ? 'done' : 'free'}`}>
            <button
              type="button"
              className="tick"
              aria-label={`${done ? 'Off again' : 'Back on'}: ${def.title}`}
              disabled={!mayWrite || put.isPending}
              onClick={() => put.mutate({ kind: 'task', key: def.id, data: { status: done ? 'open' : 'done' } })}
            >
              <span className="mark" aria-hidden="true">
                {done ? '✓' : ''}
              </span>
            </button>
            <div>
              <p>{def.title}</p>
              <p className="meta">
                {def.when ? `${def.when}; ` : ''}by {def.gate.toLowerCase()} at the latest
              </p>
              {!done && <BagsAt step={def.id} />}
            </div>
          </li>
        ))}
      </ul>
      <Trouble of={put} />
    </>
  );
}

/** The roll of what joins engine and car: what still holds before the lift, what is still to be mated before the crank. */
export function Links({ of }: { of: 'off' | 'on' }) {
  const { mayWrite } = useJob();
  const links = useRecords('link');
  const [adding, setAdding] = useState(false);
  const [editing, setEditing] = useState<string>();
  const [all, setAll] = useState(false);
  const roll = rollCall(links);
  const wanted = of === 'off' ? 'holds' : 'off';
  const sorted = Object.entries(links).sort(([, a], [, b]) =>
    (a.label ?? a.name).localeCompare(b.label ?? b.name, 'en', { numeric: true }),
  );
  const list = useNarrow(sorted, ([, l]) => `${l.label ?? ''} ${l.name} ${l.from ?? ''} ${l.to ?? ''}`);
  const open = list.shown.filter(([, l]) => linkState(l) === wanted);
  const rest = list.shown.filter(([, l]) => linkState(l) !== wanted);
  const row = ([key, link]: [string, LinkRecord]) => (
    <Line key={key} recordKey={key} link={link} edit={() => mayWrite && setEditing(key)} />
  );
  return (
    <section className="panel" aria-label={of === 'off' ? 'What holds the engine' : 'Reconnect list'}>
      <div className="bench-head">
        <h3>{of === 'off' ? 'Plugs, hoses, straps' : 'To reconnect'}</h3>
        <span className={(of === 'off' ? roll.holding : roll.unmated).length > 0 ? 'ochre' : 'quiet'} role="status">
          {of === 'off' ? freeWords(roll) : matedWords(roll)}
          {of === 'on' && roll.capped > 0 ? `; ${counted(roll.capped, 'end')} still capped` : ''}
        </span>
        {mayWrite && (
          <span className="right no-print">
            <Button variant="default" onClick={() => setAdding(true)}>
              Something comes off
            </Button>
          </span>
        )}
      </div>
      {sorted.length > 8 && (
        <FindIn label="Find a plug, a hose, a label" value={list.sought} set={list.set} groups={[]} />
      )}
      {list.none && <p className="quiet">{list.none}</p>}
      {roll.all === 0 && (
        <p className="quiet">
          Log each as it comes off: here, at its step, or in the line below ("freed: plug of injector 3, loom to
          injector 3, L3"). Before the lift the roll says what still holds, before the crank what is not mated.
        </p>
      )}
      <ul className="rows">{open.map(row)}</ul>
      {rest.length > 0 && (
        <Fold
          name={of === 'off' ? 'Free' : 'The others'}
          note={of === 'off' ? matedWords(roll) : freeWords(roll)}
          count={rest.length}
          open={all}
          toggle={() => setAll(!all)}
        >
          <ul className="rows">{rest.map(row)}</ul>
        </Fold>
      )}
      {of === 'on' && <Returns />}
      {adding && <LinkForm close={() => setAdding(false)} />}
      {editing !== undefined && <LinkForm recordKey={editing} close={() => setEditing(undefined)} />}
    </section>
  );
}
