/**
 * What a capability brings to the content: its definitions. The content check walks every id wherever it stands in them, so a
 * capability declares its definitions and nothing else.
 */
export interface CapabilityContent {
  capability: string;
  /** Definitions with an id of their own, whatever else they carry. */
  definitions: readonly Definition[];
  /** Plain data without ids of its own that speaks of ids: likelihoods, what schools change. */
  more?: readonly unknown[];
  /** Faults that only the capability can see: rings, sums that do not add up. */
  faults?: () => string[];
}

export interface Definition {
  readonly id: string;
}

/** Every string in a value, wherever it stands, keys of objects too. */
export function* stringsIn(value: unknown): Generator<string> {
  if (typeof value === 'string') yield value;
  else if (value instanceof Map || Array.isArray(value)) for (const item of value) yield* stringsIn(item);
  else if (typeof value === 'object' && value !== null)
    for (const [key, item] of Object.entries(value)) {
      yield key;
      yield* stringsIn(item);
    }
}

/** What an id of each sort begins with: a family that has several members is told by it, in data, in words and in code. */
export function familiesOf(ids: Iterable<string>): Set<string> {
  const members = new Map<string, number>();
  for (const id of ids) {
    const family = id.split('-')[0]!;
    members.set(family, (members.get(family) ?? 0) + 1);
  }
  return new Set([...members].filter(([, n]) => n >= 5).map(([family]) => family));
}

/** Words of the trade that look like an id and are none. */
const words = /^(?:o-rings?|take-(?:off|up|first|offs)|fill-(?:in|up|point)|gate-valve|bag-of|w-clip)$/;

/** Ids of known families that are spoken of in a text. */
export function idsIn(text: string, families: ReadonlySet<string>): string[] {
  return [...text.matchAll(/(?<![\w-])([a-z]+)-[a-z0-9]+(?:-[a-z0-9]+)*(?![\w-])/g)]
    .filter((m) => families.has(m[1]!) && !words.test(m[0]))
    .map((m) => m[0]);
}

/** Ids given twice, and ids that are spoken of and lead nowhere. */
export function danglingIds(contents: readonly CapabilityContent[]): string[] {
  const known = new Set<string>();
  const found: string[] = [];
  for (const { id } of contents.flatMap((c) => c.definitions)) {
    if (known.has(id)) found.push(`${id} is given twice`);
    known.add(id);
  }
  const families = familiesOf(known);
  const look = (from: string, value: unknown): void => {
    for (const text of stringsIn(value))
      for (const id of idsIn(text, families))
        if (!known.has(id)) found.push(`${from} speaks of ${id}, which does not exist`);
  };
  for (const content of contents) {
    for (const definition of content.definitions) look(definition.id, definition);
    look(content.capability, content.more ?? []);
  }
  return [...new Set(found)];
}

/** Codes of tables, which say nothing to somebody at the car. */
const tableCodes = /(?<![\w-])(?:CP|MAN|LAW|STD|GEO|EST|mk|std-m|phys)(?![\w-])|\(cp[;,)]|\*|`|\{[a-z0-9-]*$/;

/** Sentences that people read in which an id or a code of a table stands; `{id}` is filled in where it is shown. */
export function codedSentences(contents: readonly CapabilityContent[]): string[] {
  const families = familiesOf(contents.flatMap((c) => c.definitions.map((d) => d.id)));
  return contents.flatMap((c) =>
    c.definitions.flatMap((definition) =>
      [...stringsIn(definition)]
        .filter((text) => /\s/.test(text) || tableCodes.test(text))
        .map((text) => text.replace(/\{[a-z0-9-]+\}/g, ''))
        .filter((text) => tableCodes.test(text) || idsIn(text, families).length > 0)
        .map((text) => `${definition.id} says "${text}"`),
    ),
  );
}
