import { Type, type Static } from '@sinclair/typebox';
import { type At, type BaseProblem, type Bounds, checkWhole, strict } from '../base/index.ts';
import type { Placement } from '../pattern/index.ts';
import type { StartBody, StartPart } from './body.ts';
import { startId } from './startIds.ts';

/** A piece of a body as somebody wants it: called otherwise, more or fewer of it; the same piece twice is another like it. */
export const StartPiece = Type.Object(
  {
    like: Type.String({ maxLength: 60, description: 'the name of a piece of the body' }),
    name: Type.String({ maxLength: 60 }),
    count: Type.Number(),
  },
  strict,
);
export type StartPiece = Static<typeof StartPiece>;

export const PIECE_COUNT: Bounds = { min: 1, max: 12 };
export const MOST_PIECES = 24;

/** All pieces of a body, as it is written. */
export const piecesOfBody = ({ parts }: StartBody): StartPiece[] =>
  parts.map(({ name, count = 1 }) => ({ like: name, name, count }));

/** What everything else is set on: it cannot be left out. */
export const isRootPiece = ({ parts }: StartBody, like: string): boolean =>
  parts.some(({ name, on }) => name === like && on === undefined);

/** Another like one that is there, after the others like it, by a name nobody has. */
export function withAnother(pieces: readonly StartPiece[], like: string): StartPiece[] {
  const last = pieces.findLastIndex((piece) => piece.like === like);
  const taken = new Set(pieces.map(({ name }) => startId(name)));
  let number = 2;
  while (taken.has(startId(`${like} ${number}`))) number++;
  return pieces.toSpliced(last + 1, 0, { like, name: `${like} ${number}`, count: 1 });
}

/** What may be wrong with the pieces of a start. */
export type StartProblem = BaseProblem | (At & { readonly code: 'piece_name_taken'; readonly name: string });

/** One that was left out again, as the body has it and where the body has it: a host comes before what is set on it. */
export const withPieceBack = (body: StartBody, pieces: readonly StartPiece[], like: string): StartPiece[] =>
  piecesOfBody(body).flatMap((written) => {
    const there = pieces.filter((piece) => piece.like === written.like);
    return there.length === 0 && written.like === like ? [written] : there;
  });

/** Each has a name of its own, and is there so many times. */
export function checkPieces(pieces: readonly StartPiece[]): StartProblem[] {
  const taken = new Set<string>();
  return pieces.flatMap(({ name, count }, at): StartProblem[] => {
    const pointer = `/pieces/${at}`;
    const id = startId(name.trim());
    const isTaken = taken.has(id);
    taken.add(id);
    return [
      ...(name.trim() === '' ? [{ code: 'title_empty' as const, pointer: `${pointer}/name` }] : []),
      ...(isTaken
        ? [{ code: 'piece_name_taken' as const, pointer: `${pointer}/name`, name: name.trim() }]
        : []),
      ...checkWhole(count, PIECE_COUNT, `${pointer}/count`),
    ];
  });
}

/** A body with the pieces that are wanted of it. What is set on a piece that is left out is left out too; what all is set on stays. */
export function withPieces(body: StartBody, pieces: readonly StartPiece[]): StartBody {
  const root = body.parts.find(({ on }) => on === undefined);
  const isRootThere = pieces.some(({ like }) => like === root?.name);
  const wanted = root && !isRootThere ? [{ like: root.name, name: root.name, count: 1 }, ...pieces] : pieces;
  const hosts = new Map<string, string>();
  // In the order of the body: a host comes before what is set on it.
  const parts = body.parts.flatMap((part) => {
    if (part.on && !hosts.has(part.on.host)) return [];
    const made = wanted
      .filter(({ like }) => like === part.name)
      .map((piece, at) => pieceLike(part, piece, at, hosts));
    const [first] = made;
    if (first) hosts.set(part.name, first.name);
    return made;
  });
  const { wire, ...rest } = body;
  const through = wire && parts.find(({ name }) => name === hosts.get(wire.through));
  return {
    ...rest,
    stance: hungBy(body, hosts),
    parts,
    ...(wire && through && { wire: { ...wire, through: through.name, count: through.count ?? 1 } }),
  };
}

/** What it hangs by is called as it is called now; where that is left out, it hangs by what all is set on. */
function hungBy({ stance, parts }: StartBody, names: ReadonlyMap<string, string>): StartBody['stance'] {
  if (!stance?.hangAt) return stance;
  const { hangAt } = stance;
  const by = parts.find(({ name }) => startId(name) === hangAt.partId && names.has(name)) ?? parts[0];
  return { ...stance, hangAt: { ...hangAt, partId: startId(names.get(by?.name ?? '') ?? '') } };
}

/** Another beside a pair sits between them, before and behind; beside a single one, a quarter further round. */
const BETWEEN_DEG = [0, 180, 90, 270] as const;
const QUARTER_DEG = 90;

/** Null: as it is proposed, for as many as nobody has given places. */
function placeAfter(
  placement: Placement,
  { before, isAsMany, count }: { before: number; isAsMany: boolean; count: number },
): Placement | null {
  if (before === 0) return isAsMany ? placement : null;
  const [first] = placement.places;
  if (!first || count !== 1) return null;
  const aroundDeg =
    placement.rule === 'mirror'
      ? (BETWEEN_DEG[(before - 1) % BETWEEN_DEG.length] ?? 0)
      : (first.aroundDeg + before * QUARTER_DEG) % 360;
  return { ...placement, rule: 'each', places: [{ ...first, aroundDeg }] };
}

function pieceLike(
  part: StartPart,
  { name, count }: StartPiece,
  /** How many like it come before it. */
  before: number,
  hosts: ReadonlyMap<string, string>,
): StartPart {
  const { on, ...more } = part;
  if (!on) return { ...more, name: name.trim() };
  const { placement, ...join } = on;
  const place = placement && placeAfter(placement, { before, isAsMany: count === (part.count ?? 1), count });
  return {
    ...more,
    name: name.trim(),
    count,
    on: {
      ...join,
      host: hosts.get(on.host) ?? on.host,
      ...(place && { placement: place }),
    },
  };
}
