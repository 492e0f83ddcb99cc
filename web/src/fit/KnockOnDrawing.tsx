import { interfaceOf } from '@bay/core/fit';
import type { ChainLink } from '@bay/core/fit';
import styles from './fit.module.css';

/** The chain a way out sets off: one column a step further, a filled end where somebody looked again. */
export function KnockOnDrawing({ start, links }: { start: string; links: readonly ChainLink[] }) {
  if (links.length === 0) return null;
  const depth = new Map<string, number>([[start, 0]]);
  for (const link of links) if (!depth.has(link.to)) depth.set(link.to, (depth.get(link.from) ?? 0) + 1);
  const columns = [...new Set(depth.values())]
    .sort((a, b) => a - b)
    .map((d) => [...depth].filter(([, x]) => x === d).map(([id]) => id));
  const w = 214;
  const h = 34;
  const at = (id: string): { x: number; y: number } => {
    const column = depth.get(id)!;
    return { x: column * (w + 34), y: columns[column]!.indexOf(id) * (h + 8) };
  };
  const width = columns.length * (w + 34);
  const height = Math.max(...columns.map((c) => c.length)) * (h + 8);
  const short = (title: string): string => (title.length > 32 ? `${title.slice(0, 31)}…` : title);
  return (
    <figure style={{ margin: '12px 0 0' }} className="scroll-x">
      <svg
        className={styles['chain']}
        width={width}
        height={height}
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={`What the way out touches: ${links.map((l) => `${interfaceOf(l.from).title} touches ${interfaceOf(l.to).title}${l.asked ? ', looked at' : ', open'}`).join('; ')}`}
      >
        {links.map((l) => {
          const a = at(l.from);
          const b = at(l.to);
          return (
            <g
              key={l.from + l.to}
              stroke={l.asked ? 'var(--bay)' : 'var(--ochre)'}
              fill="none"
              strokeWidth="2"
              strokeDasharray={l.asked ? undefined : '5 4'}
            >
              <path
                d={`M${a.x + w - 6} ${a.y + h / 2} C ${a.x + w + 18} ${a.y + h / 2} ${b.x - 18} ${b.y + h / 2} ${b.x - 4} ${b.y + h / 2}`}
              />
              <circle cx={b.x - 4} cy={b.y + h / 2} r="4" fill={l.asked ? 'var(--bay)' : 'var(--panel)'} />
            </g>
          );
        })}
        {[...depth.keys()].map((id) => {
          const p = at(id);
          return (
            <g key={id}>
              <rect
                x={p.x}
                y={p.y + 1}
                width={w - 6}
                height={h - 2}
                rx="3"
                fill="var(--ground)"
                stroke="var(--line-strong)"
              />
              <text x={p.x + 9} y={p.y + 22} fill="var(--ink)" fontSize="13">
                {short(interfaceOf(id).title)}
              </text>
            </g>
          );
        })}
      </svg>
    </figure>
  );
}
