import { chanceOfLoss, showMoney } from '@bay/core/money';
import type { Risk } from '@bay/core/money';
import styles from './quote.module.css';

const wide = 520;
const high = 128;
const bars = 28;

/** How many of the trials fall into each stretch of cost: between two kept parts they lie evenly. */
function shares(quantiles: readonly number[], from: number, to: number): number[] {
  const below = (cost: number): number => 1 - chanceOfLoss({ quantiles }, cost);
  return Array.from({ length: bars }, (_, i) => {
    const low = from + ((to - from) * i) / bars;
    return below(low + (to - from) / bars) - below(low);
  });
}

/** What the job may cost, with the price across it: what lies beyond the price is hatched. */
export function CostDrawing({ risk, net, currency }: { risk: Risk; net: number; currency: string }) {
  const { quantiles } = risk;
  const least = Math.min(quantiles[0]!, net);
  const most = Math.max(quantiles[100]!, net);
  const pad = Math.max(1, (most - least) * 0.04);
  const [from, to] = [least - pad, most + pad];
  const all = shares(quantiles, from, to);
  const top = Math.max(...all, 1e-9);
  const x = (cost: number): number => ((cost - from) / (to - from)) * wide;
  const at = x(net);
  const mark = (cost: number, name: string, y: number) => (
    <g key={name}>
      <line x1={x(cost)} x2={x(cost)} y1={high} y2={high + 6} className={styles['tick']} />
      <text
        x={Math.min(wide - 4, Math.max(4, x(cost)))}
        y={y}
        textAnchor={x(cost) > wide * 0.8 ? 'end' : x(cost) < wide * 0.2 ? 'start' : 'middle'}
      >
        {name} {showMoney(Math.round(cost), currency)}
      </text>
    </g>
  );
  return (
    <svg
      className={styles['cost']}
      viewBox={`0 0 ${wide} ${high + 44}`}
      role="img"
      aria-label={`It costs between ${showMoney(Math.round(quantiles[10]!), currency)} and ${showMoney(Math.round(quantiles[90]!), currency)} in eight of ten cases; asked are ${showMoney(net, currency)}`}
    >
      <defs>
        <pattern id="loss-hatch" width="6" height="6" patternTransform="rotate(45)" patternUnits="userSpaceOnUse">
          <line x1="0" y1="0" x2="0" y2="6" className={styles['hatch']} />
        </pattern>
      </defs>
      {all.map((share, i) => {
        const left = (i * wide) / bars;
        const tall = (share / top) * (high - 24);
        const middle = left + wide / bars / 2;
        return (
          <rect
            key={i}
            x={left + 1}
            width={wide / bars - 2}
            y={high - tall}
            height={tall}
            className={middle > at ? styles['loses'] : styles['earns']}
          />
        );
      })}
      <line x1="0" x2={wide} y1={high} y2={high} className={styles['axis']} />
      <line x1={at} x2={at} y1="12" y2={high} className={styles['price']} />
      <text
        x={at + (at > wide * 0.7 ? -6 : 6)}
        y="12"
        textAnchor={at > wide * 0.7 ? 'end' : 'start'}
        className={styles['asked']}
      >
        asked {showMoney(net, currency)}
      </text>
      {mark(quantiles[10]!, '1 in 10 below', high + 20)}
      {mark(quantiles[90]!, '9 in 10 below', high + 38)}
    </svg>
  );
}
