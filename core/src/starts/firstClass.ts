import { Type, type Static } from '@sinclair/typebox';
import {
  type Bounds,
  checkRange,
  discriminated,
  Id,
  isEqual,
  oneOf,
  orUnknown,
  strict,
} from '../base/index.ts';
import { estimatePattern, onlyFibres } from '../engine/index.ts';
import { putTogether, sizeOverAll } from '../figure/index.ts';
import type { Pattern, PatternProblem } from '../pattern/index.ts';
import { checkRun, RUN_DEFAULTS, type RunInput, type RunProblem, usualTerms } from '../run/index.ts';
import type { ShelfProblem } from '../shelf/index.ts';
import { START_BODIES, startBody } from './bodies.ts';
import type { StartBody } from './body.ts';
import { START_COLOURS } from './colours.ts';
import { startPattern, type StartWool } from './startPattern.ts';
import {
  checkPieces,
  MOST_PIECES,
  piecesOfBody,
  StartPiece,
  type StartProblem,
  withPieces,
} from './startPieces.ts';

/** Wool of the shelf, or a colour that is not on it yet. */
export const WoolChoice = discriminated('from', [
  Type.Object({ from: Type.Literal('shelf'), fibreId: Id }, strict),
  Type.Object({ from: Type.Literal('new'), colourId: oneOf(START_COLOURS.map(({ id }) => id)) }, strict),
]);
export type WoolChoice = Static<typeof WoolChoice>;

/** The short way: as much as it takes from nothing to packs; everything else is as is usual until it is asked for. */
export const FirstClassInput = Type.Object(
  {
    title: Type.String({ maxLength: 120 }),
    bodyId: oneOf(START_BODIES.map(({ id }) => id)),
    heightMm: Type.Number(),
    main: WoolChoice,
    second: WoolChoice,
    /** Left out: every piece of the body, as it is written. */
    pieces: Type.Optional(Type.Array(StartPiece, { maxItems: MOST_PIECES })),
    /** Who comes, and when; null: the pattern alone. */
    class: orUnknown(
      Type.Object(
        { people: Type.Number(), date: Type.String({ maxLength: 10, description: 'YYYY-MM-DD' }) },
        strict,
      ),
    ),
  },
  strict,
);
export type FirstClassInput = Static<typeof FirstClassInput>;

export const START_HEIGHT_MM: Bounds = { min: 20, max: 600 };

/** Where a run says of itself what the short way asks for. */
const ASKED_AS: Readonly<Record<string, string>> = { '/date': '/class/date', '/seats': '/class/people' };

/** The class as any run is checked, each problem beside what was asked for. */
const checkClass = (title: string, asked: NonNullable<FirstClassInput['class']>): RunProblem[] =>
  checkRun(firstRun(title, asked, '-')).flatMap((problem) => {
    const pointer = ASKED_AS[problem.pointer];
    return pointer === undefined ? [] : [{ ...problem, pointer }];
  });

/** What may be wrong with it, each beside its field. */
export function checkFirstClass(
  input: FirstClassInput,
  isOnShelf: (fibreId: string) => boolean,
): (PatternProblem | RunProblem | ShelfProblem | StartProblem)[] {
  const strange = (['main', 'second'] as const).flatMap((role) => {
    const choice = input[role];
    return choice.from === 'shelf' && !isOnShelf(choice.fibreId)
      ? [{ code: 'fibre_not_found' as const, pointer: `/${role}/fibreId`, fibreId: choice.fibreId }]
      : [];
  });
  return [
    ...(input.title.trim() === '' ? [{ code: 'title_empty' as const, pointer: '/title' }] : []),
    ...checkRange(input.heightMm, START_HEIGHT_MM, '/heightMm'),
    ...strange,
    ...checkPieces(input.pieces ?? []),
    ...(input.class ? checkClass(input.title, input.class) : []),
  ];
}

/** Without its head, or with larger ears, it is another height than it was written with: that is measured. */
function asHighAsItIs(body: StartBody): StartBody {
  const pattern = startPattern(body, { title: '', heightMm: null, wool: NO_WOOL });
  const { figure } = putTogether(pattern, estimatePattern(pattern, onlyFibres(new Map())), new Map());
  return { ...body, heightMm: sizeOverAll(figure)?.heightMm ?? body.heightMm };
}

const NO_WOOL: StartWool = { core: null, main: null, second: null, dark: null };

/** The pattern of the short way, its author’s own. */
export function firstPattern({ title, bodyId, heightMm, pieces }: FirstClassInput, wool: StartWool): Pattern {
  const body = startBody(bodyId);
  if (!body) throw new Error(`no body is called ${bodyId}`);
  const told = { title: title.trim(), heightMm, wool };
  const isAsWritten = !pieces || isEqual(pieces, piecesOfBody(body));
  return isAsWritten ? startPattern(body, told) : startPattern(asHighAsItIs(withPieces(body, pieces)), told);
}

/** The class of the short way: a spare pack, and a spare bag for all to come to. */
export const firstRun = (
  title: string,
  { people, date }: NonNullable<FirstClassInput['class']>,
  revisionId: string,
): RunInput => ({
  ...RUN_DEFAULTS,
  recipes: [],
  roster: [],
  swapIds: [],
  findingSpares: [],
  ownBags: [],
  ...usualTerms('class'),
  name: title.trim(),
  date,
  seats: people,
  revisionId,
});
