import type { SessionState } from '@lanakit/core/api';
import express, { type Express, type Request, type RequestHandler, type Response } from 'express';
import { isRight, type OwnerKey } from '../owner/passphrase.ts';
import { sessions } from '../owner/sessions.ts';
import { tries } from '../owner/tries.ts';
import { HttpProblem } from './problems.ts';

const COOKIE = 'lanakit';
const SESSION = '/api/session';
/** A browser forgets it then; the studio before, where nobody came. */
const COOKIE_S = 7 * 24 * 3600;

/** Who is let in, and how they come. */
export interface OwnerDoor {
  /** Where one says who one is, and goes again. */
  readonly mount: (app: Express) => void;
  /** Before every route of the studio: there is no way round it by another way to write an address. */
  readonly guard: RequestHandler;
}

/**
 * On a network only its owner is answered: by passphrase, then by a cookie that no script reads and no other site sends.
 * The interface’s own files are anybody’s: they say nothing of the studio. One door for a studio and the demo studio beside it.
 * @param owner null: it is on loopback, and asks nobody
 */
export function ownerDoor(owner: OwnerKey | null, now: () => number = Date.now): OwnerDoor {
  const known = sessions();
  const tried = tries();
  const isKnown = (request: Request, response: Response): boolean => {
    if (owner === null) return true;
    const token = tokenOf(request);
    const session = token === null ? null : known.seen(token, now());
    if (session?.next) setCookie(response, session.next, request.secure);
    return session !== null;
  };
  const tell: RequestHandler = (request, response) => {
    const isMine = isKnown(request, response);
    const state: SessionState = {
      isOpened: owner !== null,
      isKnown: isMine,
      wrongTries: owner !== null && isMine ? tried.wrongInAll(now()) : null,
    };
    response.set('Cache-Control', 'no-store').json(state);
  };
  const leave: RequestHandler = (request, response) => {
    const token = tokenOf(request);
    if (token !== null) known.end(token);
    response.clearCookie(COOKIE, { path: '/' }).status(204).end();
  };
  const begin = (request: Request, response: Response) =>
    setCookie(response, known.begin(now()), request.secure);
  return {
    mount(app) {
      app.get(SESSION, tell);
      if (owner === null) return;
      app.post(SESSION, express.json({ limit: '4kb' }), logIn(owner, tried, now, begin));
      app.delete(SESSION, leave);
    },
    guard: (request, response, next) => {
      if (!isKnown(request, response)) throw new HttpProblem('not_logged_in');
      next();
    },
  };
}

function logIn(
  owner: OwnerKey,
  tried: ReturnType<typeof tries>,
  now: () => number,
  begin: (request: Request, response: Response) => void,
): RequestHandler {
  return async (request, response) => {
    const address = request.socket.remoteAddress ?? '';
    const waitMs = tried.waitMs(address, now());
    if (waitMs > 0) {
      const seconds = Math.ceil(waitMs / 1000);
      response.set('Retry-After', String(seconds));
      throw new HttpProblem('tries_too_many', { seconds });
    }
    const body: unknown = request.body;
    const passphrase =
      typeof body === 'object' && body !== null && 'passphrase' in body ? body.passphrase : null;
    if (typeof passphrase !== 'string') throw new HttpProblem('body_invalid');
    // Counted before it is looked at: many at once are many.
    tried.wrong(address, now());
    if (!(await isRight(owner, passphrase))) throw new HttpProblem('passphrase_wrong');
    tried.right(address);
    begin(request, response);
    response.status(204).end();
  };
}

function setCookie(response: Response, token: string, isSecure: boolean): void {
  response.cookie(COOKIE, token, {
    httpOnly: true,
    sameSite: 'strict',
    secure: isSecure,
    path: '/',
    maxAge: COOKIE_S * 1000,
  });
}

function tokenOf(request: Request): string | null {
  const cookies = (request.get('cookie') ?? '').split(';').map((each) => each.trim());
  const found = cookies.find((each) => each.startsWith(`${COOKIE}=`));
  return found ? found.slice(COOKIE.length + 1) : null;
}
