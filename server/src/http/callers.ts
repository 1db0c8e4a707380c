import type { Request, RequestHandler } from 'express';
import { type Asker, type Caller, mayAsk } from '../access/caller.ts';
import { setToken, tokensOf } from './cookies.ts';
import { HttpProblem } from './problems.ts';
import type { StudioDoor } from './studioDoor.ts';

const callers = new WeakMap<Request, Caller>();

/** Who asks, of a request that came past `onlyFor`. */
export function callerOf(request: Request): Caller {
  const caller = callers.get(request);
  if (!caller) throw new Error('asked who comes before anybody was let in');
  return caller;
}

/** Before a route: only these are answered, and nothing of what others send is read. */
export const onlyFor =
  (roles: readonly Asker[], door: StudioDoor): RequestHandler =>
  (request, response, next) => {
    const address = request.socket.remoteAddress ?? '';
    const { caller, next: token } = door.callerOf({ address, tokens: tokensOf(request) });
    if (token !== null) setToken(request, response, 'device', token);
    callers.set(request, caller);
    if (!mayAsk(roles, caller))
      throw new HttpProblem(caller.role === null ? 'not_logged_in' : 'not_for_role');
    next();
  };
