import { needleCounts } from '../ladder/needleCounts.ts';
import { type NeedleWanted, wantedKey } from '../needles/index.ts';
import { needleOf, type ListedTool, type Pattern, type Step } from '../pattern/index.ts';
import type { Provision } from '../tools/index.ts';
import { hasVerb, type Verb } from './verbs.ts';

/** Tools that follow from what is done; needles are listed by their sort beside them. */
export const TOOL_KEYS = [
  'surface',
  'holder',
  'finger-guards',
  'scissors',
  'sewing-needle',
  'glue',
  'pliers',
  'wire-cutters',
  'pins',
  'water',
  'scale',
  'ruler',
  'guide',
  'pencil',
  'iron',
] as const;
export type ToolKey = (typeof TOOL_KEYS)[number];

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
  /** Steps that call for it, in their order. */
  readonly stepIds: readonly string[];
}

export interface NeedsList {
  /** What is printed: derived, as the author changed it, then what the author added. */
  readonly listed: readonly Need[];
  /** Called for by a step, and left out by the author. */
  readonly usedNotListed: readonly Need[];
  /** Added by the author, and no step speaks of it. */
  readonly listedNotUsed: readonly Need[];
}

interface ToolRule {
  readonly tool: ToolKey;
  readonly per: Provision;
  readonly isFor: (step: Step, pattern: Pattern) => boolean;
}

const byVerb =
  (verb: Verb) =>
  ({ text }: Step): boolean =>
    hasVerb(text, verb);

/** How small a piece is before fingers are too near the needle: the act says it is held in hand. */
const RULES: readonly ToolRule[] = [
  {
    tool: 'surface',
    per: 'person',
    isFor: (step, pattern) => needles(step, pattern) && step.place !== 'in-hand',
  },
  { tool: 'holder', per: 'table', isFor: ({ holder }) => holder !== null && holder > 1 },
  { tool: 'finger-guards', per: 'person', isFor: ({ place }) => place === 'in-hand' },
  { tool: 'scissors', per: 'table', isFor: ({ act, text }) => act.kind === 'cut' || hasVerb(text, 'cut') },
  {
    tool: 'sewing-needle',
    per: 'table',
    isFor: ({ act, text }) => act.kind === 'sew' || hasVerb(text, 'sew'),
  },
  { tool: 'glue', per: 'table', isFor: ({ act, text }) => act.kind === 'glue' || hasVerb(text, 'glue') },
  { tool: 'pliers', per: 'room', isFor: (step, { cuts }) => step.stage === 'skeleton' && cuts.some(isWire) },
  {
    tool: 'wire-cutters',
    per: 'room',
    isFor: (step, { cuts }) => step.stage === 'skeleton' && cuts.some(isWire),
  },
  { tool: 'pins', per: 'table', isFor: byVerb('pin') },
  { tool: 'water', per: 'table', isFor: byVerb('wet') },
  { tool: 'scale', per: 'room', isFor: byVerb('weigh') },
  { tool: 'ruler', per: 'table', isFor: byVerb('measure') },
  {
    tool: 'guide',
    per: 'person',
    isFor: ({ place, text }) => place === 'on-template' || hasVerb(text, 'guide'),
  },
  { tool: 'pencil', per: 'table', isFor: byVerb('pencil') },
  { tool: 'iron', per: 'room', isFor: byVerb('heat') },
];

const isWire = ({ kind }: Pattern['cuts'][number]): boolean => kind === 'wire' || kind === 'covering';

const needles = (step: Step, pattern: Pattern): boolean => needleOf(step, pattern) !== null;

/** What the steps call for, before the author has a say. */
export function derivedNeeds(pattern: Pattern): Need[] {
  const tools = RULES.flatMap(({ tool, per, isFor }): Need[] => {
    const stepIds = pattern.steps.filter((step) => isFor(step, pattern)).map(({ id }) => id);
    return stepIds.length > 0
      ? [{ key: tool, what: { is: 'tool', tool }, per, count: 1, perPerson: 1, stepIds }]
      : [];
  });
  return [...needleNeeds(pattern), ...tools];
}

/** Of each sort as many as are in the hand and in holders at once, however its profile is asked for. */
const needleNeeds = (pattern: Pattern): Need[] =>
  needleCounts(pattern).map(({ wanted, count, perPerson, stepIds }) => ({
    key: `needle-${wantedKey(wanted)}`,
    what: { is: 'needle', wanted },
    per: 'person',
    count,
    perPerson,
    stepIds,
  }));

/** The list with the author’s word in it, and where the two disagree. */
export function needsOf(pattern: Pattern): NeedsList {
  const derived = derivedNeeds(pattern);
  const said = new Map(
    pattern.tools.flatMap((tool) => (tool.needKey === null ? [] : [[tool.needKey, tool] as const])),
  );
  const isOut = (need: Need) => said.get(need.key)?.isLeftOut === true;
  const added = pattern.tools
    .filter(({ needKey, isLeftOut }) => needKey === null && !isLeftOut)
    .map((tool) => addedNeed(tool, pattern));
  // A derived one that the author kept while the steps moved on: it is listed, and nothing calls for it any more.
  const kept = pattern.tools
    .filter(
      ({ needKey, isLeftOut }) =>
        needKey !== null && !isLeftOut && !derived.some(({ key }) => key === needKey),
    )
    .map((tool) => addedNeed(tool, pattern));
  return {
    listed: [
      ...derived.filter((need) => !isOut(need)).map((need) => asSaid(need, said.get(need.key))),
      ...added,
      ...kept,
    ],
    usedNotListed: derived.filter(isOut),
    listedNotUsed: [...added, ...kept].filter(({ stepIds }) => stepIds.length === 0),
  };
}

const asSaid = (need: Need, said: ListedTool | undefined): Need =>
  said ? { ...need, per: said.per, count: said.count, perPerson: said.count } : need;

/** A step that names the tool uses it. */
function addedNeed({ id, name, per, count }: ListedTool, { steps }: Pattern): Need {
  const word = name.trim().toLowerCase();
  const stepIds =
    word === '' ? [] : steps.filter((step) => wordsOf(step).includes(word)).map((step) => step.id);
  return { key: `own-${id}`, what: { is: 'own', name }, per, count, perPerson: count, stepIds };
}

/** Everything a step says, small letters. */
const wordsOf = ({ text, cue, readers, checks }: Step): string =>
  [text, cue, readers.kit, readers.pattern, ...checks.flatMap(({ how, remedy }) => [how, remedy])]
    .join(' ')
    .toLowerCase();
