import { Navigate } from 'react-router';
import { useRole } from './useRole.ts';

/** Where the picture of a pairing code leads: who is let in goes on to their work, and not before. */
export function Paired() {
  const { session } = useRole();
  return session?.isKnown ? <Navigate to="/" replace /> : null;
}
