import { Select, TextInput } from '@mantine/core';
import { useSearchParams } from 'react-router';
import { useState } from 'react';
import { calculators, runCalculator } from '@bay/core/calc';
import type { Calculator } from '@bay/core/calc';

function CalcForm({ calc }: { calc: Calculator }) {
  const [typed, setTyped] = useState<Record<string, string>>(() =>
    Object.fromEntries(calc.inputs.map((i) => [i.key, i.options ? i.options[0]! : ''])),
  );
  const filled = calc.inputs.every((i) => i.optional || (typed[i.key] ?? '').trim() !== '');
  const outcome = filled ? runCalculator(calc.name, typed) : undefined;
  const errors = outcome && !outcome.ok ? outcome.errors : {};
  return (
    <div className="panel">
      <h2>{calc.title}</h2>
      <div className="fields" style={{ marginTop: 10 }}>
        {calc.inputs.map((i) =>
          i.options ? (
            <Select
              key={i.key}
              label={i.label}
              data={[...i.options]}
              value={typed[i.key] ?? i.options[0]!}
              onChange={(o) => setTyped({ ...typed, [i.key]: o ?? '' })}
            />
          ) : (
            <TextInput
              key={i.key}
              label={i.unit ? `${i.label}, ${i.unit}` : i.label}
              placeholder={i.example}
              value={typed[i.key] ?? ''}
              onChange={(e) => setTyped({ ...typed, [i.key]: e.currentTarget.value })}
              error={errors[i.key]}
              classNames={{ input: 'mono' }}
            />
          ),
        )}
      </div>
      {errors['result'] && (
        <p role="alert" className="oxide">
          {errors['result']}
        </p>
      )}
      {outcome?.ok ? (
        <div className="notice" style={{ marginTop: 12 }} role="status">
          <table className="sum">
            <tbody>
              {outcome.result.results.map((r) => (
                <tr key={r.label}>
                  <td>{r.label}</td>
                  <td className="mono">
                    <b>{r.shown}</b>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="because">
            <b>Because</b> <span className="mono">{outcome.result.because}</span>
          </p>
        </div>
      ) : (
        !outcome && <p className="quiet">Type the values; the sum follows as you type.</p>
      )}
      <p className="quiet">Source: {calc.source}.</p>
    </div>
  );
}

/** Every calculator of the core, the same that screens, the API and the command line use. */
export function SumsPage() {
  const [params, setParams] = useSearchParams();
  const at = calculators.find((c) => c.name === params.get('sum')) ?? calculators[0]!;
  return (
    <div className="page" style={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 12 }}>
      <div className="page-head">
        <h1>Sums</h1>
        <span className="quiet">Type as you read it: 5 7/8, 149,2 mm, 40 lbft, -6 AN, 12 AWG.</span>
      </div>
      <div className="counts">
        {calculators.map((c) => (
          <button
            key={c.name}
            type="button"
            aria-pressed={c.name === at.name}
            onClick={() => setParams({ sum: c.name }, { replace: true })}
          >
            {c.title}
          </button>
        ))}
      </div>
      <CalcForm key={at.name} calc={at} />
    </div>
  );
}
