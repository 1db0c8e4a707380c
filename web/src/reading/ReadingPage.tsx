import { resolveBuild } from '@lanakit/core/build';
import type { Wool } from '@lanakit/core/engine';
import { type Choices, NO_CHOICES, type Pattern, surroundingsOf } from '@lanakit/core/pattern';
import type { RemarkLine } from '@lanakit/core/words';
import { Checkbox } from 'antd';
import { useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { ApiProblem } from '../api/client.ts';
import { usePatternNames } from '../api/patternNames.ts';
import { useDocumentOf, useWool } from '../api/queries.ts';
import { ChoiceFields } from '../ui/fields/ChoiceFields.tsx';
import { Loading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { ProofContext, proofNotes } from './proofNotes.ts';
import { ProofReading } from './ProofReading.tsx';
import { ReadingSheets } from './ReadingSheets.tsx';

/** The pattern as its learner sees it: the draft, or a revision (`?revision=ID`). */
export function ReadingPage() {
  const { id = '' } = useParams();
  const [params] = useSearchParams();
  const revisionId = params.get('revision');
  const found = useDocumentOf(id, revisionId);
  const shelf = useWool();
  const error = found.error ?? shelf.error;
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  const { document } = found;
  if (!document || !shelf.isReady) return <Loading error={error} />;
  return (
    <ReadPattern
      id={id}
      revisionId={revisionId}
      document={document}
      wool={shelf.wool}
      what={found.revisionNumber === null ? 'draft' : `revision ${found.revisionNumber}`}
    />
  );
}

interface ReadPatternProps {
  id: string;
  revisionId: string | null;
  document: Pattern;
  wool: Wool;
  what: string;
}

/** With its options to choose from. */
function ReadPattern({ id, revisionId, document, wool, what }: ReadPatternProps) {
  const [choices, setChoices] = useState<Choices>(NO_CHOICES);
  const build = useMemo(() => resolveBuild(document, choices), [document, choices]);
  const colourway = document.colourways.find((candidate) => candidate.id === choices.colourwayId)?.name;
  const names = usePatternNames().data?.items;
  const surroundings = useMemo(() => {
    const { title, series, related } = document;
    return surroundingsOf({ id, title, series, related }, names ?? []);
  }, [id, document, names]);
  const [isProof, setProof] = useState(false);
  const [lines, setLines] = useState<readonly RemarkLine[]>([]);
  const notes = useMemo(() => proofNotes(lines), [lines]);
  return (
    <ProofContext value={isProof ? notes : null}>
      <ReadingSheets
        sheets={[
          {
            key: 'one',
            whole: document,
            build,
            what: [colourway, what].filter((word) => word).join(' · '),
            surroundings,
          },
        ]}
        wool={wool}
        usualReader="pattern"
        back={<Link to={`/patterns/${id}`}>← back to writing</Link>}
      >
        <ChoiceFields pattern={document} choices={choices} onChoose={setChoices} />
        <Link to={`/patterns/${id}/guide${revisionId === null ? '' : `?revision=${revisionId}`}`}>
          Guide at true size
        </Link>
        <Checkbox checked={isProof} onChange={(event) => setProof(event.target.checked)}>
          for proof-reading
        </Checkbox>
        {isProof && <ProofReading document={document} wool={wool} onRead={setLines} />}
      </ReadingSheets>
    </ProofContext>
  );
}
