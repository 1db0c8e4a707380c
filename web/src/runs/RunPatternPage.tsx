import {
  type Designs,
  type Make,
  patternOfPack,
  patternsOfRun,
  revisionsOfRun,
  type RunInput,
  seatName,
  seatsOf,
  showLengths,
} from '@lanakit/core';
import { ranges } from '@lanakit/core/papers';
import { choiceWords, sizedWords } from '@lanakit/core/words';
import { useMemo } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { ApiProblem } from '../api/client.ts';
import { useRevisionsById, useRun, useWool } from '../api/resources.ts';
import { Reading, type Sheet } from '../reading/Reading.tsx';
import { Loading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { counted } from '../words/show.ts';

interface ToRead {
  readonly make: Make;
  readonly build: Sheet['build'];
  readonly isLeftHanded: boolean;
  /** Whose it is, and how often it is printed. */
  readonly whose: string;
}

/**
 * Patterns as the packs of a run are made by them: all of them, each once with how often it is printed, or that of one
 * pack (`?pack=NUMBER`, of a box also `&design=PLACE`).
 */
export function RunPatternPage() {
  const { id = '' } = useParams();
  const [params] = useSearchParams();
  const [pack, design] = [params.get('pack'), Number(params.get('design'))];
  const { data: run, error } = useRun(id);
  const input = run ? (run.frozen?.input ?? run) : null;
  const ids = useMemo(() => (input ? revisionsOfRun(input) : []), [input]);
  const revisions = useRevisionsById(ids);
  const shelf = useWool();
  const sheets = useMemo(() => {
    if (!input || !revisions.data) return null;
    const designs = new Map(revisions.data.map((own) => [own.id, own.document]));
    const numbers = new Map(revisions.data.map((own) => [own.id, own.number]));
    const found = pack === null ? allOf(designs, input) : oneOf(designs, input, Number(pack), design);
    return found.map((own, at) => ({
      ...sheetOf(own, at, numbers.get(own.make.revisionId)),
      isAlone: input.kind === 'kits',
    }));
  }, [input, revisions.data, pack, design]);
  if ((error instanceof ApiProblem && error.problem.status === 404) || sheets?.length === 0)
    return <NotFound />;
  if (!sheets || !input || !shelf.isReady) {
    return <Loading error={error ?? revisions.error ?? shelf.error} />;
  }
  return (
    <Reading
      sheets={sheets}
      wool={shelf.wool}
      usualReader="kit"
      back={<Link to={`/runs/${id}`}>← {input.name}</Link>}
    />
  );
}

const allOf = (designs: Designs, input: RunInput): ToRead[] =>
  patternsOfRun(designs, input).map(({ numbers, copies, ...own }) => ({
    ...own,
    whose: `${counted(copies, 'copy', 'copies')}: ${forWhom(input, numbers, copies)}`,
  }));

function oneOf(designs: Designs, input: RunInput, number: number, design: number): ToRead[] {
  const found = patternOfPack(designs, input, number, design);
  return found
    ? [{ ...found, isLeftHanded: found.seat?.isLeftHanded ?? false, whose: forWhom(input, [number], 1) }]
    : [];
}

/** `for Ines, Bram, Seat 4, 2 spare or shown`; of boxes their numbers. */
function forWhom(input: RunInput, numbers: readonly number[], copies: number): string {
  const more = copies - numbers.length;
  if (input.kind === 'kits') {
    const spare = more > 0 ? `${more} spare` : '';
    return [numbers.length > 0 ? `boxes ${ranges(numbers)}` : '', spare]
      .filter((word) => word !== '')
      .join(', ');
  }
  const rest = more > 0 ? `${more} spare or shown` : '';
  const seats = seatsOf(input);
  const names = numbers.flatMap((number) => seats[number - 1] ?? []).map(seatName);
  return [names.length > 0 ? `for ${names.join(', ')}` : '', rest].filter((word) => word !== '').join(', ');
}

function sheetOf(
  { make, build, isLeftHanded, whose }: ToRead,
  at: number,
  revision: number | undefined,
): Sheet {
  const { pattern, choices, sizeFraction } = make;
  const makes = [choiceWords(pattern, choices), sizedWords(sizeFraction)].filter((words) => words !== '');
  return {
    key: `${at} ${make.revisionId}`,
    whole: pattern,
    build,
    what: [whose, ...makes, `revision ${revision ?? ''}`].join(' · '),
    notes: [...sizeNotes(make), ...(isLeftHanded ? [FOR_THE_LEFT_HAND] : [])],
  };
}

const FOR_THE_LEFT_HAND = 'For the left hand: what is wound goes the other way round.';

/** Words of steps are older than the size. */
function sizeNotes({ sizeFraction, build: { finishedHeight } }: Make): string[] {
  if (sizeFraction === 1) return [];
  const tall = finishedHeight ? `${showLengths([finishedHeight])} tall. ` : '';
  return [
    `${tall}Pieces and cuts are given in this size; a length in the words of a step is as it was written: take it times ${sizeFraction}. Bought things stay as they are.`,
  ];
}
