import { Link } from 'react-router';

export function NotFound() {
  return (
    <main className="sheet lone-sheet">
      <h1>Nothing lies here</h1>
      <p className="above-2">
        It may have been deleted, or the address is cut short. <Link to="/">Back to the bench</Link>.
      </p>
    </main>
  );
}
