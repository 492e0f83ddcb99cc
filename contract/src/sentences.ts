import { z } from 'zod';

type Issue = z.core.$ZodRawIssue;
type Of<C extends Issue['code']> = Extract<Issue, { code: C }>;

const nothing = (issue: Issue): boolean => issue.input === undefined || issue.input === null || issue.input === '';
const wantedTypes: Readonly<Record<string, string>> = {
  number: 'A number is wanted.',
  int: 'A whole number is wanted.',
  string: 'Words are wanted.',
};

/** What is too little or too much, by what is counted. */
const few = ({ origin, minimum, inclusive }: Of<'too_small'>): string | undefined =>
  origin === 'string'
    ? Number(minimum) === 1
      ? 'Nothing typed.'
      : `At least ${minimum} characters.`
    : origin === 'number' || origin === 'int'
      ? inclusive
        ? `Not below ${minimum}.`
        : `More than ${minimum}.`
      : undefined;
const many = ({ origin, maximum }: Of<'too_big'>): string | undefined =>
  origin === 'string'
    ? `At most ${maximum} characters.`
    : origin === 'number' || origin === 'int'
      ? `Not above ${maximum}.`
      : undefined;

/**
 * One sentence for each way in which what is typed can be wrong, where the schema has none of its own: the same in the browser,
 * before it is sent, and from the server.
 */
function sentenceOf(issue: Issue): string | undefined {
  if (issue.code === 'invalid_type') return nothing(issue) ? 'This is wanted.' : wantedTypes[String(issue.expected)];
  if (issue.code === 'too_small') return few(issue);
  if (issue.code === 'too_big') return many(issue);
  if (issue.code === 'invalid_value') return nothing(issue) ? 'Choose one.' : 'This is none of the choices.';
  if (issue.code === 'invalid_format' && issue.format === 'date') return 'A day is wanted.';
  return undefined;
}

z.config({ customError: sentenceOf });
