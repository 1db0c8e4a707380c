import type { ErrorRequestHandler } from 'express';
import type { Logger } from 'pino';
import { databaseFault } from '../db/databaseFault.ts';
import { HttpProblem, problemBody, type HttpProblemCode } from './problems.ts';

/** What express and its body parser throw, by their own names. */
const FOREIGN_ERRORS: Readonly<Record<string, HttpProblemCode>> = {
  'entity.parse.failed': 'json_broken',
  'entity.too.large': 'body_too_large',
  'encoding.unsupported': 'body_wrong_type',
  'charset.unsupported': 'body_wrong_type',
};

/** The same of what has no name: whatever else blames the request is the request’s fault. */
const FOREIGN_STATUSES: Readonly<Record<number, HttpProblemCode>> = {
  404: 'not_found',
  405: 'method_not_allowed',
  412: 'precondition_failed',
  413: 'body_too_large',
  415: 'body_wrong_type',
  416: 'range_not_there',
  431: 'headers_too_large',
};

/** Every error becomes a problem; what nobody expected is logged whole and told as `internal`. */
export function errorHandler(log: Logger): ErrorRequestHandler {
  return (error: unknown, _request, response, next) => {
    if (response.headersSent) return next(error);
    const problem = problemOf(error);
    if (problem.code === 'internal' || problem.code === 'database_damaged') log.error(error, 'unexpected');
    const body = problemBody(problem);
    const { seconds } = problem.facts;
    if (typeof seconds === 'number') response.set('Retry-After', String(seconds));
    response.status(body.status).type('application/problem+json').send(JSON.stringify(body));
  };
}

function problemOf(error: unknown): HttpProblem {
  if (error instanceof HttpProblem) return error;
  if (error instanceof URIError) return new HttpProblem('query_invalid');
  const { type, status } = (error ?? {}) as { type?: unknown; status?: unknown };
  const named = typeof type === 'string' ? FOREIGN_ERRORS[type] : undefined;
  if (named) return new HttpProblem(named);
  if (typeof status === 'number' && status >= 400 && status < 500)
    return new HttpProblem(FOREIGN_STATUSES[status] ?? 'request_not_read');
  return new HttpProblem(databaseFault(error)?.code ?? 'internal');
}
