import type { RequestHandler } from 'express';
import { HttpProblem } from './problems.ts';

const LOOPBACK_NAMES = new Set(['localhost', '127.0.0.1', '[::1]']);

/**
 * On loopback, only answers to loopback's own names: a page elsewhere that points its name at this machine
 * (DNS rebinding) gets nothing. `host` is the address the server is bound to.
 */
export function onlyOwnName(host: string): RequestHandler {
  const isLoopback = host === '127.0.0.1' || host === 'localhost' || host === '::1';
  return (request, _response, next) => {
    const name = (request.get('host') ?? '').replace(/:\d+$/, '').toLowerCase();
    if (isLoopback && !LOOPBACK_NAMES.has(name)) throw new HttpProblem('foreign_request');
    next();
  };
}

/** Browsers say where a request comes from; writes from other sites are refused. */
export const onlyOwnPages: RequestHandler = (request, _response, next) => {
  const site = request.get('sec-fetch-site');
  const isForeign = site === 'cross-site' || site === 'same-site';
  if (request.method !== 'GET' && request.method !== 'HEAD' && isForeign)
    throw new HttpProblem('foreign_request');
  next();
};
