import { useMemo, useState } from 'react';
import { factDef } from '@bay/core/facts';
import { ownId } from '@bay/core/memory';
import { besideSister } from '@bay/core/prep';
import type { SisterLine, SisterWord } from '@bay/core/prep';
import { counted } from '@bay/core/units';
import { FactEditor } from '../facts/index.ts';
import { useJob, usePut, useRecords } from '../sheet/index.ts';
import { Fold, Trouble } from '../ui/index.ts';
import styles from './prep.module.css';

const words: Readonly<Record<SisterWord, string>> = {
  stops: 'does not fit what stays',
  moves: 'moves over from the old one',
  'not-known': 'not known',
  same: 'the same',
};
const tones: Readonly<Record<SisterWord, string>> = {
  stops: 'oxide',
  moves: 'ochre',
  'not-known': 'quiet',
  same: 'teal',
};
const order: readonly SisterWord[] = ['stops', 'moves', 'not-known', 'same'];

/** Steps that follow from what moves over or stops, each once: a step of people's own, before the engine is closed up or goes in. */
function useStepsOf(lines: readonly SisterLine[]) {
  const own = useRecords('own-line');
  const put = usePut();
  const wanted = lines
    .filter((l) => l.word === 'moves' || l.word === 'stops')
    .map((l) => ({
      key: ownId(titleOfStep(l), l.def.id.replaceAll('-', '').padEnd(4, '0').slice(-4)),
      line: l,
    }))
    .filter(({ key }) => own[key] === undefined);
  const write = async (): Promise<void> => {
    for (const { key, line } of wanted)
      await put.mutateAsync({
        kind: 'own-line',
        key,
        data: {
          sort: 'step',
          title: titleOfStep(line),
          why: line.def.why,
          station: line.word === 'moves' ? 'prep' : 'fit',
        },
        revision: 0,
      });
  };
  return { wanted: wanted.length, write, put };
}

const titleOfStep = ({ def, word }: SisterLine): string =>
  word === 'moves'
    ? `Move over from the old engine: ${def.part.toLowerCase()}`
    : `Settle what does not fit: ${def.part.toLowerCase()}`;

function Line({ line, ask }: { line: SisterLine; ask: (need: SisterLine['needs'][number]) => void }) {
  const { def, word, differs, needs } = line;
  return (
    <li className={styles['sister']}>
      <span>
        <b>{def.part}</b>
        <br />
        <span className={tones[word]}>{words[word]}</span>
      </span>
      <span>
        {differs.map((d) => (
          <span key={d.name} style={{ display: 'block' }}>
            {d.name}: <span className="mono">{d.old}</span> on the old, <span className="mono">{d.next}</span> on the
            new
          </span>
        ))}
        {word !== 'same' && <span className="quiet">{def.why}</span>}
        {needs.length > 0 && (
          <span className="row-actions">
            {needs.map((n) => (
              <button key={`${n.factId}:${n.of}`} type="button" className="plain-button small" onClick={() => ask(n)}>
                {factDef(n.factId).label}, {n.of === 'old' ? 'old engine' : 'new engine'}
              </button>
            ))}
          </span>
        )}
      </span>
    </li>
  );
}

/** The engine that comes beside the one that leaves, where all behind it stays: what moves over, what stops, what nobody looked at. */
export function Sister() {
  const { sheet, plan, mayWrite } = useJob();
  const stays = plan.facts.get('cho-gearbox-stays')?.parts['value'] === 'yes';
  const [open, setOpen] = useState(stays);
  const [asking, setAsking] = useState<SisterLine['needs'][number]>();
  const lines = useMemo(
    () => [...besideSister(plan.outgoing, plan.facts)].sort((a, b) => order.indexOf(a.word) - order.indexOf(b.word)),
    [plan.outgoing, plan.facts],
  );
  const steps = useStepsOf(lines);
  if (!sheet.units.some((u) => u.role === 'engine') || !sheet.units.some((u) => u.role === 'own-engine')) return null;
  const count = (word: SisterWord): number => lines.filter((l) => l.word === word).length;
  return (
    <section className="panel" aria-label="Beside the old engine">
      <Fold
        name="Beside the old engine: what moves over"
        count={lines.length}
        note={`${counted(count('moves'), 'part')} move over, ${count('stops')} do not fit what stays, ${count('not-known')} not known`}
        open={open}
        toggle={() => setOpen(!open)}
      >
        {!stays && (
          <p className="quiet">
            For a sister engine, where clutch, gearbox and shaft are left as they are ("All behind the block stays").
          </p>
        )}
        {stays && mayWrite && steps.wanted > 0 && (
          <div className="row-actions">
            <button
              type="button"
              className="plain-button"
              disabled={steps.put.isPending}
              onClick={() => void steps.write()}
            >
              Make {counted(steps.wanted, 'step')} of it
            </button>
          </div>
        )}
        <Trouble of={steps.put} />
        <ul className="rows">
          {lines.map((l) => (
            <Line key={l.def.id} line={l} ask={setAsking} />
          ))}
        </ul>
      </Fold>
      {asking && (
        <FactEditor
          factId={asking.factId}
          bearer={asking.of === 'old' ? 'own-engine' : 'engine'}
          close={() => setAsking(undefined)}
        />
      )}
    </section>
  );
}
