import { z } from 'zod';

type Issue = z.core.$ZodRawIssue;

const nothing = ({ input }: Issue): boolean => input === undefined || input === null || input === '';

/** What is wanted, by what a schema takes. */
const wanted: Readonly<Record<string, string>> = {
  number: 'A number is wanted.',
  int: 'A whole number is wanted.',
  string: 'Words are wanted.',
  boolean: 'Yes or no is wanted.',
  array: 'A list is wanted.',
  object: 'Values with names are wanted.',
  record: 'Values with names are wanted.',
  uuid: 'An id is wanted.',
  date: 'A day is wanted.',
  datetime: 'A day with its time is wanted.',
};
const cannot = 'This cannot be taken.';

/** Too little or too much, by what is counted. */
function outOfBounds(issue: Extract<Issue, { code: 'too_small' | 'too_big' }>): string {
  const few = issue.code === 'too_small';
  const bound = Number(few ? issue.minimum : issue.maximum);
  if (issue.origin === 'string')
    return few && bound === 1 ? 'Nothing typed.' : `At ${few ? 'least' : 'most'} ${bound} characters.`;
  if (issue.origin === 'number' || issue.origin === 'int') {
    if (issue.inclusive) return `Not ${few ? 'below' : 'above'} ${bound}.`;
    return `${few ? 'More' : 'Less'} than ${bound}.`;
  }
  return `At ${few ? 'least' : 'most'} ${bound}.`;
}

/**
 * One sentence for each way in which what is typed can be wrong, where the schema has none of its own: the same in the browser,
 * before it is sent, and from the server. None is left to the library, which speaks to programs.
 */
function sentenceOf(issue: Issue): string {
  if (issue.code === 'too_small' || issue.code === 'too_big') return outOfBounds(issue);
  if (issue.code === 'invalid_value') return nothing(issue) ? 'Choose one.' : 'This is none of the choices.';
  if (issue.code === 'invalid_type' && nothing(issue)) return 'This is wanted.';
  if (issue.code === 'invalid_type') return wanted[issue.expected] ?? cannot;
  if (issue.code === 'invalid_format') return wanted[issue.format] ?? cannot;
  return cannot;
}

z.config({ customError: sentenceOf });
