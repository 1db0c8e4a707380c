import {
  type Length,
  showNumber,
  showSizesIn,
  showTypedLength,
  toMm,
  type UnitsShown,
} from '../base/index.ts';
import type { Amount, Pattern, UseOf, WoolUse } from '../pattern/index.ts';
import { counted, showCount, showGramRange, showGrams } from './amounts.ts';
import { joinWords } from './cutWords.ts';

const UNKNOWN = 'how much is not said';

/** A length as its author typed it, and where both units are wanted in the other one too. */
export function lengthWords(length: Length, { lengthUnit, showsBothUnits }: UnitsShown): string {
  const typed = showTypedLength(length);
  if (!showsBothUnits) {
    return length.unit === lengthUnit
      ? typed
      : showSizesIn([toMm(length)], { lengthUnit, showsBothUnits: false });
  }
  const other = showSizesIn([toMm(length)], {
    lengthUnit: length.unit === 'mm' ? 'in' : 'mm',
    showsBothUnits: false,
  });
  return `${typed} (${other})`;
}

function rangeOf(low: Length | null, high: Length | null, units: UnitsShown): string | null {
  if (low === null) return null;
  if (high === null) return lengthWords(low, units);
  const [from, to] = [lengthWords(low, units), lengthWords(high, units)];
  // 8–9 in: the unit is said once.
  const unit = / (?:mm|in)$/.exec(to)?.[0];
  return `${unit !== undefined && from.endsWith(unit) ? from.slice(0, -unit.length) : from}–${to}`;
}

type Names = Pick<Pattern, 'shared' | 'parts'> & UnitsShown;

/**
 * What hands do to get an amount, as its author states it: `a strip of batt 20 × 5 cm`, `2 pinches`. Empty for grams,
 * which stand beside it, and where the author leaves it to the shape.
 */
export function statedWords(amount: Amount | null, pattern: Names): string {
  if (amount === null) return '';
  switch (amount.form) {
    case 'grams':
      return '';
    case 'strip': {
      const [length, width] = [
        rangeOf(amount.length, amount.highLength, pattern),
        rangeOf(amount.width, amount.highWidth, pattern),
      ];
      if (length === null || width === null) return `a strip of batt, ${UNKNOWN}`;
      const depth = amount.depth ? `, ${lengthWords(amount.depth, pattern)} high` : '';
      return `a strip of batt ${length} × ${width}${depth}`;
    }
    case 'sheet':
      return amount.length && amount.width
        ? `a piece ${lengthWords(amount.length, pattern)} × ${lengthWords(amount.width, pattern)}`
        : `a piece of sheet, ${UNKNOWN}`;
    case 'tops': {
      const length = rangeOf(amount.length, amount.highLength, pattern);
      const split = amount.ways > 1 ? `, split lengthwise in ${amount.ways}` : '';
      return length === null ? `a length, ${UNKNOWN}` : `${length} of it${split}`;
    }
    case 'hand':
      return amount.count === null ? UNKNOWN : countedHands(amount.count, amount.measure);
    case 'equal-part':
      return amount.lotG === null || amount.parts === null
        ? `an equal part, ${UNKNOWN}`
        : `one of ${showNumber(amount.parts, 1)} equal parts of ${showGrams(amount.lotG)}`;
    case 'shared':
      return `its share of ${weightName(amount.sharedId, pattern)}`;
    case 'rest':
      return `what is left of ${weightName(amount.sharedId, pattern)}`;
    case 'relative':
      return amount.fraction === null
        ? UNKNOWN
        : `${shareWords(amount.fraction)} ${useName(amount.ofUseId, pattern)}`;
    case 'at-most':
      return amount.massG === null ? UNKNOWN : `at most ${showGrams(amount.massG)}`;
    case 'turns':
      return amount.turns === null ? UNKNOWN : counted(amount.turns, 'turn');
    case 'tufts':
      return amount.count === null
        ? UNKNOWN
        : `${counted(amount.count, 'tuft')}, a staple long${amount.ways > 1 ? `, split in ${amount.ways}` : ''}`;
    case 'locks':
      return joinWords(
        amount.grades.map(({ name, count }) =>
          [count === null ? 'some' : showNumber(count, 0), name || (count === 1 ? 'lock' : 'locks')].join(
            ' ',
          ),
        ),
      );
    case 'trimmings':
      return `trimmings of ${useName(amount.ofUseId, pattern)}`;
    case 'until':
      return UNTIL_WORDS[amount.what];
  }
}

const UNTIL_WORDS = {
  size: 'until it has its size',
  cover: 'until nothing shows through',
  fit: 'until it fits',
} as const;

const PLURALS = { wisp: 'wisps', pinch: 'pinches', tuft: 'tufts' } as const;

const countedHands = (count: number, measure: keyof typeof PLURALS): string =>
  counted(count, measure, PLURALS[measure]);

const shareWords = (fraction: number): string =>
  fraction === 0.5
    ? 'half of'
    : fraction === 0.25
      ? 'a quarter of'
      : fraction === 1
        ? 'as much as'
        : `${showNumber(fraction, 2)} times`;

const weightName = (sharedId: string | null, { shared }: Names): string => {
  const weight = shared.find(({ id }) => id === sharedId);
  if (!weight) return 'a weight that is not said';
  const grams =
    weight.massG === null ? 'not weighed yet' : showGramRange(weight.massG, weight.highG ?? weight.massG);
  return `“${weight.name || 'a weight'}”, ${grams} in all`;
};

const useName = (useId: string | null, { parts }: Names): string =>
  parts.find(({ uses }) => uses.some(({ id }) => id === useId))?.name.toLowerCase() ?? 'another';

/** Where a layer lies, if it is not simply all over: `2 dots of 3 mm`, `over half of it`. */
export function placeWords(use: WoolUse, units: UnitsShown): string {
  switch (use.role) {
    case 'core':
    case 'added':
      return '';
    case 'coat':
      return [coverWords(use, units), thicknessWords(use)].filter((words) => words !== '').join(', ');
    case 'patch':
      return `${showCount(use.count)} × ${sizeOrNot(use.length, units)} × ${sizeOrNot(use.width, units)}`;
    case 'line':
      return `${showCount(use.count)} × ${sizeOrNot(use.length, units)} long`;
    case 'dot':
      return `${showCount(use.count)} × ${sizeOrNot(use.diameter, units)} across`;
    case 'hair':
      return `along ${sizeOrNot(use.line, units)}, hanging ${sizeOrNot(use.drop, units)}, ${use.weight}, held by its ${use.fixed}`;
  }
}

const sizeOrNot = (size: Length | null, units: UnitsShown): string =>
  size === null ? 'a size not said' : lengthWords(size, units);

function coverWords({ cover }: UseOf<'coat'>, units: UnitsShown): string {
  switch (cover.kind) {
    case 'all':
      return '';
    case 'share':
      return `over ${showNumber(cover.fraction * 100, 0)} % of it`;
    case 'patch':
      return `over ${sizeOrNot(cover.length, units)} × ${sizeOrNot(cover.width, units)}`;
  }
}

const thicknessWords = ({ thickness }: UseOf<'coat'>): string =>
  thickness.by === 'shading'
    ? `in ${counted(thickness.passes, 'thin pass', 'thin passes')}, to shine through`
    : '';
