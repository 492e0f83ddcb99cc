import 'pino-http';
import type { ErrorRequestHandler } from 'express';
import { z } from 'zod';
import type { Problem, ProblemCode } from '@bay/contract/endpoint';
import { DatabaseAway } from '../db/connection.ts';

const codes: Readonly<Record<number, ProblemCode>> = {
  401: 'signed-out',
  403: 'not-allowed',
  404: 'not-here',
  409: 'conflict',
  413: 'too-large',
  415: 'unreadable',
  422: 'bad-input',
  429: 'too-many',
};
const codeOf = (status: number, stale = false): ProblemCode =>
  stale ? 'stale' : (codes[status] ?? (status >= 500 ? 'failed' : 'bad-request'));

/** An answer that is not what was asked for, in one shape (RFC 9457), with a sentence for a person. */
export class Refusal extends Error {
  readonly problem: Problem;

  constructor(status: number, title: string, extra: Partial<Problem> = {}) {
    super(title);
    this.problem = { type: 'about:blank', code: codeOf(status, 'current' in extra), title, status, ...extra };
  }
}

export const notFound = (what: string): Refusal => new Refusal(404, `${what} is not here.`);
export const badInput = (fields: Record<string, string>): Refusal =>
  new Refusal(422, Object.values(fields)[0] ?? 'Something typed cannot be taken.', { fields });

/** Zod's issues as sentences by field path. */
export function fieldsOf(error: z.ZodError): Record<string, string> {
  return Object.fromEntries(error.issues.map((issue) => [issue.path.join('.') || 'body', issue.message]));
}

/** No room on a disk: of the database, or of the folder of photos (errno of POSIX). */
const noRoom = ['53100', 'ENOSPC', 'EDQUOT'];

/** What the database or the machine refuses, by the class of its code (PostgreSQL, appendix A of its manual). */
function refusedByMachine(error: unknown): Refusal | undefined {
  const code = (error as { code?: unknown } | null)?.code;
  if (typeof code !== 'string') return undefined;
  if (code === '23505') return new Refusal(409, 'That is here already.');
  if (code === '23503') return new Refusal(409, 'Something this speaks of is not here.');
  if (code.startsWith('22') || code.startsWith('23')) return new Refusal(422, 'A value in this cannot be kept.');
  if (noRoom.includes(code))
    return new Refusal(
      503,
      'The disk of the server is full. Nothing was written; what you typed is kept. Make room there.',
    );
  // It took too long, somebody held it, or there is no room for one more: another try may do.
  if (['57014', '55P03', '40001', '40P01', '53300'].includes(code) || code.startsWith('08'))
    return new Refusal(503, 'The server is busy with this. Nothing was written; try again.');
  return undefined;
}

export const problemHandler: ErrorRequestHandler = (error: unknown, req, res, next) => {
  if (res.writableEnded) {
    // The whole answer is written; what failed came after it (the session could not be kept). Handing it on would cut the answer off.
    req.log.warn({ err: error }, 'failed after the answer');
    return;
  }
  if (res.headersSent) return next(error);
  let problem: Problem;
  if (error instanceof Refusal) problem = error.problem;
  else if (error instanceof DatabaseAway) {
    req.log.warn({ err: error }, 'the database does not answer');
    problem = new Refusal(503, 'The shop’s database does not answer just now. What you typed is kept; try again.')
      .problem;
  } else if (error instanceof z.ZodError) problem = badInput(fieldsOf(error)).problem;
  else if (error instanceof SyntaxError && 'body' in error)
    problem = new Refusal(400, 'The request is not readable JSON.').problem;
  else if (
    typeof error === 'object' &&
    error !== null &&
    'status' in error &&
    typeof error.status === 'number' &&
    error.status < 500
  ) {
    problem = new Refusal(error.status, error.status === 413 ? 'That is too large.' : 'The request cannot be taken.')
      .problem;
  } else if (refusedByMachine(error)) {
    req.log.warn({ err: error }, 'the database or the machine refused this');
    problem = refusedByMachine(error)!.problem;
  } else {
    req.log.error({ err: error }, 'request failed');
    problem = new Refusal(500, 'The server failed at this. Nothing was written; try again.').problem;
  }
  res.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
};
