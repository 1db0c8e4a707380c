import { studioPath } from '../api/studio.ts';
import { errorWords } from '../api/client.ts';
import { useRouteError } from 'react-router';

/** What is shown when a page fails: what happened, what was kept, what to do. */
export function PageError() {
  const error = useRouteError();
  return (
    <main className="sheet lone-sheet narrow">
      <h1>This page stumbled</h1>
      <p className="above-2">
        What you typed is kept in this browser and on the server. Open the page again; if it stumbles again,
        go <a href={`${studioPath}/`}>back to the bench</a>.
      </p>
      <p className="quiet small above-2">{errorWords(error)}</p>
    </main>
  );
}
