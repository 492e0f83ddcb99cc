import { Select } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { roleWords, severalRoles, unitRoles } from '@bay/core/jobs';
import type { UnitRole } from '@bay/core/jobs';
import type { JobSheet } from '@bay/contract/jobs';
import { useJob } from '../sheet/index.ts';
import { UnitForm } from './UnitForm.tsx';

/** What a swap has nearly always. */
const usual: readonly UnitRole[] = ['donor', 'engine', 'gearbox', 'computer', 'loom'];
/** What is chosen among stands at Scope. */
const elsewhere: ReadonlySet<UnitRole> = new Set(['car', 'candidate', 'candidate-gearbox']);
const others = unitRoles.filter((r) => !elsewhere.has(r) && !usual.includes(r));

/** The units of a job, each with a place and facts of its own: what it usually has, its own engine and gearbox, further gearboxes, stand-ins. */
export function JobUnits() {
  const { sheet, mayWrite } = useJob();
  const [adding, setAdding] = useState<UnitRole>();
  const rows = [...usual, ...others].flatMap(
    (role): { role: UnitRole; unit: JobSheet['units'][number] | undefined }[] => {
      const own = sheet.units.filter((u) => u.role === role);
      return own.length > 0
        ? own.map((unit) => ({ role, unit }))
        : usual.includes(role)
          ? [{ role, unit: undefined }]
          : [];
    },
  );
  const free = others.filter((r) => severalRoles.has(r) || !sheet.units.some((u) => u.role === r));
  return (
    <div className="panel">
      <table className="data">
        <tbody>
          {rows.map(({ role, unit }) => (
            <tr key={unit?.id ?? role}>
              <td style={{ width: 170 }}>{roleWords[role]}</td>
              <td>
                {unit ? (
                  <>
                    <Link to={`/units?open=${unit.id}`}>
                      <b>{unit.name}</b>
                    </Link>
                    {unit.identity && <span className="quiet mono"> {unit.identity}</span>}, {unit.place}
                  </>
                ) : (
                  <button
                    type="button"
                    className="plain-button small bare"
                    disabled={!mayWrite}
                    onClick={() => setAdding(role)}
                  >
                    Add the {roleWords[role].toLowerCase()}
                  </button>
                )}
                {adding === role && !unit && (
                  <UnitForm
                    jobId={sheet.job.id}
                    role={role}
                    label={roleWords[role]}
                    done={() => setAdding(undefined)}
                  />
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {mayWrite && (
        <div className="row-actions">
          <Select
            aria-label="Another unit on this job"
            placeholder="Another unit on this job"
            w={330}
            data={free.map((value) => ({ value, label: roleWords[value] }))}
            value={adding && others.includes(adding) ? adding : null}
            onChange={(role) => setAdding(role ?? undefined)}
          />
        </div>
      )}
      {adding && others.includes(adding) && (
        <UnitForm
          key={adding}
          jobId={sheet.job.id}
          role={adding}
          label={roleWords[adding]}
          done={() => setAdding(undefined)}
        />
      )}
    </div>
  );
}
