import type { LinkStrength, Part, Pattern, Step } from '../pattern/index.ts';
import { joinedBy, type PartWork, workOnParts } from './partWork.ts';

export const ORDER_REASONS = [
  'made-before-joined',
  'made-before-covered',
  'joined-before-covered',
  'dry-before-handled',
  'set-before-sorted',
  'put-before-taken-off',
  'decided-before-recalled',
] as const;
export type OrderReason = (typeof ORDER_REASONS)[number];

/** One step comes before another, and why. */
export type OrderLink =
  | {
      readonly by: 'derived';
      readonly beforeId: string;
      readonly afterId: string;
      readonly strength: 'must';
      readonly reason: OrderReason;
      /** The part it is about, where it is about one. */
      readonly partId: string | null;
    }
  | {
      readonly by: 'author';
      readonly beforeId: string;
      readonly afterId: string;
      readonly strength: LinkStrength;
      readonly words: string;
    };

const derived = (
  before: { id: string } | undefined,
  after: { id: string } | undefined,
  reason: OrderReason,
  partId: string | null,
): OrderLink[] =>
  before && after && before.id !== after.id
    ? [{ by: 'derived', beforeId: before.id, afterId: after.id, strength: 'must', reason, partId }]
    : [];

/** Everything about the order of the steps: what follows from the build, then what the author drew. */
export function orderLinks(pattern: Pattern): OrderLink[] {
  const work = workOnParts(pattern);
  const links = [
    ...pattern.parts.flatMap((part) => linksOfPart(part, work.get(part.id) ?? [], pattern)),
    ...joinLinks(pattern),
    ...dryLinks(pattern),
    ...recallLinks(pattern),
  ];
  const seen = new Set<string>();
  const once = links.filter(({ beforeId, afterId }) => {
    const key = `${beforeId} ${afterId}`;
    const isNew = !seen.has(key);
    seen.add(key);
    return isNew;
  });
  return [
    ...once,
    ...pattern.links.map(({ beforeId, afterId, strength, reason }): OrderLink => ({
      by: 'author',
      beforeId,
      afterId,
      strength,
      words: reason,
    })),
  ];
}

const isMaking = ({ act }: Step): boolean => act.kind === 'make';

/** The first step that makes a part comes before it is joined, covered or compared with its like. */
function linksOfPart(part: Part, work: readonly PartWork[], { steps }: Pattern): OrderLink[] {
  const places = work.flatMap(({ at, isHost, act }) => {
    const step = steps[at];
    return step ? [{ step, isHost, act }] : [];
  });
  const makes = places
    .filter(({ step }) => isMaking(step) && step.stage !== 'finish')
    .map(({ step }) => step);
  const first = makes[0];
  const joins = places.filter(({ act, isHost }) => act === 'join' && !isHost);
  const covers = places.filter(({ act, step }) => act === 'wrap' && step.stage === 'coat');
  const sorts = places.filter(({ act }) => act === 'check' && part.count !== 1);
  return [
    ...joins.flatMap(({ step }) => derived(first, step, 'made-before-joined', part.id)),
    ...covers.flatMap(({ step }) => derived(first, step, 'made-before-covered', part.id)),
    ...sorts.flatMap(({ step }) => derived(first, step, 'set-before-sorted', part.id)),
  ];
}

/** A join is made before it is covered: joining and covering name the same join. */
function joinLinks(pattern: Pattern): OrderLink[] {
  const { joins, steps } = pattern;
  const covers = steps.filter(({ act, joinIds }) => act.kind === 'wrap' && joinIds.length > 0);
  if (covers.length === 0) return [];
  const making = steps.flatMap((step) =>
    step.act.kind === 'join'
      ? [{ step, partIds: step.joinIds.length === 0 ? joinedBy(step, pattern) : null }]
      : [],
  );
  return joins.flatMap(({ id, partId }) => {
    const made = making.find(({ step, partIds }) =>
      partIds ? partIds.has(partId) : step.joinIds.includes(id),
    );
    return covers
      .filter(({ joinIds }) => joinIds.includes(id))
      .flatMap((step) => derived(made?.step, step, 'joined-before-covered', partId));
  });
}

/** What is glued dries before it is handled: glue, then its wait, then whatever else the parts go through. */
function dryLinks({ steps }: Pattern): OrderLink[] {
  return steps.flatMap((glue, at) => {
    if (glue.act.kind !== 'glue') return [];
    const shares = (step: Step) => step.partIds.some((id) => glue.partIds.includes(id));
    const later = steps.slice(at + 1).filter(shares);
    const wait = later.find(({ act }) => act.kind === 'wait');
    // Glue that says its own time is its own wait: whatever handles the parts comes after it.
    if (!wait && glue.waiting === null) return [];
    const until = wait ?? glue;
    const handled = later.filter((step) => step.id !== until.id && step.act.kind !== 'wait');
    return [
      ...derived(glue, wait, 'dry-before-handled', null),
      ...handled.flatMap((step) => derived(until, step, 'dry-before-handled', null)),
    ];
  });
}

/** What is decided is recalled later; what stands in is taken off later. */
function recallLinks({ steps }: Pattern): OrderLink[] {
  const byId = new Map(steps.map((step) => [step.id, step]));
  return steps.flatMap((step) => [
    ...derived(byId.get(step.recallsStepId ?? ''), step, 'decided-before-recalled', null),
    ...(step.act.kind === 'stand-in' && step.act.untilStepId !== null
      ? derived(step, { id: step.act.untilStepId }, 'put-before-taken-off', null)
      : []),
  ]);
}

/** The links this order goes against; `easier` ones are among them. */
export function brokenLinks(steps: readonly { id: string }[], links: readonly OrderLink[]): OrderLink[] {
  const place = new Map(steps.map(({ id }, at) => [id, at]));
  return links.filter(({ beforeId, afterId }) => {
    const [before, after] = [place.get(beforeId), place.get(afterId)];
    return before !== undefined && after !== undefined && before > after;
  });
}

/** What came of wanting to put a step somewhere. */
export type Placing =
  | { readonly ok: true; readonly index: number; readonly harder: readonly OrderLink[] }
  /** `nearest`: where it may go instead, in the same direction; null when it may not move at all that way. */
  | { readonly ok: false; readonly because: readonly OrderLink[]; readonly nearest: number | null };

/**
 * Whether a step may go to this place. Only what the move itself would break counts: an order that is wrong already
 * may be mended step by step.
 * @param toIndex its place among the steps afterwards, from 0
 */
export function placeStep(pattern: Pattern, stepId: string, toIndex: number): Placing {
  const links = orderLinks(pattern);
  const from = pattern.steps.findIndex(({ id }) => id === stepId);
  const ids = pattern.steps.map(({ id }) => ({ id }));
  const before = new Set(brokenLinks(ids, links));
  const target = Math.min(Math.max(0, toIndex), ids.length - 1);
  const newlyBroken = (index: number) =>
    brokenLinks(movedTo(ids, from, index), links).filter((link) => !before.has(link));
  const broken = newlyBroken(target);
  const because = broken.filter(({ strength }) => strength !== 'easier');
  if (because.length === 0) return { ok: true, index: target, harder: broken };
  const towards = Math.sign(from - target);
  for (let index = target + towards; index !== from; index += towards) {
    if (newlyBroken(index).every(({ strength }) => strength === 'easier'))
      return { ok: false, because, nearest: index };
  }
  return { ok: false, because, nearest: null };
}

function movedTo<T>(items: readonly T[], from: number, to: number): T[] {
  const rest = items.filter((_, index) => index !== from);
  return [...rest.slice(0, to), ...items.slice(from, from + 1), ...rest.slice(to)];
}
