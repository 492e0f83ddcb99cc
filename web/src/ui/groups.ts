export interface Group<T> {
  /** Fit for an id of the page. */
  id: string;
  name: string;
  items: T[];
}

/** Puts things into groups by a name, groups and things in the order in which they come. */
export function inGroups<T>(items: readonly T[], nameOf: (item: T) => string): Group<T>[] {
  const groups = new Map<string, Group<T>>();
  for (const item of items) {
    const name = nameOf(item);
    const group = groups.get(name) ?? {
      id: `group-${name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}`,
      name,
      items: [],
    };
    group.items.push(item);
    groups.set(name, group);
  }
  return [...groups.values()];
}
