import type { JobSheet } from '@bay/contract/jobs';

/** The heads of columns among which one is chosen: its name and number, and whether it goes in or may be chosen. */
export function ChoiceHeads({
  shown,
  goesInAs,
  mayChoose,
  choose,
}: {
  shown: readonly { row: { id: string; name: string }; unit: JobSheet['units'][number] }[];
  goesInAs: 'engine' | 'gearbox';
  mayChoose: boolean;
  choose: (unitId: string) => void;
}) {
  return shown.map(({ row, unit }) => (
    <th key={row.id} scope="col">
      <b>{row.name}</b>
      <br />
      <span className="quiet mono">{unit.identity}</span>
      <br />
      {unit.role === goesInAs ? (
        <span className="tag teal">going in</span>
      ) : (
        <button
          type="button"
          className="plain-button small"
          disabled={!mayChoose}
          aria-label={`Choose: ${row.name}`}
          onClick={() => choose(row.id)}
        >
          Choose
        </button>
      )}
    </th>
  ));
}
