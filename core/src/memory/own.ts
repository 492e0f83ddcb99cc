import type { OwnLine } from './records.ts';

/** Ids of own lines carry their title, so that what speaks of one can be read wherever it stands. */

const mark = 'own-';
const tail = /-[a-z0-9]{4}$/;

export const isOwn = (id: string): boolean => id.startsWith(mark);

const slug = (title: string): string =>
  title
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 60)
    .replace(/-$/, '');

/** The id of a new own line; `unique` are four letters or digits that tell it from another of the same title. */
export const ownId = (title: string, unique: string): string => `${mark}${slug(title)}-${unique}`;

/** Does this id belong to a line of this title? */
export const ownIdFits = (id: string, title: string): boolean =>
  isOwn(id) && tail.test(id) && id.slice(mark.length).replace(tail, '') === slug(title);

/** The title in the id of an own line, without its signs. */
export function ownTitle(id: string): string {
  const words = id.slice(mark.length).replace(tail, '').replaceAll('-', ' ');
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** What is missing for a line of its sort, as a sentence by field; nothing where all is there. */
export function ownLineMissing(line: OwnLine): Partial<Record<keyof OwnLine, string>> {
  switch (line.sort) {
    case 'part':
      return {
        ...(line.system ? {} : { system: 'Say under which system of the kit it stands.' }),
        ...(line.price?.length === 3 ? {} : { price: 'Say what such a thing usually costs: low, likely, high.' }),
      };
    case 'check':
      return line.gate ? {} : { gate: 'Say before which gate it is to be done.' };
    case 'circuit':
      return {
        ...(line.from ? {} : { from: 'Say where the circuit begins.' }),
        ...(line.to ? {} : { to: 'Say where the circuit ends.' }),
        ...(line.load ? {} : { load: 'Say what it feeds.' }),
      };
    case 'step':
      return {};
  }
}
