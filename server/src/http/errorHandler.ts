import type { ErrorRequestHandler } from 'express';
import type { Logger } from 'pino';
import { HttpProblem, problemBody, type HttpProblemCode } from './problems.ts';

/** What express and its body parser throw, by their own names. */
const FOREIGN_ERRORS: Readonly<Record<string, HttpProblemCode>> = {
  'entity.parse.failed': 'json_broken',
  'entity.too.large': 'body_too_large',
  'encoding.unsupported': 'body_wrong_type',
  'charset.unsupported': 'body_wrong_type',
};

/** Every error becomes a problem; what nobody expected is logged whole and told as `internal`. */
export function errorHandler(log: Logger): ErrorRequestHandler {
  return (error: unknown, _request, response, next) => {
    if (response.headersSent) return next(error);
    const problem = problemOf(error);
    if (problem.code === 'internal') log.error(error, 'unexpected');
    const body = problemBody(problem);
    response.status(body.status).type('application/problem+json').send(JSON.stringify(body));
  };
}

function problemOf(error: unknown): HttpProblem {
  if (error instanceof HttpProblem) return error;
  if (error instanceof URIError) return new HttpProblem('query_invalid');
  const { type, status } = (error ?? {}) as { type?: unknown; status?: unknown };
  // A file of the interface that is not there (an old tab after an update).
  if (status === 404) return new HttpProblem('not_found');
  return new HttpProblem((typeof type === 'string' ? FOREIGN_ERRORS[type] : undefined) ?? 'internal');
}
