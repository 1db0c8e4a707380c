import type { Request, Response } from 'express';
import type { Caller } from '../access/caller.ts';

type Kind = keyof Caller['tokens'];

const NAMES: Readonly<Record<Kind, string>> = { device: 'lanakit', pack: 'lanakit_pack' };
/** A browser forgets it then; the studio before, where nobody came. */
const KEPT_S: Readonly<Record<Kind, number>> = { device: 60 * 24 * 3600, pack: 24 * 3600 };

/** Over TLS a browser takes it from this very address alone, and sends it nowhere else. */
const nameOf = (kind: Kind, isSecure: boolean): string => `${isSecure ? '__Host-' : ''}${NAMES[kind]}`;

/** No script reads it, and no other site sends it. */
const settings = (request: Request) =>
  ({ httpOnly: true, sameSite: 'strict', secure: request.secure, path: '/' }) as const;

/** @param token null: it is over */
export function setToken(request: Request, response: Response, kind: Kind, token: string | null): void {
  const name = nameOf(kind, request.secure);
  if (token === null) response.clearCookie(name, settings(request));
  else response.cookie(name, token, { ...settings(request), maxAge: KEPT_S[kind] * 1000 });
}

export function tokensOf(request: Request): Caller['tokens'] {
  const cookies = (request.get('cookie') ?? '').split(';').map((each) => each.trim());
  const found = (kind: Kind): string | null => {
    const start = `${nameOf(kind, request.secure)}=`;
    return cookies.find((each) => each.startsWith(start))?.slice(start.length) ?? null;
  };
  return { device: found('device'), pack: found('pack') };
}
