import { describe, expect, it } from 'vitest';
import { allContent, contentFaults } from '../plan/index.ts';
import { codedSentences, danglingIds } from './content.ts';

describe('the content check', () => {
  it('finds nothing in the content as it is', () => expect(contentFaults()).toEqual([]));
  const kit = allContent.find((c) => c.capability === 'kit')!;
  const others = allContent.filter((c) => c !== kit);
  const withLine = (line: object) =>
    danglingIds([
      ...others,
      { ...kit, definitions: [...kit.definitions, { id: 'kit-of-a-test', ...line }] },
    ]);
  it.each([
    ['in a list', { asks: ['fit-tunnel', 'fit-nowhere'] }, 'fit-nowhere'],
    ['in a sentence', { why: 'see rm-not-a-step before this' }, 'rm-not-a-step'],
    ['in a condition', { when: { op: 'fitted', kit: 'kit-none' } }, 'kit-none'],
    ['as a key', { gaps: { 'cl-none': 3 } }, 'cl-none'],
  ])('finds an id that leads nowhere %s', (_where, line, id) =>
    expect(withLine(line)).toEqual([`kit-of-a-test speaks of ${id}, which does not exist`]),
  );
  it.each([
    ['an id', 'shell turned before bld-front-torque', 1],
    ['a code of a table', 'about 5 mm (CP)', 1],
    ['another code', 'mk; about 5 mm', 1],
    ['a gap that is filled in', 'at least {cl-hood} over every point', 0],
    ['plain words', 'MANual of the maker, take-off first', 0],
  ])('finds %s in a sentence that people read', (_what, why, faults) =>
    expect(
      codedSentences([
        ...others,
        { capability: 'kit', definitions: [{ id: 'kit-x', why } as never] },
      ]),
    ).toHaveLength(faults),
  );
  it('finds an id given twice', () =>
    expect(withLine({ id: kit.definitions[0]!.id })).toContain(
      `${kit.definitions[0]!.id} is given twice`,
    ));
  it.each(allContent.map((c) => c.capability))('%s brings definitions', (name) =>
    expect(allContent.find((c) => c.capability === name)!.definitions.length).toBeGreaterThan(0),
  );
});
