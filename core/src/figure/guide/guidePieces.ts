import type { PartEstimate, PatternEstimate } from '../../engine/index.ts';
import { countRange, type Part, type Pattern } from '../../pattern/index.ts';
import type { Finding } from '../../shelf/index.ts';
import { putTogether, type Together } from '../together/together.ts';
import { cutPieces } from './cutPieces.ts';
import type { GuideLine, GuidePiece, NotInGuide } from './guidePiece.ts';
import { isHanded } from './isHanded.ts';
import { keyOf } from './keyOf.ts';
import { marksOn } from './marksOn.ts';
import { type LooseEnd, partOutlines } from './partOutlines.ts';
import { type PlaceCard, placeCard } from './placeCard.ts';

/** One build to be held against paper. */
export interface GuideBuild {
  /** With its options resolved, in its size. */
  readonly build: Pattern;
  /** Which numbers its parts. */
  readonly whole: Pick<Pattern, 'parts'>;
  readonly estimate: PatternEstimate;
  readonly findings: ReadonlyMap<string, Finding>;
}

/** A piece of one or several builds. */
interface SharedGuidePiece {
  readonly piece: GuidePiece;
  /** Which of the builds it is of, from 0; rising. */
  readonly builds: readonly number[];
}

export interface GuidePieces {
  readonly pieces: readonly SharedGuidePiece[];
  /** The finished figure of each, once where they are the same. */
  readonly cards: readonly { readonly card: PlaceCard; readonly builds: readonly number[] }[];
  readonly missing: readonly NotInGuide[];
}

/** Every distinct piece of some builds: what is the same in several, its size and its marks too, is drawn once. */
export function guidePieces(builds: readonly GuideBuild[]): GuidePieces {
  const shared = new Map<string, { piece: GuidePiece; builds: number[] }>();
  const cards = new Map<string, { card: PlaceCard; builds: number[] }>();
  const missing = new Map<string, NotInGuide>();
  builds.forEach((guideBuild, at) => {
    const found = piecesOf(guideBuild);
    if (found.card) {
      const key = JSON.stringify(found.card);
      const before = cards.get(key);
      if (before) before.builds.push(at);
      else cards.set(key, { card: found.card, builds: [at] });
    }
    for (const piece of found.pieces) {
      const key = keyOf(piece);
      const before = shared.get(key);
      if (before) before.builds.push(at);
      else shared.set(key, { piece, builds: [at] });
    }
    for (const lacking of found.missing) missing.set(saidOf(lacking), lacking);
  });
  return { pieces: [...shared.values()], cards: [...cards.values()], missing: [...missing.values()] };
}

/** A copied design keeps the ids of its parts: what is said of them tells them apart. */
function saidOf({ of, why }: NotInGuide): string {
  const { id, name } = of.kind === 'part' ? of.part : of.cut;
  return JSON.stringify([why, id, name]);
}

function piecesOf({ build, whole, estimate, findings }: GuideBuild): {
  pieces: GuidePiece[];
  card: PlaceCard | null;
  missing: NotInGuide[];
} {
  const together = putTogether(build, estimate, findings);
  const pieces: GuidePiece[] = [];
  const missing: NotInGuide[] = [];
  for (const part of build.parts) {
    const number = whole.parts.findIndex(({ id }) => id === part.id) + 1;
    const partEstimate = estimate.parts.find(({ partId }) => partId === part.id);
    if (!partEstimate) continue;
    const lines = hasNoShape(part)
      ? []
      : partOutlines(part, partEstimate, looseEndsOf(part, build, estimate));
    if (lines.length === 0) {
      missing.push({
        of: { kind: 'part', part, number },
        why: hasNoShape(part) ? 'no_shape' : 'size_unknown',
      });
    } else {
      pieces.push(...handsOf({ part, number, estimate: partEstimate, lines, together, build }));
    }
  }
  const cut = cutPieces(build, estimate.cuts);
  return {
    pieces: [...pieces, ...cut.pieces],
    card: placeCard(together, build, whole, estimate),
    missing: [...missing, ...cut.missing],
  };
}

/** As many as there are, or by weight: whatever size they come to. */
const hasNoShape = ({ shape }: Part): boolean => shape.kind === 'by-count' || shape.kind === 'by-grams';

/** Where its joins leave it unfelted: at the end it is held by, and at the other where there are two. */
function looseEndsOf(part: Part, { joins }: Pattern, estimate: PatternEstimate): LooseEnd[] {
  const ends: LooseEnd[] = [];
  const add = (at: LooseEnd['at'], lengthMm: number) => {
    if (!ends.some((end) => end.at === at)) ends.push({ at, lengthMm });
  };
  for (const { id, partId, looseEnd, placement } of joins) {
    const lengthMm = estimate.joins.find(({ joinId }) => joinId === id)?.tailMm ?? 0;
    if (looseEnd?.partId !== part.id || lengthMm <= 0) continue;
    const isTip = partId !== part.id || placement?.heldBy === 'tip' || ends.some(({ at }) => at === 'base');
    const held = isTip ? 'tip' : 'base';
    add(held, lengthMm);
    if (looseEnd.ends === 2) add(held === 'tip' ? 'base' : 'tip', lengthMm);
  }
  return ends;
}

interface OfPart {
  readonly part: Part;
  readonly number: number;
  readonly estimate: PartEstimate;
  readonly lines: readonly GuideLine[];
  readonly together: Together;
  readonly build: Pattern;
}

/** One drawing of a part, and another one of its mirror image where that is not the same. */
function handsOf({ part, number, estimate, lines, together, build }: OfPart): GuidePiece[] {
  const placed = together.figure.pieces.filter(({ partId }) => partId === part.id);
  const first = placed.find(({ set }) => !set?.isImage) ?? placed[0];
  const marks = first ? marksOn(first, together, build) : [];
  const all = countRange(part.count)?.likely ?? null;
  const images = placed.filter(({ set }) => set?.isImage && set.placement.rule !== 'copy').length;
  const base = { kind: 'part', part, number, estimate, lines, marks } as const;
  if (images === 0 || !isHanded([...lines, ...marks])) return [{ ...base, count: all, isMirrored: false }];
  return [
    { ...base, count: all === null ? null : all - images, isMirrored: false },
    {
      ...base,
      count: images,
      isMirrored: true,
      lines: lines.map((line) => ({ ...line, points: line.points.map(flipped) })),
      marks: marks.map((mark) => ({ ...mark, points: mark.points.map(flipped) })),
    },
  ];
}

const flipped = ([x, y]: readonly [number, number]): [number, number] => [-x, y];
