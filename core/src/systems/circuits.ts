import { chooseWire, fuseSteps, voltageDrop, wireSizes } from '../sums/index.ts';
import type { WireChoice } from '../sums/index.ts';
import type { CircuitRecord } from './records.ts';

export interface CircuitFinding {
  /** error: must not be wired so; open: something is missing; note: worth knowing. */
  weight: 'error' | 'open' | 'note';
  sentence: string;
}

export interface CircuitVerdict {
  wanted: WireChoice | undefined;
  dropV: number | undefined;
  findings: readonly CircuitFinding[];
}

/** What is wrong or open with one circuit, and the wire and fuse its load asks for. */
export function judgeCircuit(c: CircuitRecord): CircuitVerdict {
  const findings: CircuitFinding[] = [];
  const open = (sentence: string): void => void findings.push({ weight: 'open', sentence });
  const error = (sentence: string): void => void findings.push({ weight: 'error', sentence });
  let wanted: WireChoice | undefined;
  let dropV: number | undefined;
  if (c.currentA === undefined) open('Current not known');
  if (c.lengthM === undefined) open('Length not known');
  if (c.currentA !== undefined && c.lengthM !== undefined) {
    try {
      wanted = chooseWire(c.currentA, c.lengthM, c.load);
    } catch (e) {
      if (!(e instanceof RangeError)) throw e;
      error(e.message);
    }
    if (c.areaMm2 !== undefined) {
      dropV = voltageDrop(c.currentA, c.lengthM, c.areaMm2);
      if (wanted && dropV > wanted.limitV + 1e-9)
        error(`Loses ${dropV.toFixed(2)} V, ${wanted.limitV} V allowed: take ${wanted.areaMm2} mm²`);
    }
  }
  if (c.areaMm2 === undefined) open('Wire size not chosen');
  if (c.fuseA !== undefined && c.areaMm2 !== undefined) {
    const size = [...wireSizes].reverse().find((w) => w.areaMm2 <= c.areaMm2! + 1e-9);
    if (!size || c.fuseA > size.fuseA)
      error(`A ${c.fuseA} A fuse does not protect ${c.areaMm2} mm²: at most ${size?.fuseA ?? 0} A`);
    if (c.currentA !== undefined && c.currentA > c.fuseA * 0.8 + 1e-9)
      error(`${c.currentA} A is over 80 % of a ${c.fuseA} A fuse`);
  }
  if (c.fuseA !== undefined && !fuseSteps.some((f) => f === c.fuseA))
    findings.push({ weight: 'note', sentence: `${c.fuseA} A is not a fuse that is sold` });
  if (c.fuseA === undefined) open('Fuse not chosen');
  if (c.labelA.trim() === '') error('End A has no label');
  if (c.labelB.trim() === '') error('End B has no label');
  if (c.labelA.trim() !== '' && normal(c.labelA) === normal(c.labelB))
    error(`Both ends say "${c.labelA.trim()}": each end has its own`);
  if (!c.tested) open('Not tested');
  return { wanted, dropV, findings };
}

const normal = (label: string): string => label.trim().toUpperCase().replace(/\s+/g, '');

/** Labels that stand on more than one end of the job, with the circuits that carry them. */
export function doubleLabels(
  circuits: readonly { id: string; circuit: CircuitRecord }[],
): { label: string; circuits: readonly string[] }[] {
  const byLabel = new Map<string, string[]>();
  for (const { id, circuit } of circuits) {
    for (const label of [circuit.labelA, circuit.labelB]) {
      const key = normal(label);
      if (key !== '') byLabel.set(key, [...(byLabel.get(key) ?? []), id]);
    }
  }
  return [...byLabel]
    .filter(([, ids]) => ids.length > 1)
    .map(([label, ids]) => ({ label, circuits: [...new Set(ids)] }));
}
