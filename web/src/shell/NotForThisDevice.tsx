import type { Role } from '@lanakit/core/api';
import { Link, Navigate, useLocation } from 'react-router';

/** A place that a helper’s device has no business at. Where it comes in it goes on to what it is for. */
export function NotForThisDevice({ role }: { role: Role }) {
  const { pathname } = useLocation();
  if (role === 'learner') return <Navigate to="/pack" replace />;
  if (pathname === '/' || pathname === '/pair') return <Navigate to="/runs" replace />;
  return (
    <main className="sheet lone-sheet">
      <h1>Not for this device</h1>
      <p className="above-2">
        It weighs, packs and counts. What is here is for the owner of the studio.{' '}
        <Link to="/runs">To the runs</Link>.
      </p>
    </main>
  );
}
