import 'pino-http';
import type { ErrorRequestHandler } from 'express';
import { z } from 'zod';
import type { Problem } from '@bay/contract/endpoint';

/** An answer that is not what was asked for, in one shape (RFC 9457), with a sentence for a person. */
export class Refusal extends Error {
  readonly problem: Problem;

  constructor(status: number, title: string, extra: Partial<Problem> = {}) {
    super(title);
    this.problem = { type: 'about:blank', title, status, ...extra };
  }
}

export const notFound = (what: string): Refusal => new Refusal(404, `${what} is not here.`);
export const badInput = (fields: Record<string, string>): Refusal =>
  new Refusal(422, Object.values(fields)[0] ?? 'Something typed cannot be taken.', { fields });

/** Zod's issues as sentences by field path. */
export function fieldsOf(error: z.ZodError): Record<string, string> {
  return Object.fromEntries(error.issues.map((issue) => [issue.path.join('.') || 'body', issue.message]));
}

export const problemHandler: ErrorRequestHandler = (error: unknown, req, res, next) => {
  if (res.headersSent) return next(error);
  let problem: Problem;
  if (error instanceof Refusal) problem = error.problem;
  else if (error instanceof z.ZodError) problem = badInput(fieldsOf(error)).problem;
  else if (error instanceof SyntaxError && 'body' in error) problem = { type: 'about:blank', title: 'The request is not readable JSON.', status: 400 };
  else if (typeof error === 'object' && error !== null && 'status' in error && typeof error.status === 'number' && error.status < 500) {
    problem = { type: 'about:blank', title: error.status === 413 ? 'That is too large.' : 'The request cannot be taken.', status: error.status };
  } else {
    req.log.error({ err: error }, 'request failed');
    problem = { type: 'about:blank', title: 'The server failed at this. Nothing was written; try again.', status: 500 };
  }
  res.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
};
