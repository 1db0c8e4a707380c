import { LONGEST_LINE, roundToMicrogram } from '../base/index.ts';
import type { LineFault } from './problem.ts';

/** Units a scale may say. International avoirdupois pound of 1959. */
export const SCALE_UNITS = { g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 } as const;
export type ScaleUnit = keyof typeof SCALE_UNITS;

/** The newest protocol this reads. */
const SCALE_PROTOCOL = 1;

/** One line of a scale, in grams whatever it said. */
export type ScaleLine =
  /** What it is: said when it is switched on, and when its unit is changed. */
  | { readonly kind: 'hello'; readonly unit: ScaleUnit; readonly stepG: number; readonly mostG: number }
  /** What it shows, less its tare. */
  | { readonly kind: 'reading'; readonly massG: number; readonly isStable: boolean }
  /** More than it carries; or lifted off. */
  | { readonly kind: 'fault'; readonly fault: 'over' | 'under' }
  | { readonly kind: 'tare'; readonly massG: number }
  | { readonly kind: 'battery'; readonly isLow: boolean };

export type LineRead =
  ScaleLine | { readonly kind: 'not_read'; readonly why: LineFault; readonly text: string };

const NUMBER = /^-?\d{1,7}(?:\.\d{1,6})?$/;

const notRead = (why: LineFault, text: string): LineRead => ({
  kind: 'not_read',
  why,
  text: text.slice(0, LONGEST_LINE),
});

/**
 * Reads one line. The protocol is ours, and plain (docs/scale.md):
 *
 *     scale 1 unit g step 0.1 most 500
 *     at 18.4 moving
 *     at 18.6 stable
 *     tare 3.2
 *     over | under
 *     battery low | battery ok
 *
 * @param unit that it said last
 * @returns null: nothing stands in it
 */
export function readScaleLine(text: string, unit: ScaleUnit): LineRead | null {
  if (text.length > LONGEST_LINE) return notRead('too_long', text);
  const words = text.trim().toLowerCase().split(/\s+/);
  const [first = '', second = '', third = ''] = words;
  const grams = (word: string, of: ScaleUnit = unit): number | null =>
    NUMBER.test(word) ? roundToMicrogram(Number(word) * SCALE_UNITS[of]) : null;
  switch (first) {
    case '':
      return null;
    case 'scale':
      return readHello(words, text);
    case 'at': {
      if (words.length !== 3 || (third !== 'stable' && third !== 'moving')) return notRead('unknown', text);
      const massG = grams(second);
      return massG === null
        ? notRead('number', text)
        : { kind: 'reading', massG, isStable: third === 'stable' };
    }
    case 'tare': {
      const massG = grams(second);
      if (words.length !== 2) return notRead('unknown', text);
      return massG === null ? notRead('number', text) : { kind: 'tare', massG };
    }
    case 'over':
    case 'under':
      return words.length === 1 ? { kind: 'fault', fault: first } : notRead('unknown', text);
    case 'battery':
      return words.length === 2 && (second === 'low' || second === 'ok')
        ? { kind: 'battery', isLow: second === 'low' }
        : notRead('unknown', text);
    default:
      return notRead('unknown', text);
  }
}

/** `scale 1 unit g step 0.1 most 500` */
function readHello(words: readonly string[], text: string): LineRead {
  const [, version = '', unitWord, unit = '', stepWord, step = '', mostWord, most = ''] = words;
  if (words.length !== 8 || unitWord !== 'unit' || stepWord !== 'step' || mostWord !== 'most')
    return notRead('unknown', text);
  if (version !== String(SCALE_PROTOCOL)) return notRead('version', text);
  if (!isUnit(unit)) return notRead('unknown', text);
  const [stepG, mostG] = [step, most].map((word) =>
    NUMBER.test(word) ? roundToMicrogram(Number(word) * SCALE_UNITS[unit]) : 0,
  );
  if (!stepG || !mostG || stepG < 0 || mostG < stepG) return notRead('number', text);
  return { kind: 'hello', unit, stepG, mostG };
}

const isUnit = (word: string): word is ScaleUnit => word in SCALE_UNITS;

/** Fewest digits that say it. */
const number = (massG: number, unit: ScaleUnit): string =>
  String(Number((massG / SCALE_UNITS[unit]).toFixed(6)));

/** A line as a scale says it. */
export function scaleLine(line: ScaleLine, unit: ScaleUnit): string {
  switch (line.kind) {
    case 'hello':
      return `scale ${SCALE_PROTOCOL} unit ${line.unit} step ${number(line.stepG, line.unit)} most ${number(line.mostG, line.unit)}`;
    case 'reading':
      return `at ${number(line.massG, unit)} ${line.isStable ? 'stable' : 'moving'}`;
    case 'tare':
      return `tare ${number(line.massG, unit)}`;
    case 'fault':
      return line.fault;
    case 'battery':
      return `battery ${line.isLow ? 'low' : 'ok'}`;
  }
}

/** What may be said to a scale, a word a line. */
export const SCALE_COMMANDS = ['tare', 'zero'] as const;
export type ScaleCommand = (typeof SCALE_COMMANDS)[number];
