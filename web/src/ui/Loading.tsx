/** Keeps the layout while something loads. */
export function Loading({ rows = 4, label = 'Loading' }: { rows?: number; label?: string }) {
  return (
    <div role="status" aria-label={label} className="loading">
      {Array.from({ length: rows }, (_, i) => (
        <div key={i} className="loading-row" />
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
