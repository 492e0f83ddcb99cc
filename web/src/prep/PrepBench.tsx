import { fates, knockOnChains, variantFeatures, whileOut } from '@bay/core/prep';
import { StepList } from '../pull/index.ts';
import { useJob } from '../sheet/index.ts';
import { Tabs, useTab } from '../ui/index.ts';
import { Findings } from './Findings.tsx';
import { Sheets } from './Sheets.tsx';
import { Sister } from './Sister.tsx';
import { Torques } from './Torques.tsx';

const tabs = {
  sheets: 'Measurements',
  torques: 'Torques',
  build: 'Build-up',
  out: 'While out',
  look: 'Findings',
  variant: 'Which variant',
  transfer: 'Transfer',
} as const;

function Table({ heads, rows }: { heads: readonly string[]; rows: readonly (readonly string[])[] }) {
  return (
    <div className="scroll-x">
      <table className="data">
        <thead>
          <tr>
            {heads.map((h) => (
              <th key={h}>{h}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r[0]}>
              {r.map((c, i) => (
                <td key={heads[i]}>{i === 0 ? <b>{c}</b> : c}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** Knowing the engine, measuring it, building it up. */
export default function PrepBench() {
  const { sheet } = useJob();
  const [tab, setTab] = useTab(tabs, 'sheets');
  const engine = sheet.units.find((u) => u.role === 'engine');
  return (
    <>
      <div className="bench-head">
        <h2>{engine ? engine.name : 'No engine yet'}</h2>
        <span className="quiet mono">{engine?.identity}</span>
      </div>
      <Tabs names={tabs} at={tab} to={setTab}>
        {tab === 'sheets' && <Sheets />}
        {tab === 'torques' && <Torques />}
        {tab === 'build' && <StepList of="prep" />}
        {tab === 'out' && (
          <Table
            heads={['What', 'Do it when', 'Minutes now', 'Minutes later', 'Failing later costs']}
            rows={whileOut.map((w) => [w.item, w.when, w.minutesNow, w.minutesLater, w.failing])}
          />
        )}
        {tab === 'look' && <Findings />}
        {tab === 'variant' && (
          <Table
            heads={['Feature', 'How to tell', 'What differs']}
            rows={variantFeatures.map((f) => [f.feature, f.tell, f.differs])}
          />
        )}
        {tab === 'transfer' && (
          <>
            <Sister />
            <Table
              heads={['Fate', 'For example', 'Closed when']}
              rows={fates.map((f) => [f.fate, f.examples, f.closesWhen])}
            />
            <h3 style={{ margin: '18px 0 6px' }}>What one change touches</h3>
            <Table heads={['If this changes', 'Then look at']} rows={knockOnChains.map((c) => [c.change, c.check])} />
          </>
        )}
      </Tabs>
    </>
  );
}
