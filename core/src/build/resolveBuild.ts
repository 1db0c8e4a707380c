import {
  defaultValues,
  forgetStrays,
  withoutPart,
  isSameThing,
  isWool,
  NO_CHOICES,
  repeatsOf,
  type Choices,
  type FindingUse,
  type Join,
  type Minutes,
  type Part,
  type Pattern,
  type Step,
  type Swap,
  type ThingKind,
  type ThingRef,
  type Use,
  type Values,
} from '../pattern/index.ts';

/** The whole of what is chosen: options left open are at their default. */
export const valuesOf = (pattern: Pattern, choices: Choices): Values => ({
  ...defaultValues(pattern),
  ...choices.values,
});

/** What is left out under these values: everything an option names, but not under the value chosen. */
export function leftOut(pattern: Pattern, values: Values): ThingRef[] {
  return pattern.options.flatMap((option) => {
    const chosen = option.values.find(({ id }) => id === values[option.id]);
    return option.values
      .flatMap(({ things }) => things)
      .filter((thing) => chosen?.things.some((own) => isSameThing(own, thing)) !== true);
  });
}

/**
 * The pattern one person makes: options resolved, the colourway in its slots, the swaps in their places. What a part
 * left out takes along (its joins, its mention in steps) is gone too; a step all of whose parts are gone goes with them.
 * A pattern without options, colourway or swaps comes back as it is.
 */
export function resolveBuild(pattern: Pattern, choices: Choices): Pattern {
  const coloured = withColourway(pattern, choices.colourwayId);
  const swapped = choices.swapIds.reduce(withSwap, coloured);
  return withoutThings(swapped, leftOut(pattern, valuesOf(pattern, choices)));
}

/** What somebody makes who chooses nothing. */
export const defaultBuild = (pattern: Pattern): Pattern => resolveBuild(pattern, NO_CHOICES);

function withoutThings(pattern: Pattern, things: readonly ThingRef[]): Pattern {
  if (things.length === 0) return pattern;
  const gone = new Map<ThingKind, Set<string>>();
  for (const { kind, id } of things) gone.set(kind, (gone.get(kind) ?? new Set()).add(id));
  const stays = (kind: ThingKind) => {
    const ids = gone.get(kind);
    return ({ id }: { id: string }) => ids?.has(id) !== true;
  };
  const partIds = gone.get('part') ?? new Set<string>();
  const bare = [...partIds].reduce(withoutPart, pattern);
  const steps = pattern.steps.flatMap((before) => {
    const step = bare.steps.find(({ id }) => id === before.id);
    const isEmptied = before.partIds.length > 0 && step?.partIds.length === 0;
    return step && !isEmptied && stays('step')(step)
      ? [{ ...step, pictures: step.pictures.filter(stays('picture')) }]
      : [];
  });
  return forgetStrays({
    ...bare,
    parts: bare.parts.map((part) => withUses(part, part.uses.filter(stays('use')))),
    joins: bare.joins.filter(stays('join')),
    cuts: bare.cuts.filter(stays('cut')),
    findings: bare.findings.filter(
      (finding) => stays('finding')(finding) && !wasOn(pattern, finding.id, partIds),
    ),
    steps,
  });
}

const withUses = (part: Part, uses: Use[]): Part =>
  uses.length === part.uses.length ? part : { ...part, uses };

/** A finding on a part that is left out goes with it. */
const wasOn = ({ findings }: Pattern, findingUseId: string, partIds: ReadonlySet<string>): boolean => {
  const partId = findings.find(({ id }) => id === findingUseId)?.partId ?? null;
  return partId !== null && partIds.has(partId);
};

/** The fibres of a colourway in all places of their slots. */
function withColourway(pattern: Pattern, colourwayId: string | null): Pattern {
  const colourway = pattern.colourways.find(({ id }) => id === colourwayId);
  if (!colourway) return pattern;
  const fibreOf = new Map<string, string>();
  for (const { slotId, fibreId } of colourway.fills) {
    const slot = pattern.slots.find(({ id }) => id === slotId);
    for (const { kind, id } of slot?.places ?? []) fibreOf.set(`${kind} ${id}`, fibreId);
  }
  return {
    ...pattern,
    parts: pattern.parts.map((part) => ({
      ...part,
      uses: part.uses.map((use) => {
        const fibreId = fibreOf.get(`use ${use.id}`);
        return fibreId === undefined || !isWool(use) ? use : { ...use, fibreId };
      }),
    })),
    joins: pattern.joins.map((join) => {
      const fibreId = fibreOf.get(`join ${join.id}`);
      return fibreId === undefined || !join.cover ? join : { ...join, cover: { ...join.cover, fibreId } };
    }),
  };
}

function withSwap(pattern: Pattern, swapId: string): Pattern {
  const swap = pattern.swaps.find(({ id }) => id === swapId);
  if (!swap || swap.toItemId === null) return pattern;
  const texts = new Map(swap.steps.map(({ stepId, text }) => [stepId, text]));
  const on =
    <T extends { id: string }>(kind: Swap['of']['kind'], change: (item: T) => T) =>
    (item: T) =>
      swap.of.kind === kind && swap.of.id === item.id ? change(item) : item;
  const timed = stepOfSwap(swap, pattern);
  const findingId = swap.toItemId;
  const times = (count: number) => Math.max(1, Math.round(count * swap.amountFactor));
  return {
    ...pattern,
    parts: pattern.parts.map((part) => ({
      ...part,
      uses: part.uses.map(on('use', (use: Use) => swappedUse(use, findingId, swap.amountFactor))),
    })),
    joins: pattern.joins.map(
      on('join', (join: Join) =>
        join.cover ? { ...join, cover: { ...join.cover, fibreId: findingId } } : join,
      ),
    ),
    cuts: pattern.cuts.map(on('cut', (cut) => ({ ...cut, findingId, count: times(cut.count) }))),
    findings: pattern.findings.map(
      on<FindingUse>('finding', (finding) => ({
        ...finding,
        findingId,
        count:
          finding.count === null
            ? null
            : typeof finding.count === 'number'
              ? times(finding.count)
              : { low: times(finding.count.low), high: times(finding.count.high) },
      })),
    ),
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
  if (changed[0]) return changed[0].stepId;
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

/** Grams that were stated grow with the factor; what is calculated follows the fibre by itself. */
function swappedUse(use: Use, toItemId: string, factor: number): Use {
  if (!isWool(use)) return { ...use, findingId: toItemId };
  const { amount } = use;
  const scaled =
    amount?.form === 'grams'
      ? {
          ...amount,
          massG: amount.massG === null ? null : amount.massG * factor,
          highG: amount.highG === null ? null : amount.highG * factor,
        }
      : amount;
  return { ...use, fibreId: toItemId, amount: scaled };
}
