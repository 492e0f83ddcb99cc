/** Shapes of what is coming, so that nothing jumps when it is there. */
const shapes = {
  rows: ['row', 'row', 'row', 'row', 'row', 'row'],
  strips: ['ribbon', 'title', 'strip', 'strip', 'strip'],
  job: ['head', 'line', 'ribbon', 'title', 'panel', 'row', 'row', 'row'],
  panels: ['title', 'panel', 'panel'],
  table: ['title', 'figure', 'row', 'row', 'row', 'row'],
} as const;

/** Keeps the layout while something loads: in the shape of what comes. */
export function Loading({ as = 'rows', label = 'Loading' }: { as?: keyof typeof shapes; label?: string }) {
  return (
    <div role="status" aria-label={label} className="loading">
      {shapes[as].map((shape, i) => (
        <div key={i} className={`loading-${shape}`} />
      ))}
    </div>
  );
}

export function Failed({ sentence, again }: { sentence: string; again: () => void }) {
  return (
    <div role="alert" className="failed">
      <p>{sentence}</p>
      <button type="button" className="plain-button" onClick={again}>
        Try again
      </button>
    </div>
  );
}
