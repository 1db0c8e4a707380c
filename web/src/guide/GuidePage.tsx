import { apiPath } from '../api/studio.ts';
import type { Wool } from '@lanakit/core/engine';
import { guideOfPattern } from '@lanakit/core/papers';
import { type Choices, NO_CHOICES, type Pattern } from '@lanakit/core/pattern';
import { RESIZE_BOUNDS } from '@lanakit/core/resize';
import { InputNumber } from 'antd';
import { useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { ApiProblem } from '../api/client.ts';
import { useDocumentOf, useWool } from '../api/queries.ts';
import { isEqual } from '@lanakit/core/base';
import { Loading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { ChoiceFields } from '../ui/fields/ChoiceFields.tsx';
import styles from './Guide.module.css';
import { GuideSheets } from './GuideSheets.tsx';

/** The guide of a pattern: of its draft, or of a revision (`?revision=ID`). */
export function GuidePage() {
  const { id = '' } = useParams();
  const [params] = useSearchParams();
  const revisionId = params.get('revision');
  const found = useDocumentOf(id, revisionId);
  const shelf = useWool();
  const error = found.error ?? shelf.error;
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  const { document } = found;
  if (!document || !shelf.isReady) return <Loading error={error} />;
  return <OfPattern id={id} revisionId={revisionId} document={document} wool={shelf.wool} />;
}

interface OfPatternProps {
  id: string;
  revisionId: string | null;
  document: Pattern;
  wool: Wool;
}

function OfPattern({ id, revisionId, document, wool }: OfPatternProps) {
  const [choices, setChoices] = useState<Choices>(NO_CHOICES);
  const [percent, setPercent] = useState(100);
  const request = useMemo(
    () => guideOfPattern(document, choices, percent / 100),
    [document, choices, percent],
  );
  const query = new URLSearchParams({
    ...(revisionId !== null && { revision: revisionId }),
    ...(!isEqual(choices, NO_CHOICES) && { choices: JSON.stringify(choices) }),
    ...(percent !== 100 && { size: String(percent / 100) }),
  });
  return (
    <GuideSheets
      request={request}
      wool={wool}
      back={<Link to={`/patterns/${id}`}>← back to writing</Link>}
      base={apiPath(`/patterns/${id}/guide`)}
      query={query}
    >
      <span className={styles.ways}>
        <ChoiceFields pattern={document} choices={choices} onChoose={setChoices} />
        <label className={styles.size}>
          <span className="quiet small">size, % of what is written</span>
          <InputNumber
            size="small"
            aria-label="Size, per cent of what is written"
            min={RESIZE_BOUNDS.min * 100}
            max={RESIZE_BOUNDS.max * 100}
            value={percent}
            onChange={(value) => value !== null && setPercent(value)}
          />
        </label>
      </span>
    </GuideSheets>
  );
}
