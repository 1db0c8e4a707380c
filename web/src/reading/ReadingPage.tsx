import {
  type Choices,
  estimatePattern,
  NO_CHOICES,
  type Pattern,
  type Reader,
  readingOf,
  resolveBuild,
  type Wool,
} from '@lanakit/core';
import { Button, Segmented } from 'antd';
import { useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { ApiProblem } from '../api/client.ts';
import { useDraftOf, useRevision, useWool } from '../api/resources.ts';
import { FigureStrip } from '../figure/FigureStrip.tsx';
import { piecesOf } from '../figure/pieces.ts';
import { ChoiceFields } from '../options/ChoicesBar.tsx';
import { Loading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { LEVEL_WORDS, showMinutes } from '../words/show.ts';
import styles from './Reading.module.css';
import { Sitting } from './Sitting.tsx';
import { PiecesToMake, YouNeed } from './YouNeed.tsx';

const READER_WORDS: readonly { value: Reader; label: string }[] = [
  { value: 'kit', label: 'with the kit' },
  { value: 'pattern', label: 'with the pattern only' },
];

/** The pattern as its learner sees it: the draft, or a revision (`?revision=ID`). */
export function ReadingPage() {
  const { id = '' } = useParams();
  const [params] = useSearchParams();
  const revisionId = params.get('revision');
  const draft = useDraftOf(revisionId === null ? id : null);
  const revision = useRevision(revisionId);
  const shelf = useWool();
  const error = draft.error ?? revision.error ?? shelf.error;
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  const document = revision.data?.document ?? draft.data?.document;
  if (!document || !shelf.isReady) return <Loading error={error} />;
  return (
    <ReadPattern
      id={id}
      document={document}
      wool={shelf.wool}
      what={revision.data ? `revision ${revision.data.number}` : 'draft'}
    />
  );
}

interface ReadPatternProps {
  id: string;
  document: Pattern;
  wool: Wool;
  what: string;
}

function ReadPattern({ id, document, wool, what }: ReadPatternProps) {
  const [choices, setChoices] = useState<Choices>(NO_CHOICES);
  const [reader, setReader] = useState<Reader>('pattern');
  const build = useMemo(() => resolveBuild(document, choices), [document, choices]);
  const estimate = useMemo(() => estimatePattern(build, wool), [build, wool]);
  const reading = useMemo(() => readingOf(build, estimate, wool, reader), [build, estimate, wool, reader]);
  const pieces = useMemo(
    () => piecesOf(build, estimate, wool.fibres, 'front', document),
    [build, estimate, wool, document],
  );
  const colourway = document.colourways.find((one) => one.id === choices.colourwayId)?.name;
  return (
    <main className={styles.desk}>
      <div className={`${styles.tools} no-print`}>
        <Link to={`/patterns/${id}`}>← back to writing</Link>
        <span className={styles.ways}>
          <Segmented<Reader>
            aria-label="Who reads it"
            value={reader}
            onChange={setReader}
            options={[...READER_WORDS]}
          />
          <Button type="primary" onClick={() => window.print()}>
            Print
          </Button>
        </span>
        <ChoiceFields pattern={document} choices={choices} onChoose={setChoices} />
      </div>
      <article className={styles.paper}>
        <header className={styles.head}>
          <div>
            <h1>{build.title}</h1>
            <p>
              {LEVEL_WORDS[reading.level]} · {showMinutes(estimate.minutes.known)} at the author’s pace
              {estimate.waiting.known > 0 && `, and ${showMinutes(estimate.waiting.known)} of waiting`}
              {colourway && ` · ${colourway}`} · {what}
            </p>
            {reading.credits.map((credit) => (
              <p key={credit}>{credit}</p>
            ))}
          </div>
          <FigureStrip pieces={pieces} width={300} height={110} />
        </header>
        {build.prerequisites !== '' && (
          <p>
            <b>Before you begin:</b> {build.prerequisites}
          </p>
        )}
        {build.sidesSeen !== null && (
          <p className={styles.small}>
            Left and right are {build.sidesSeen === 'figure' ? 'the figure’s own' : 'as you look at it'}.
          </p>
        )}
        <YouNeed build={build} estimate={estimate} wool={wool} tools={reading.tools} reader={reader} />
        <PiecesToMake build={build} estimate={estimate} whole={document} />
        {reading.sessions.map((sitting, index) => (
          <Sitting key={sitting.session?.id ?? index} sitting={sitting} build={build} />
        ))}
        <footer className={styles.foot}>
          Barbed needles are sharp and break: look at the work, pad beneath it. Not a toy for small children.
          What is sold falls under local rules; where in doubt, ask someone qualified.
        </footer>
      </article>
    </main>
  );
}
