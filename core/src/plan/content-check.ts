import { clockContent } from '../clock/content.ts';
import { commissioningContent } from '../commissioning/content.ts';
import { crewContent } from '../crew/content.ts';
import { diagnosisContent } from '../diagnosis/content.ts';
import { donorsContent } from '../donors/content.ts';
import { factsContent } from '../facts/content.ts';
import { fitContent } from '../fit/content.ts';
import { kitContent } from '../kit/content.ts';
import { moneyContent } from '../money/content.ts';
import { partsContent } from '../parts/content.ts';
import { prepContent } from '../prep/content.ts';
import { pullContent } from '../pull/content.ts';
import { codedSentences, danglingIds, idsIn, familiesOf, stringsIn } from '../rules/content.ts';
import type { CapabilityContent } from '../rules/content.ts';
import { schoolsContent } from '../schools/content.ts';
import { systemsContent } from '../systems/content.ts';
import { factCatalogue } from '../facts/index.ts';

/** What every capability brings to the content. */
export const allContent: readonly CapabilityContent[] = [
  clockContent,
  commissioningContent,
  crewContent,
  diagnosisContent,
  donorsContent,
  factsContent,
  fitContent,
  kitContent,
  moneyContent,
  partsContent,
  prepContent,
  pullContent,
  schoolsContent,
  systemsContent,
];

/** Facts that nothing asks for: no condition, no rule, no order. */
function unusedFacts(): string[] {
  const ids = allContent.flatMap((c) => c.definitions.map((d) => d.id));
  const families = familiesOf(ids);
  const known = new Set(ids);
  const used = new Set<string>();
  for (const content of allContent)
    if (content !== factsContent)
      for (const text of stringsIn([content.definitions, content.more]))
        for (const id of idsIn(text, families)) used.add(id);
  return factCatalogue
    .filter((f) => !used.has(f.id) && !f.neededBy.some((id) => known.has(id)))
    .map((f) => `${f.id} is a fact that nothing uses`);
}

/**
 * Looks over the whole content: ids that lead nowhere wherever they stand, ids given twice, and what each capability sees of its
 * own (orders that turn in a ring, probabilities that do not add up). An empty list is good. Run at server start and in tests.
 */
export const contentFaults = (): string[] => [
  ...danglingIds(allContent),
  ...codedSentences(allContent),
  ...allContent.flatMap((c) => c.faults?.() ?? []),
  ...unusedFacts(),
];
