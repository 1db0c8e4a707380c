import type { Request, RequestHandler } from 'express';
import { HttpProblem } from './problems.ts';

/** A page elsewhere cannot send it without asking first, and is told no. */
const WRITE_HEADER = 'x-lanakit';

const isWrite = ({ method }: Request): boolean =>
  method !== 'GET' && method !== 'HEAD' && method !== 'OPTIONS';

/** Only requests for one of its own names are answered. @param names as they stand in a URL, without a port */
export const onlyOwnNames =
  (names: ReadonlySet<string>): RequestHandler =>
  (request, _response, next) => {
    const name = (request.get('host') ?? '').replace(/:\d+$/, '').toLowerCase();
    if (!names.has(name)) throw new HttpProblem('foreign_request');
    next();
  };

/**
 * Writes come from its own pages. Browsers say of every write which page it comes from, and most say of which site; a program
 * says neither. What a form of another page could send (no body, or one that is no JSON) carries a header of ours as well.
 */
export const onlyOwnPages: RequestHandler = (request, _response, next) => {
  if (isWrite(request)) {
    const site = request.get('sec-fetch-site');
    if (site === 'cross-site' || site === 'same-site' || !isFromHere(request))
      throw new HttpProblem('foreign_request');
    if (!request.is('json') && request.get(WRITE_HEADER) === undefined)
      throw new HttpProblem('header_missing');
  }
  next();
};

/** The page is at the very address that is asked. */
function isFromHere(request: Request): boolean {
  const origin = request.get('origin');
  if (origin === undefined) return true;
  try {
    const { protocol, host } = new URL(origin);
    return (
      (protocol === 'http:' || protocol === 'https:') && host === (request.get('host') ?? '').toLowerCase()
    );
  } catch {
    // “null”: a page without an address of its own.
    return false;
  }
}
