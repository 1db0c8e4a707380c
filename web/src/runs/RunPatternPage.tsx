import { type PackPattern, patternOfPack, revisionsOfRun, showLengths } from '@lanakit/core';
import { choiceWords, sizedWords } from '@lanakit/core/words';
import { useMemo } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { ApiProblem } from '../api/client.ts';
import { useRevisionsById, useRun, useWool } from '../api/resources.ts';
import { Reading } from '../reading/Reading.tsx';
import { Loading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';

/** The pattern as whoever opens one pack makes it: `?pack=NUMBER`, of a box also `&design=PLACE`. */
export function RunPatternPage() {
  const { id = '' } = useParams();
  const [params] = useSearchParams();
  const [number, at] = [Number(params.get('pack')), Number(params.get('design'))];
  const { data: run, error } = useRun(id);
  const input = run ? (run.frozen?.input ?? run) : null;
  const ids = useMemo(() => (input ? revisionsOfRun(input) : []), [input]);
  const revisions = useRevisionsById(ids);
  const shelf = useWool();
  const found = useMemo(() => {
    if (!input || !revisions.data) return undefined;
    const designs = new Map(revisions.data.map((own) => [own.id, own.document]));
    return patternOfPack(designs, input, number, at);
  }, [input, revisions.data, number, at]);
  if ((error instanceof ApiProblem && error.problem.status === 404) || found === null) return <NotFound />;
  if (!found || !input || !shelf.isReady) {
    return <Loading error={error ?? revisions.error ?? shelf.error} />;
  }
  const { make, build } = found;
  const revision = revisions.data?.find((own) => own.id === make.revisionId);
  return (
    <Reading
      whole={make.pattern}
      build={build}
      wool={shelf.wool}
      usualReader="kit"
      what={[whose(found, number), ...makes(found), `revision ${revision?.number ?? ''}`].join(' · ')}
      notes={notesOf(found)}
      back={<Link to={`/runs/${id}`}>← {input.name}</Link>}
    />
  );
}

const whose = ({ seat }: PackPattern, number: number): string =>
  seat ? `for ${seat.name.trim() || `seat ${number}`}` : `as in box ${number}`;

const makes = ({ make: { pattern, choices, sizeFraction } }: PackPattern): string[] =>
  [choiceWords(pattern, choices), sizedWords(sizeFraction)].filter((words) => words !== '');

/** Before the first step: the size, where words are older than it, and the hand. */
function notesOf({ make: { sizeFraction, build }, seat }: PackPattern): string[] {
  const { finishedHeight } = build;
  const tall = finishedHeight ? `${showLengths([finishedHeight])} tall. ` : '';
  return [
    ...(sizeFraction === 1
      ? []
      : [
          `${tall}Pieces and cuts are given in this size; a length in the words of a step is as it was written: take it times ${sizeFraction}. Bought things stay as they are.`,
        ]),
    ...(seat?.isLeftHanded ? ['For the left hand: what is wound goes the other way round.'] : []),
  ];
}
