import type { OpenedRun } from '@lanakit/core/api';

import { forWhom, packedForReader } from '@lanakit/core/papers';
import { type Designs, type Make, patternOfPack, patternsOfRun, type RunInput } from '@lanakit/core/run';
import { useMemo } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { ApiProblem } from '../api/client.ts';
import { useRun } from '../api/queries.ts';
import { ReadingSheets } from '../reading/ReadingSheets.tsx';
import type { Sheet } from '../reading/sheet.ts';
import { makeNotes, makeWords } from '@lanakit/core/words';
import { Loading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { counted } from '../words/show.ts';
import { runInputOf } from './useRunDraft.ts';
import { designsOf, useRunPlan } from './useRunPlan.ts';

interface ToRead {
  readonly make: Make;
  readonly build: Sheet['build'];
  readonly isLeftHanded: boolean;
  /** Seats or boxes it is for; none: only what is spare. */
  readonly numbers: readonly number[];
  /** Whose it is, and how often it is printed. */
  readonly whose: string;
}

/**
 * Patterns as the packs of a run are made by them: all of them, each once with how often it is printed, or that of one
 * pack (`?pack=NUMBER`, of a box also `&design=PLACE`).
 */
export function RunPatternPage() {
  const { id = '' } = useParams();
  const { data, error } = useRun(id);
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  return data ? <OfRun run={data} /> : <Loading error={error} />;
}

function OfRun({ run }: { run: OpenedRun }) {
  const [params] = useSearchParams();
  const [pack, design] = [params.get('pack'), Number(params.get('design'))];
  const asked = useMemo(() => runInputOf(run), [run]);
  const runPlan = useRunPlan(run.id, asked, run.frozen);
  if (runPlan.kind !== 'plan')
    return <Loading error={runPlan.kind === 'loading' ? runPlan.error : undefined} />;
  const { input, revisions, wool } = runPlan;
  const designs = designsOf(revisions);
  const found = pack === null ? allOf(designs, input) : oneOf(designs, input, Number(pack), design);
  if (found.length === 0) return <NotFound />;
  const sheets = found.map((sheet, at) => ({
    ...sheetOf(sheet, at, revisions.get(sheet.make.revisionId)?.number),
    isAlone: input.kind === 'kits',
    packed: packedForReader(runPlan, sheet.make, sheet.numbers),
  }));
  return (
    <ReadingSheets
      sheets={sheets}
      wool={wool}
      usualReader="kit"
      back={<Link to={`/runs/${run.id}`}>← {run.name}</Link>}
    >
      <Link to={`/runs/${run.id}/guide${pack === null ? '' : `?pack=${pack}`}`}>Guide at true size</Link>
    </ReadingSheets>
  );
}

const allOf = (designs: Designs, input: RunInput): ToRead[] =>
  patternsOfRun(designs, input).map(({ copies, ...rest }) => ({
    ...rest,
    whose: `${counted(copies, 'copy', 'copies')}: ${forWhom(input, rest.numbers, copies)}`,
  }));

function oneOf(designs: Designs, input: RunInput, number: number, design: number): ToRead[] {
  const found = patternOfPack(designs, input, number, design);
  return found
    ? [
        {
          ...found,
          isLeftHanded: found.seat?.isLeftHanded ?? false,
          numbers: [number],
          whose: forWhom(input, [number], 1),
        },
      ]
    : [];
}

const sheetOf = (
  { make, build, isLeftHanded, whose }: ToRead,
  at: number,
  revision: number | undefined,
): Sheet => ({
  key: `${at} ${make.revisionId}`,
  whole: make.pattern,
  build,
  what: [whose, ...makeWords(make.pattern, make), `revision ${revision ?? ''}`].join(' · '),
  notes: makeNotes(build, { ...make, isLeftHanded }),
});
