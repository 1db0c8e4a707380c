import { type Length, wholeUp } from '../base/index.ts';
import {
  isWool,
  type Amount,
  type Cut,
  type Minutes,
  mmOrNull,
  type Part,
  type Pattern,
  type Step,
  type Taken,
  type Use,
  type WoolUse,
} from '../pattern/index.ts';

/** How far a figure may be scaled at once. */
export const RESIZE_BOUNDS = { min: 0.1, max: 10 } as const;

/** How a size of wool grows with the figure: a line with its length, a coat with its surface, a core with its volume. */
const POWER: Readonly<Record<WoolUse['role'], number>> = {
  core: 3,
  added: 3,
  dot: 3,
  coat: 2,
  patch: 2,
  hair: 2,
  line: 1,
};

/** Making takes longer with size, joining with girth; waits and talk stay. */
const MINUTES_POWER: Readonly<Record<Step['stage'], number>> = {
  skeleton: 1.5,
  core: 1.5,
  shape: 1.5,
  coat: 1.5,
  detail: 1.5,
  hair: 1.5,
  finish: 1.5,
  join: 1,
  mount: 1,
};

/** Undoes binary noise, far below anything that is measured; k and then 1/k bring back what was there. */
const round = (value: number): number => Number(value.toPrecision(12));

/**
 * The pattern with every length k times as long. Sizes of bought things, allowances of the hand, counts and wire stay;
 * grams that follow from sizes are worked out anew, grams that were stated grow with what they are for.
 * Words of the author's stay, marked with the size they were written for; a weighed sample stays what was weighed.
 * @param k linear factor, > 0
 * @param swaps bought things to take instead, new id by old
 */
export function resizePattern(
  pattern: Pattern,
  k: number,
  swaps: ReadonlyMap<string, string> = new Map(),
  stapleMmOf: (fibreId: string | null) => number | null = () => null,
): Pattern {
  const swap = (findingId: string | null) =>
    findingId === null ? null : (swaps.get(findingId) ?? findingId);
  return {
    ...pattern,
    finishedHeight: pattern.finishedHeight && times(pattern.finishedHeight, k),
    parts: pattern.parts.map((part) => resizePart(part, k, { swap, stapleMmOf })),
    stance: pattern.stance && { ...pattern.stance, flatAcross: orNull(pattern.stance.flatAcross, k) },
    poses: pattern.poses.map((pose) => ({
      ...pose,
      stance: pose.stance && { ...pose.stance, flatAcross: orNull(pose.stance.flatAcross, k) },
    })),
    joins: pattern.joins.map((join) => ({
      ...join,
      across: orNull(join.across, k),
      sink: orNull(join.sink, k),
      slot: join.slot && { length: orNull(join.slot.length, k), depth: orNull(join.slot.depth, k) },
      looseEnd: join.looseEnd && resizeLooseEnd(join.looseEnd, k),
      cover: join.cover && {
        ...join.cover,
        band: orNull(join.cover.band, k),
        wordsSizeFraction: round(join.cover.wordsSizeFraction / k),
      },
    })),
    cuts: pattern.cuts.map((cut) => ({
      ...resizeCut(cut, k),
      seat: cut.seat && { ...cut.seat, hangBy: orNull(cut.seat.hangBy, k) },
    })),
    findings: pattern.findings.map((use) => ({ ...use, findingId: swap(use.findingId) })),
    enclosures: pattern.enclosures.map((enclosure) => ({
      ...enclosure,
      findingId: swap(enclosure.findingId),
    })),
    swaps: pattern.swaps.map((ownSwap) => ({ ...ownSwap, to: resizeTaken(ownSwap.to, k) })),
    shared: pattern.shared.map((shared) => ({
      ...shared,
      massG: grown(shared.massG, k ** sharedPower(pattern, shared.id)),
      highG: grown(shared.highG, k ** sharedPower(pattern, shared.id)),
    })),
    steps: pattern.steps.map((step) => ({
      ...step,
      minutes: step.minutes === null ? null : longer(step.minutes, k ** MINUTES_POWER[step.stage]),
    })),
  };
}

const grown = (massG: number | null, by: number): number | null =>
  massG === null ? null : round(massG * by);

/** What is made takes longer; what is waited for does not. */
const longer = (minutes: Minutes, by: number): Minutes =>
  typeof minutes === 'number'
    ? round(minutes * by)
    : { low: round(minutes.low * by), high: round(minutes.high * by) };

const times = ({ value, unit }: Length, k: number): Length => ({ value: round(value * k), unit });
const orNull = (length: Length | null, k: number): Length | null => length && times(length, k);

/** A weight that cores share grows as cores do. */
function sharedPower({ parts }: Pattern, sharedId: string): number {
  const powers = parts.flatMap(({ uses }) =>
    uses.flatMap((use) =>
      isWool(use) && use.amount && 'sharedId' in use.amount && use.amount.sharedId === sharedId
        ? [POWER[use.role]]
        : [],
    ),
  );
  return powers.length === 0 ? 3 : Math.max(...powers);
}

interface ResizeTerms {
  readonly swap: (id: string | null) => string | null;
  /** How long a fibre's staple is; null: nobody knows. */
  readonly stapleMmOf: (fibreId: string | null) => number | null;
}

/** An end said in grams is as thick and as long: it grows as a roll does. */
const resizeLooseEnd = (end: NonNullable<Pattern['joins'][number]['looseEnd']>, k: number) => ({
  ...end,
  length: orNull(end.length, k),
  amount: end.amount?.by === 'grams' ? { ...end.amount, massG: grown(end.amount.massG, k ** 3) } : end.amount,
});

function resizePart(part: Part, k: number, terms: ResizeTerms): Part {
  const { sample } = part;
  return {
    ...part,
    margin: orNull(part.margin, k),
    shape: resizeShape(part.shape, k, part.holdsThickness),
    uses: part.uses.map((use) => resizeUse(use, k, part.holdsThickness, terms)),
    // What was measured was measured: only how large it was beside the part is other now.
    sample: sample && { ...sample, sizeFraction: round(sample.sizeFraction / k) },
  };
}

function resizeShape(shape: Part['shape'], k: number, holdsThickness: boolean): Part['shape'] {
  if (holdsThickness && 'thickness' in shape) return { ...scaled(shape, k), thickness: shape.thickness };
  if (shape.kind === 'by-grams') {
    return { ...shape, massG: shape.massG === null ? null : round(shape.massG * k ** 3) };
  }
  // A sleeve's wire is bought as thick as it is.
  return shape.kind === 'sleeve' ? { ...scaled(shape, k), wire: shape.wire } : scaled(shape, k);
}

/** Every length right in this object, times k. */
function scaled<T extends object>(value: T, k: number): T {
  const entries = Object.entries(value).map(([key, inner]: [string, unknown]) => [
    key,
    isLength(inner) ? times(inner, k) : inner,
  ]);
  return Object.fromEntries(entries) as T;
}

const isLength = (value: unknown): value is Length =>
  typeof value === 'object' && value !== null && 'unit' in value && 'value' in value;

function resizeUse(use: Use, k: number, holdsThickness: boolean, { swap, stapleMmOf }: ResizeTerms): Use {
  if (use.role === 'insert') return { ...use, findingId: swap(use.findingId) };
  if (use.role === 'needled') return scaled(use, k);
  const power = holdsThickness ? Math.min(2, POWER[use.role]) : POWER[use.role];
  const other = (amount: Amount) => resizeAmount(amount, k ** power, k, stapleMmOf(use.fibreId));
  const resized = scaled(
    {
      ...use,
      amount: use.amount && other(use.amount),
      alsoSaid: use.alsoSaid.map(other),
      wordsSizeFraction: round(use.wordsSizeFraction / k),
    },
    k,
  );
  return resized.role === 'coat' ? { ...resized, cover: scaled(resized.cover, k) } : resized;
}

/** Wool taken for a thing grows as dots do; bought things stay as they are. */
const resizeTaken = (to: Taken, k: number): Taken =>
  to.kind === 'dots'
    ? { ...to, diameter: orNull(to.diameter, k), eachG: grown(to.eachG, k ** POWER.dot) }
    : to;

/** What tops usually are, where nobody has said: a shorter piece of them cannot be pulled off, mm. */
const USUAL_STAPLE_MM = 75;

/**
 * A length of tops for so many times the grams. It never falls under the staple, or it could not be pulled off: it is then
 * split lengthwise in more instead, and the grams are the same.
 */
function resizeTops(
  amount: Extract<Amount, { form: 'tops' }>,
  growth: number,
  stapleMm: number | null,
): Amount {
  const lengthMm = mmOrNull(amount.length);
  const leastMm = Math.min(lengthMm ?? 0, stapleMm ?? USUAL_STAPLE_MM);
  const times =
    lengthMm === null || lengthMm * growth >= leastMm ? 1 : wholeUp(leastMm / (lengthMm * growth));
  const ways = Math.min(MOST_WAYS, amount.ways * times);
  const by = growth * (ways / amount.ways);
  return { ...amount, ways, length: orNull(amount.length, by), highLength: orNull(amount.highLength, by) };
}

const MOST_WAYS = 64;

/** A stated amount that comes to `growth` times the grams. What is counted by hand stays: a bigger pinch is no pinch. */
function resizeAmount(amount: Amount, growth: number, k: number, stapleMm: number | null): Amount {
  const grams = (massG: number | null) => (massG === null ? null : round(massG * growth));
  switch (amount.form) {
    case 'grams':
      return { ...amount, massG: grams(amount.massG), highG: grams(amount.highG) };
    case 'at-most':
      return { ...amount, massG: grams(amount.massG) };
    case 'equal-part':
      return { ...amount, lotG: grams(amount.lotG) };
    case 'tops':
      return resizeTops(amount, growth, stapleMm);
    case 'strip':
      return {
        ...amount,
        length: orNull(amount.length, Math.sqrt(growth)),
        width: orNull(amount.width, Math.sqrt(growth)),
        highLength: orNull(amount.highLength, Math.sqrt(growth)),
        highWidth: orNull(amount.highWidth, Math.sqrt(growth)),
      };
    case 'sheet':
      // Torn as deep as before; longer and wider alike.
      return {
        ...amount,
        length: orNull(amount.length, Math.sqrt(growth)),
        width: orNull(amount.width, Math.sqrt(growth)),
      };
    case 'turns':
      return { ...amount, girth: orNull(amount.girth, k) };
    case 'hand':
    case 'tufts':
    case 'locks':
    case 'shared':
    case 'rest':
    case 'relative':
    case 'trimmings':
    case 'until':
      return amount;
  }
}

/** What hands, knots and materials need stays; what runs along the figure grows. */
function resizeCut(cut: Cut, k: number): Cut {
  switch (cut.kind) {
    case 'wire':
      return {
        ...cut,
        segments: cut.segments.map((segment) => ({ ...segment, length: orNull(segment.length, k) })),
      };
    case 'covering':
      return { ...cut, over: orNull(cut.over, k) };
    case 'cord':
      return cut.isScaled ? { ...cut, drop: orNull(cut.drop, k) } : cut;
    case 'binding':
      return { ...cut, girth: orNull(cut.girth, k), seam: orNull(cut.seam, k) };
    case 'whisker':
      return { ...cut, span: orNull(cut.span, k) };
    case 'rolled-strip':
      return { ...cut, length: orNull(cut.length, k), diameter: orNull(cut.diameter, k) };
    case 'length':
      return { ...cut, length: orNull(cut.length, k) };
    case 'panel':
      return { ...cut, length: orNull(cut.length, k), width: orNull(cut.width, k) };
    case 'tube-panel':
      return { ...cut, height: orNull(cut.height, k), diameter: orNull(cut.diameter, k) };
    case 'cone-panel':
      return {
        ...cut,
        bottomDiameter: orNull(cut.bottomDiameter, k),
        topDiameter: orNull(cut.topDiameter, k),
        height: orNull(cut.height, k),
      };
    case 'pouch-square':
      return { ...cut, base: orNull(cut.base, k), wall: orNull(cut.wall, k) };
    case 'handle':
      return { ...cut, diameter: orNull(cut.diameter, k) };
  }
}
