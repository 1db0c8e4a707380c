import { useFound } from '../api/queries.ts';

interface MeantProps {
  /** What was searched for, and was not there. */
  search: string;
  onMeant: (words: string) => void;
}

/** Where nothing is called as it was typed: what was most likely meant, to be looked for instead. */
export function Meant({ search, onMeant }: MeantProps) {
  const meant = useFound(search).data?.meant ?? null;
  if (meant === null) return null;
  return (
    <>
      {' '}
      Did you mean{' '}
      <button type="button" className="plain-button" onClick={() => onMeant(meant)}>
        {meant}
      </button>
      ?
    </>
  );
}
