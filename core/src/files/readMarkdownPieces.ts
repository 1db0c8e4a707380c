import { type Length, parseLength } from '../base/index.ts';
import { blankCut, blankPart, type Count, type Cut, type Part } from '../pattern/index.ts';
import { reshape, type Shape, SHAPE_KINDS, SHAPE_SIZES, type SizeName } from '../shapes/index.ts';
import { FIRMNESSES } from '../shelf/index.ts';
import { SHAPE_WORDS, sizeWords } from '../words/index.ts';
import { unescaped } from './markdownMarks.ts';

const PIECE = /^- \*\*\d+ (.*)\*\*(?: ×(\S+))?: (.+); (\S+)$/;

/** A piece as our own Markdown tells it: name, number, shape, each size with how exactly it is meant. Null: none of ours. */
export function readPieceLine(line: string, newId: () => string): Part | null {
  const [, name, times, text = '', firmness] = PIECE.exec(line.slice(0, LONGEST_LINE)) ?? [];
  const known = FIRMNESSES.find((candidate) => candidate === firmness);
  const kind = kindOf(text);
  if (name === undefined || !known || !kind) return null;
  const blank = blankPart(newId(), unescaped(name).slice(0, 80));
  const rest = text.slice(SHAPE_WORDS[kind].length).replaceAll(/ \([^)]*\)/g, '');
  const sizes = rest.split(', ').filter((words) => words.trim() !== '');
  return {
    ...blank,
    count: countOf(times),
    firmness: known,
    shape: shapeOf(kind, sizes),
    exactness: exactnessOf(kind, sizes),
  };
}

/** Longest first: “flat, own outline” is not a “flat” anything. */
const kindOf = (text: string) =>
  [...SHAPE_KINDS]
    .sort((a, b) => SHAPE_WORDS[b].length - SHAPE_WORDS[a].length)
    .find((kind) => text === SHAPE_WORDS[kind] || text.startsWith(`${SHAPE_WORDS[kind]}, `));

function shapeOf(kind: Shape['kind'], sizes: readonly string[]): Shape {
  const bare = reshape({ kind: 'by-count' }, kind);
  if (bare.kind === 'by-grams') {
    const massG = Number.parseFloat(sizes[0] ?? '');
    return { kind: 'by-grams', massG: massG > 0 ? massG : null };
  }
  const read = SHAPE_SIZES[kind].map((name) => [name, sizeOf(name, sizes)?.length ?? null] as const);
  return { ...bare, ...Object.fromEntries(read) };
}

const exactnessOf = (kind: Shape['kind'], sizes: readonly string[]): Part['exactness'] =>
  SHAPE_SIZES[kind].flatMap((name: SizeName): Part['exactness'] => {
    const is = sizeOf(name, sizes)?.is;
    return is === undefined ? [] : [{ size: name, is }];
  });

function sizeOf(
  name: SizeName,
  sizes: readonly string[],
): { readonly length: Length | null; readonly is: 'exact' | 'free' | undefined } | null {
  const words = sizes.find((size) => size.startsWith(`${sizeWords(name)} `));
  if (words === undefined) return null;
  const value = words.slice(sizeWords(name).length + 1);
  const is = value.startsWith('exactly ') ? 'exact' : value.endsWith(' or as you like') ? 'free' : undefined;
  const parsed = parseLength(value.replace(/^(?:exactly|about) /, '').replace(/ or as you like$/, ''), 'mm');
  return { length: parsed.ok ? parsed.length : null, is };
}

/** `2`, `24–32`; “how many?” is nobody’s. */
function countOf(times: string | undefined): Count {
  if (times === undefined) return 1;
  const [low, high] = times.split('–').map(Number);
  if (low === undefined || !Number.isInteger(low) || low < 1) return null;
  return high !== undefined && Number.isInteger(high) && high > low ? { low, high } : low;
}

/** More than our own Markdown says of a piece or a cut. */
const LONGEST_LINE = 1000;

const CUT = /^- (.+?)(?: ×(\d+))?: ([^,]+)(?:, from .*)?$/;

/** A cut by its name, its number and its size: a length, or a panel. What it is cut from is not on this shelf. */
export function readCutLine(line: string, newId: () => string): Cut | null {
  const [, name, times, text = ''] = CUT.exec(line.slice(0, LONGEST_LINE)) ?? [];
  if (name === undefined) return null;
  const sizes = text.split(' × ').map((size) => {
    const parsed = parseLength(size, 'mm');
    return parsed.ok ? parsed.length : null;
  });
  const heading = {
    name: unescaped(name).slice(0, 80),
    count: Math.min(500, Math.max(1, Number(times ?? 1))),
  };
  const [length = null, width = null] = sizes;
  return sizes.length > 1
    ? ({ ...blankCut(newId(), 'panel'), ...heading, length, width } as Cut)
    : ({ ...blankCut(newId(), 'length'), ...heading, length } as Cut);
}
