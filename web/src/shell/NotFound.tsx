import { Link } from 'react-router';

export function NotFound() {
  return (
    <main className="sheet" style={{ margin: 18, padding: 32 }}>
      <h1>Nothing lies here</h1>
      <p style={{ marginTop: 8 }}>
        It may have been deleted, or the address is cut short. <Link to="/">Back to the bench</Link>.
      </p>
    </main>
  );
}
