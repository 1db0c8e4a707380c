import {
  blankPart,
  blankPattern,
  BLANK_STEP,
  blankUse,
  type Amount,
  type Part,
  type Pattern,
  type Step,
  type Use,
} from '../pattern/index.ts';
import type { Needle } from '../shelf/index.ts';
import type { Making, MakingLine, MakingPiece, MakingStep } from './making.ts';
import type { NewId } from './makingOf.ts';
import { tookOfLine } from './took.ts';

/**
 * A draft of what was made first: a part for each piece that was named, with its wool as it was weighed, and the steps with
 * needles and minutes as they were. Shapes are not known of it: its pieces are by their grams.
 */
export function draftOf(making: Making, needles: ReadonlyMap<string, Needle>, newId: NewId): Pattern {
  const names = [...new Set(making.lines.map(({ name }) => name.trim()))].filter((name) => name !== '');
  const parts = names.map((name) =>
    partOf(
      name,
      making.lines.filter((line) => line.name.trim() === name),
      making.pieces.find((piece) => piece.name.trim() === name) ?? null,
      newId,
    ),
  );
  return {
    ...blankPattern(making.title),
    parts,
    steps: making.steps.map((step) => stepOf(step, parts, needles, newId)),
    weighedMakeG: making.wholeG,
  };
}

function partOf(name: string, lines: readonly MakingLine[], piece: MakingPiece | null, newId: NewId): Part {
  const took = lines.map(tookOfLine);
  const massG = took.reduce<number>((sum, grams) => sum + Math.max(0, grams ?? 0), 0);
  const rolled = piece?.rolledMm ?? null;
  const felted = piece?.feltedMm ?? null;
  return {
    ...blankPart(newId(), name),
    shape: { kind: 'by-grams', massG: massG > 0 ? massG : null },
    firmness: lines.find(({ role }) => role === 'core')?.firmness ?? lines[0]?.firmness ?? 'firm',
    uses: lines.map((line, at) => useOf(line, took[at] ?? null, newId)),
    sample:
      rolled === null && felted === null
        ? null
        : {
            rolled: rolled === null ? null : { value: rolled, unit: 'mm' },
            felted: felted === null ? null : { value: felted, unit: 'mm' },
            massG: piece?.massG ?? null,
            sizeFraction: 1,
          },
  };
}

function useOf({ role, fibreId, hand, note }: MakingLine, tookG: number | null, newId: NewId): Use {
  const weighed: Amount | null =
    tookG !== null && tookG > 0 ? { form: 'grams', massG: tookG, highG: null, isWeighed: true } : null;
  const byHand: Amount | null = hand ? { form: 'hand', measure: hand.name, count: hand.count } : null;
  return {
    ...blankUse(newId(), role, fibreId),
    amount: weighed ?? byHand,
    alsoSaid: weighed && byHand ? [byHand] : [],
    words: note,
  } as Use;
}

function stepOf(
  { text, stage, minutes, needleId }: MakingStep,
  parts: readonly Part[],
  needles: ReadonlyMap<string, Needle>,
  newId: NewId,
): Step {
  const needle = needleId === null ? undefined : needles.get(needleId);
  const wording = text.toLowerCase();
  return {
    ...BLANK_STEP,
    id: newId(),
    text,
    stage,
    minutes: minutes === null ? null : Math.max(1, Math.round(minutes)),
    // A piece that is named in what was done is what it was done to.
    partIds: parts.filter(({ name }) => wording.includes(name.toLowerCase())).map(({ id }) => id),
    needle:
      needle?.gauge == null ? { by: 'stage' } : { by: 'gauge', gauge: needle.gauge, profile: needle.profile },
  };
}
