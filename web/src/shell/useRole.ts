import type { Role, SessionState } from '@lanakit/core/api';
import { useEffect } from 'react';
import useSWR from 'swr';
import { get } from '../api/client.ts';
import { askWhoComes } from '../api/whoComes.ts';
import { pairedHere } from './pairedHere.ts';

/** A device that is shut out hears of it within so long, also where nobody touches it. */
const LOOKED_AGAIN_MS = 15_000;

interface WhoIsHere {
  readonly role: Role;
  readonly session: SessionState | undefined;
  /** A device that was paired, and is not known yet: what it may see is not known either. */
  readonly isWaiting: boolean;
}

/** Who is here. Until that is known everything is shown as to the owner: the server tells nobody else anything. */
export function useRole(): WhoIsHere {
  const { data: session } = useSWR('/session', get<SessionState>, {
    refreshInterval: (latest) => (latest?.isOpened ? LOOKED_AGAIN_MS : 0),
  });
  const isOut = session !== undefined && !session.isKnown;
  useEffect(() => {
    if (isOut) askWhoComes();
  }, [isOut]);
  return {
    role: session?.role ?? 'owner',
    session,
    isWaiting: session === undefined && pairedHere() !== null,
  };
}
