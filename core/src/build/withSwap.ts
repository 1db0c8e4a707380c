import {
  blankUse,
  type Count,
  countRange,
  type FindingUse,
  forgetStrays,
  isWool,
  type Minutes,
  type Part,
  type Pattern,
  repeatsOf,
  type Step,
  stepOfFinding,
  type Swap,
  type Taken,
  takenKinds,
  type Use,
  type WoolUse,
} from '../pattern/index.ts';

/**
 * The pattern with one swap taken. Whatever it is of may be left out of this build, nothing may be chosen to take, or what
 * is chosen may not suit its place any more: then nothing changes, words and minutes neither.
 */
export function withSwap(pattern: Pattern, swapId: string): Pattern {
  const swap = pattern.swaps.find(({ id }) => id === swapId);
  if (!swap || !isThere(swap.of, pattern) || !takenKinds(swap.of, pattern).includes(swap.to.kind)) {
    return pattern;
  }
  const taken = withTaken(pattern, swap);
  if (taken === pattern) return pattern;
  return withSteps(withFelting(taken, pattern, swap), swap, stepOfSwap(swap, pattern));
}

function isThere({ kind, id }: Swap['of'], { parts, joins, findings, cuts }: Pattern): boolean {
  const lists = { use: parts.flatMap(({ uses }) => uses), join: joins, finding: findings, cut: cuts };
  return lists[kind].some((thing) => thing.id === id);
}

function withTaken(pattern: Pattern, swap: Swap): Pattern {
  const { of, to } = swap;
  switch (to.kind) {
    case 'fibre':
      return to.fibreId === null ? pattern : withFibre(pattern, swap, to.fibreId);
    case 'finding': {
      if (to.findingId === null) return pattern;
      const use = pattern.parts.flatMap(({ uses }) => uses).find(({ id }) => id === of.id);
      return of.kind === 'use' && use && isWool(use)
        ? withThingForWool(pattern, use, swap.amountFactor, to.findingId)
        : withFinding(pattern, swap, to.findingId);
    }
    case 'dots':
      return to.fibreId === null ? pattern : withWoolForThing(pattern, swap, to);
  }
}

/** Ids are unlike within their own list only. */
const isOf = (of: Swap['of'], kind: Swap['of']['kind'], { id }: { readonly id: string }): boolean =>
  of.kind === kind && of.id === id;

function withFibre(pattern: Pattern, { of, amountFactor }: Swap, fibreId: string): Pattern {
  return {
    ...pattern,
    parts: withUses(pattern.parts, (use) =>
      isOf(of, 'use', use) && isWool(use)
        ? { ...use, fibreId, amount: times(use.amount, amountFactor) }
        : use,
    ),
    joins: pattern.joins.map((join) =>
      isOf(of, 'join', join) && join.cover ? { ...join, cover: { ...join.cover, fibreId } } : join,
    ),
  };
}

function withFinding(pattern: Pattern, { of, amountFactor }: Swap, findingId: string): Pattern {
  return {
    ...pattern,
    parts: withUses(pattern.parts, (use) =>
      isOf(of, 'use', use) && use.role === 'insert' ? { ...use, findingId } : use,
    ),
    cuts: pattern.cuts.map((cut) =>
      isOf(of, 'cut', cut) ? { ...cut, findingId, count: wholes(cut.count, amountFactor) } : cut,
    ),
    findings: pattern.findings.map((finding) =>
      isOf(of, 'finding', finding)
        ? { ...finding, findingId, count: mapCount(finding.count, (count) => wholes(count, amountFactor)) }
        : finding,
    ),
  };
}

/** A thing for each dot, line or patch, or one for any other use, on every piece of its part. */
function withThingForWool(pattern: Pattern, use: WoolUse, factor: number, findingId: string): Pattern {
  const part = pattern.parts.find(({ uses }) => uses.includes(use));
  if (!part) return pattern;
  const onOne: Count = 'count' in use ? use.count : 1;
  const thing: FindingUse = {
    id: `${use.id.slice(0, 33)}-thing`,
    findingId,
    partId: part.id,
    count: countOf(onOne, part.count, (count, pieces) => wholes(count * pieces, factor)),
    // A thing in place of a dot sits where the dot sat.
    placement: 'placement' in use ? use.placement : null,
  };
  return forgetStrays({
    ...pattern,
    parts: pattern.parts.map((ownPart) =>
      ownPart === part ? { ...ownPart, uses: ownPart.uses.filter(({ id }) => id !== use.id) } : ownPart,
    ),
    findings: [...pattern.findings, thing],
  });
}

/** A dot for each thing, on the part it sits on, on each of whose pieces as many as it has of them. */
function withWoolForThing(
  pattern: Pattern,
  { of, amountFactor }: Swap,
  to: Extract<Taken, { kind: 'dots' }>,
): Pattern {
  const thing = pattern.findings.find(({ id }) => id === of.id);
  const part = pattern.parts.find(({ id }) => id === thing?.partId) ?? pattern.parts[0];
  if (!thing || !part) return pattern;
  const onOne = countOf(thing.count, part.count, (all, pieces) =>
    pieces > 0 ? wholes(all, amountFactor) / pieces : 0,
  );
  return forgetStrays({
    ...pattern,
    parts: pattern.parts.map((ownPart) =>
      ownPart === part ? { ...ownPart, uses: [...ownPart.uses, dotsOf(thing.id, to, onOne)] } : ownPart,
    ),
    findings: pattern.findings.filter(({ id }) => id !== thing.id),
  });
}

function dotsOf(thingId: string, to: Extract<Taken, { kind: 'dots' }>, count: Count): Use {
  const { eachG, fibreId, diameter } = to;
  const range = countRange(count);
  const amount: WoolUse['amount'] =
    eachG === null
      ? null
      : {
          form: 'grams',
          massG: range && eachG * range.low,
          highG: range && range.high > range.low ? eachG * range.high : null,
          isWeighed: false,
        };
  const dots = blankUse(`${thingId.slice(0, 34)}-dots`, 'dot', fibreId);
  return { ...dots, diameter, count, amount } as Use;
}

/** Two counts together; unknown where one of them is, a range where one of them is one. */
function countOf(a: Count, b: Count, join: (a: number, b: number) => number): Count {
  const [first, other] = [countRange(a), countRange(b)];
  if (!first || !other) return null;
  const [low, high] = [join(first.low, other.low), join(first.high, other.high)];
  return low === high ? low : { low: Math.min(low, high), high: Math.max(low, high) };
}

const mapCount = (count: Count, change: (count: number) => number): Count =>
  countOf(count, 1, (before) => change(before));

/** Whole things, and at least one. */
const wholes = (count: number, factor: number): number => Math.max(1, Math.round(count * factor));

/** Grams that were stated grow with the factor; what is calculated follows the fibre by itself. */
const times = (amount: WoolUse['amount'], factor: number): WoolUse['amount'] =>
  amount?.form === 'grams'
    ? {
        ...amount,
        massG: amount.massG === null ? null : amount.massG * factor,
        highG: amount.highG === null ? null : amount.highG * factor,
      }
    : amount;

const withUses = (parts: Part[], change: (use: Use) => Use): Part[] =>
  parts.map((part) => ({ ...part, uses: part.uses.map(change) }));

/** Where nothing is left to sew or glue on, what was sewn or glued is felted: its tools and cautions follow. */
function withFelting(taken: Pattern, before: Pattern, { of, to }: Swap): Pattern {
  const thing = to.kind === 'dots' ? before.findings.find(({ id }) => id === of.id) : undefined;
  const at = thing ? stepOfFinding(before, thing) : null;
  const step = at === null ? undefined : before.steps[at];
  const isEmptied =
    step !== undefined &&
    step.joinIds.length === 0 &&
    (step.act.kind === 'sew' || step.act.kind === 'glue') &&
    !taken.findings.some((finding) => stepOfFinding(taken, finding) === at);
  if (!isEmptied) return taken;
  return {
    ...taken,
    steps: taken.steps.map((ownStep) =>
      ownStep.id === step.id
        ? { ...ownStep, act: { kind: 'felt' }, waiting: ownStep.act.kind === 'glue' ? null : ownStep.waiting }
        : ownStep,
    ),
  };
}

function withSteps(pattern: Pattern, swap: Swap, timed: string | undefined): Pattern {
  const texts = new Map(swap.steps.map(({ stepId, text }) => [stepId, text]));
  return {
    ...pattern,
    steps: pattern.steps.map((step) => ({
      ...step,
      text: texts.get(step.id) ?? step.text,
      minutes:
        step.id === timed ? longer(step.minutes, swap.moreMinutes / timesOf(step, pattern)) : step.minutes,
    })),
  };
}

/** The step a swap makes longer or shorter: the one that reads otherwise, else the first on what it is of, else the last. */
function stepOfSwap(
  { of, steps: changed }: Swap,
  { parts, findings, joins, steps }: Pattern,
): string | undefined {
  const changedStep = changed.find(({ stepId }) => steps.some(({ id }) => id === stepId));
  if (changedStep) return changedStep.stepId;
  const partId =
    of.kind === 'use'
      ? parts.find(({ uses }) => uses.some(({ id }) => id === of.id))?.id
      : of.kind === 'finding'
        ? findings.find(({ id }) => id === of.id)?.partId
        : joins.find(({ id }) => id === of.id)?.partId;
  return (steps.find(({ partIds }) => partIds.some((id) => id === partId)) ?? steps.at(-1))?.id;
}

/** Into how many repeats more minutes are parted, where the minutes are each repeat’s. */
const timesOf = (step: Step, { parts }: Pattern): number =>
  step.areMinutesEach ? (repeatsOf(step, parts)?.likely ?? 1) : 1;

/** Minutes nobody has said stay unsaid; nothing takes less than no time. */
const longer = (minutes: Minutes | null, by: number): Minutes | null => {
  if (minutes === null || by === 0) return minutes;
  const more = (value: number) => Math.max(0, value + by);
  return typeof minutes === 'number' ? more(minutes) : { low: more(minutes.low), high: more(minutes.high) };
};
