import {
  countRange,
  type JoinMethod,
  type ListedTool,
  needleOf,
  type Pattern,
  type Step,
  stepOfFinding,
} from '../pattern/index.ts';
import { type NeedleWanted, type Provision, type ToolKey, wantedKey } from '../shelf/index.ts';
import { hasVerb, joinedBy, JOINING, type Verb } from '../writing/index.ts';
import { needleCounts } from './needleCounts.ts';

/** One line of the list of tools and small materials. */
export interface Need {
  /** `scissors`, `needle-38`, or `own-ID` for one the author added. */
  readonly key: string;
  readonly what:
    | { readonly is: 'tool'; readonly tool: ToolKey }
    | { readonly is: 'needle'; readonly wanted: NeedleWanted }
    | { readonly is: 'own'; readonly name: string };
  readonly per: Provision;
  readonly count: number;
  /** Of needles at each seat of a class, where holders are shared; else the same. */
  readonly perPerson: number;
  /** Taken up by the work: each make takes its own. */
  readonly isUsedUp: boolean;
  /** Steps that call for it, in their order. */
  readonly stepIds: readonly string[];
}

export interface NeedsList {
  /** What is printed: derived, as the author changed it, then what the author added. */
  readonly listed: readonly Need[];
  /** Suggested by words of the steps: listed only where the author says so. */
  readonly offered: readonly Need[];
  /** Called for by a step, and left out by the author. */
  readonly usedNotListed: readonly Need[];
  /** Added by the author, and no step speaks of it. */
  readonly listedNotUsed: readonly Need[];
}

interface ToolRule {
  readonly tool: ToolKey;
  readonly per: Provision;
  readonly isFor: (step: Step, pattern: Pattern) => boolean;
  /** Of what is used up, how many a step takes; nothing: it is a tool, and one does for all steps. */
  readonly usedUp?: (step: Step, pattern: Pattern) => number;
}

/** What acts, findings, cuts and joins need: listed. */
const RULES: readonly ToolRule[] = [
  {
    tool: 'surface',
    per: 'person',
    isFor: (step, pattern) => needles(step, pattern) && step.place !== 'in-hand',
  },
  { tool: 'holder', per: 'table', isFor: ({ holder }) => holder !== null && holder > 1 },
  { tool: 'finger-guards', per: 'person', isFor: ({ place }) => place === 'in-hand' },
  {
    tool: 'scissors',
    per: 'table',
    isFor: (step, pattern) => step.act.kind === 'cut' || trims(step, pattern),
  },
  {
    tool: 'sewing-needle',
    per: 'table',
    isFor: (step, pattern) => step.act.kind === 'sew' || joinsBy('sewn', step, pattern),
  },
  { tool: 'glue', per: 'table', isFor: isGluing },
  { tool: 'glue-drops', per: 'person', isFor: isGluing, usedUp: piecesSetOn },
  { tool: 'pliers', per: 'room', isFor: bendsWire },
  { tool: 'wire-cutters', per: 'room', isFor: bendsWire },
  { tool: 'guide', per: 'person', isFor: ({ place }) => place === 'on-template' },
  { tool: 'ruler', per: 'table', isFor: holdsExactly },
];

/** What words of a step may mean: offered, and only listed where the author says so. */
const OFFERS: readonly ToolRule[] = [
  { tool: 'scissors', per: 'table', isFor: byWord('cut') },
  { tool: 'sewing-needle', per: 'table', isFor: byWord('sew') },
  { tool: 'glue', per: 'table', isFor: byWord('glue') },
  { tool: 'pins', per: 'table', isFor: byWord('pin') },
  { tool: 'water', per: 'table', isFor: byWord('wet') },
  { tool: 'scale', per: 'room', isFor: byWord('weigh') },
  { tool: 'ruler', per: 'table', isFor: byWord('measure') },
  { tool: 'guide', per: 'person', isFor: byWord('guide') },
  { tool: 'pencil', per: 'table', isFor: byWord('pencil') },
  { tool: 'iron', per: 'room', isFor: byWord('heat') },
  { tool: 'tape', per: 'table', isFor: byWord('tape') },
];

function byWord(verb: Verb): ToolRule['isFor'] {
  return ({ text }) => hasVerb(text, verb);
}

const needles = (step: Step, pattern: Pattern): boolean => needleOf(step, pattern) !== null;

/** Hair is cut to its length where it is laid on. */
function trims({ stage, partIds }: Step, { parts }: Pattern): boolean {
  return (
    stage === 'hair' &&
    parts.some(
      ({ id, shape, uses }) =>
        partIds.includes(id) &&
        ((shape.kind === 'fringe' && shape.trimFraction > 0) ||
          uses.some((use) => use.role === 'hair' && use.trimFraction > 0)),
    )
  );
}

/** A step that joins what the pattern says is sewn or glued, whatever it is called. */
function joinsBy(method: JoinMethod, step: Step, { joins }: Pattern): boolean {
  if (!JOINING.has(step.act.kind)) return false;
  const set = joinedBy(step, { joins });
  return joins.some(
    (join) =>
      join.method === method &&
      (step.joinIds.includes(join.id) || (step.joinIds.length === 0 && set.has(join.partId))),
  );
}

function isGluing(step: Step, pattern: Pattern): boolean {
  return step.act.kind === 'glue' || joinsBy('glued', step, pattern);
}

/** A drop for each finding that is set in the step, or for each piece; as often as it is repeated where that is said. */
function piecesSetOn(step: Step, pattern: Pattern): number {
  const { repeat, partIds } = step;
  const { parts, findings, steps } = pattern;
  if (repeat && repeat.times !== null) return repeat.times;
  const setHere = findings.filter((finding) => steps[stepOfFinding(pattern, finding) ?? -1] === step);
  const things = setHere.reduce((sum, { count }) => sum + (countRange(count)?.high ?? 1), 0);
  if (things > 0) return things;
  const counts = partIds.map((id) => countRange(parts.find((part) => part.id === id)?.count ?? 1)?.high ?? 1);
  return Math.max(1, ...counts);
}

/** Where wire is bent: in the skeleton, or at what a wire runs through. */
function bendsWire(step: Step, { cuts }: Pattern): boolean {
  if (!cuts.some(isWire)) return false;
  if (step.stage === 'skeleton') return true;
  return (
    step.act.kind === 'make' &&
    cuts.some(
      (cut) =>
        cut.kind === 'wire' &&
        cut.segments.some(({ partId }) => partId !== null && step.partIds.includes(partId)),
    )
  );
}

const isWire = ({ kind }: Pattern['cuts'][number]): boolean => kind === 'wire' || kind === 'covering';

/** A size that is meant exactly is held against a ruler where its piece is made. */
function holdsExactly({ act, partIds }: Step, { parts }: Pattern): boolean {
  if (act.kind !== 'make' && act.kind !== 'felt' && act.kind !== 'cut') return false;
  return parts.some(
    ({ id, exactness }) => partIds.includes(id) && exactness.some(({ is }) => is === 'exact'),
  );
}

/** What the steps call for, before the author has a say. */
export const derivedNeeds = (pattern: Pattern): Need[] => [
  ...needleNeeds(pattern),
  ...RULES.flatMap((rule) => needOf(rule, pattern)),
];

/** What words of the steps suggest and nothing needs; nothing of what its author has a say in already. */
function offeredNeeds(pattern: Pattern, derived: readonly Need[]): Need[] {
  const settled = new Set([
    ...derived.map(({ key }) => key),
    ...pattern.tools.flatMap(({ needKey }) => needKey ?? []),
  ]);
  return OFFERS.filter(({ tool }) => !settled.has(tool)).flatMap((rule) => needOf(rule, pattern));
}

function needOf({ tool, per, isFor, usedUp }: ToolRule, pattern: Pattern): Need[] {
  const steps = pattern.steps.filter((step) => isFor(step, pattern));
  if (steps.length === 0) return [];
  const count = usedUp ? steps.reduce((sum, step) => sum + usedUp(step, pattern), 0) : 1;
  const stepIds = steps.map(({ id }) => id);
  const isUsedUp = usedUp !== undefined;
  return [{ key: tool, what: { is: 'tool', tool }, per, count, perPerson: count, isUsedUp, stepIds }];
}

/** Of each sort as many as are in the hand and in holders at once, however its profile is asked for. */
const needleNeeds = (pattern: Pattern): Need[] =>
  needleCounts(pattern).map(({ wanted, count, perPerson, stepIds }) => ({
    key: `needle-${wantedKey(wanted)}`,
    what: { is: 'needle', wanted },
    per: 'person',
    count,
    perPerson,
    isUsedUp: false,
    stepIds,
  }));

/** The list with the author’s word in it, and where the two disagree. */
export function needsOf(pattern: Pattern): NeedsList {
  const derived = derivedNeeds(pattern);
  const listed = new Map(
    pattern.tools.flatMap((tool) => (tool.needKey === null ? [] : [[tool.needKey, tool] as const])),
  );
  const isOut = (need: Need) => listed.get(need.key)?.isLeftOut === true;
  const added = pattern.tools
    .filter(({ needKey, isLeftOut }) => needKey === null && !isLeftOut)
    .map((tool) => addedNeed(tool, pattern));
  // A derived one that the author kept while the steps moved on: it is listed, and nothing calls for it any more.
  const kept = pattern.tools
    .filter(
      ({ needKey, isLeftOut }) =>
        needKey !== null && !isLeftOut && !derived.some(({ key }) => key === needKey),
    )
    .map((tool) => keptNeed(tool, pattern));
  return {
    listed: [
      ...derived.filter((need) => !isOut(need)).map((need) => asSaid(need, listed.get(need.key))),
      ...added,
      ...kept,
    ],
    offered: offeredNeeds(pattern, derived),
    usedNotListed: derived.filter(isOut),
    listedNotUsed: [...added, ...kept].filter(({ stepIds }) => stepIds.length === 0),
  };
}

const asSaid = (need: Need, listed: ListedTool | undefined): Need =>
  listed ? { ...need, per: listed.per, count: listed.count, perPerson: listed.count } : need;

/** Kept on the list by its author: for the steps whose words suggest it. */
function keptNeed(tool: ListedTool, pattern: Pattern): Need {
  const offer = OFFERS.find((rule) => rule.tool === tool.needKey);
  const [need] = offer ? needOf(offer, pattern) : [];
  return need ? asSaid(need, tool) : addedNeed(tool, pattern);
}

/** A step that names the tool uses it. */
function addedNeed({ id, name, per, count }: ListedTool, { steps }: Pattern): Need {
  const word = name.trim().toLowerCase();
  const stepIds =
    word === '' ? [] : steps.filter((step) => wordsOf(step).includes(word)).map((step) => step.id);
  return {
    key: `own-${id}`,
    what: { is: 'own', name },
    per,
    count,
    perPerson: count,
    isUsedUp: false,
    stepIds,
  };
}

/** Everything a step says, small letters. */
const wordsOf = ({ text, cue, readers, checks }: Step): string =>
  [text, cue, readers.kit, readers.pattern, ...checks.flatMap(({ how, remedy }) => [how, remedy])]
    .join(' ')
    .toLowerCase();
