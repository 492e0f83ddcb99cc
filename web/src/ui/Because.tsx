import type { FactBook } from '@bay/core/facts';
import { becauseWords } from '@bay/core/facts';
import { titleOf } from '@bay/core/plan';

/** Why a line of the plan is there: the facts it stands on, and the source of the rule. */
export function Because({
  ids,
  facts,
  source,
}: {
  ids: readonly string[];
  facts: FactBook;
  source?: string | undefined;
}) {
  const words = ids.map((id) =>
    id.startsWith('fit-') || id.startsWith('kit-') ? titleOf(id) : becauseWords(id, facts),
  );
  return (
    <p className="because">
      <b>Because</b> {words.length > 0 ? words.join(' · ') : 'every job has this line'}
      {source ? <span className="quiet"> Source: {source}.</span> : null}
    </p>
  );
}
