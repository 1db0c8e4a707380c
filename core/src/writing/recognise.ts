import { parseLength } from '../base/index.ts';
import {
  type ActKind,
  type Amount,
  AMOUNT_FORMS,
  type Depth,
  type Minutes,
  type Pattern,
  type Step,
  type Stroke,
} from '../pattern/index.ts';
import { byGauge, HAND_MEASURES } from '../shelf/index.ts';

/** What may be recognised by name. */
export interface KnownNames {
  readonly parts: readonly { readonly id: string; readonly name: string }[];
  readonly fibres: readonly { readonly id: string; readonly name: string }[];
  /** By the use that puts them on. */
  readonly findings: readonly {
    readonly id: string;
    readonly name: string;
    readonly partId: string | null;
  }[];
}

/** Something a step’s words say, with the words that say it. */
export type Recognised = { readonly text: string } & (
  | { readonly is: 'part'; readonly partId: string }
  /** Something put on a part: the step is about that part. */
  | { readonly is: 'finding'; readonly findingUseId: string; readonly partId: string }
  | { readonly is: 'gauge'; readonly gauge: number }
  | { readonly is: 'minutes'; readonly minutes: Minutes }
  | { readonly is: 'waiting'; readonly minutes: Minutes }
  | { readonly is: 'act'; readonly act: Exclude<ActKind, 'choose' | 'decide' | 'stand-in'> }
  | { readonly is: 'stroke'; readonly stroke: Stroke }
  | { readonly is: 'depth'; readonly depth: Depth }
  | { readonly is: 'amount'; readonly amount: Amount; readonly fibreId: string | null }
);

/** Everything that can be told from the words of one step, in the order of the kinds above. */
export function recognise(text: string, names: KnownNames): Recognised[] {
  return [
    ...named(text, names.parts).map(({ id, words }): Recognised => ({ is: 'part', partId: id, text: words })),
    ...named(text, names.findings).flatMap(({ id, words }): Recognised[] => {
      const partId = names.findings.find((finding) => finding.id === id)?.partId ?? null;
      return partId === null ? [] : [{ is: 'finding', findingUseId: id, partId, text: words }];
    }),
    ...gauges(text),
    ...times(text),
    ...firstOf(text, ACTS).map(({ value, words }): Recognised => ({ is: 'act', act: value, text: words })),
    ...firstOf(text, STROKE_WORDS).map(({ value, words }): Recognised => ({
      is: 'stroke',
      stroke: value,
      text: words,
    })),
    ...firstOf(text, DEPTH_WORDS).map(({ value, words }): Recognised => ({
      is: 'depth',
      depth: value,
      text: words,
    })),
    ...amounts(text, names.fibres),
  ];
}

const escaped = (text: string): string => text.replaceAll(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`);

/** Whole words, one or several of it: “wing”, “wings”, “leaves” of “leaf”. */
function nameMatcher(name: string): RegExp {
  const word = escaped(name.trim());
  const plural = /(?:f|fe)$/i.test(name) ? `${word.replace(/fe?$/i, '')}(?:fe?|ves)` : `${word}(?:s|es)?`;
  return new RegExp(String.raw`(?<![\p{L}\p{N}])${plural}(?![\p{L}\p{N}])`, 'iu');
}

/** Things whose name is there; the longer name first, and its words are not read a second time as a shorter one. */
function named(text: string, things: KnownNames['parts']): { id: string; words: string }[] {
  let rest = text;
  const found: { id: string; words: string; at: number }[] = [];
  for (const { id, name } of [...things].sort((a, b) => b.name.length - a.name.length)) {
    if (name.trim() === '') continue;
    const match = nameMatcher(name).exec(rest);
    if (!match) continue;
    found.push({ id, words: match[0], at: match.index });
    // Every mention of it, so that “eye” is not found in the second “eye bump”.
    rest = rest.replaceAll(new RegExp(nameMatcher(name).source, 'giu'), (words) => ' '.repeat(words.length));
  }
  return found.sort((a, b) => a.at - b.at).map(({ id, words }) => ({ id, words }));
}

const GAUGE =
  /\b(?:gauge|needle|no\.?|#)\s*(3[2-9]|4[0-2])\b|\b(3[2-9]|4[0-2])[\s-]*(?:gauge|needle|star|spiral|triangular)\b/i;

function gauges(text: string): Recognised[] {
  const match = GAUGE.exec(text);
  return match ? [{ is: 'gauge', gauge: Number(match[1] ?? match[2]), text: match[0] }] : [];
}

const TIME = /(\d+(?:\.\d+)?)(?:\s*(?:-|–|to)\s*(\d+(?:\.\d+)?))?\s*(min(?:ute)?s?|h(?:ou)?rs?|h)\b/gi;
/** Before a time, in the same clause: nobody works while it lasts. */
const WAITS = /\b(?:dry|dries|drying|wait|leave|set|sets|rest|cure|soak)\b[^.;]*$/i;

/** The first time of work and the first time of waiting. */
function times(text: string): Recognised[] {
  const found = [...text.matchAll(TIME)].map((match): Recognised => {
    const by = match[3]?.toLowerCase().startsWith('h') === true ? 60 : 1;
    const low = Number(match[1]) * by;
    const minutes: Minutes = match[2] === undefined ? low : { low, high: Number(match[2]) * by };
    const isWaiting = WAITS.test(text.slice(0, match.index));
    return { is: isWaiting ? 'waiting' : 'minutes', minutes, text: match[0] };
  });
  return (['minutes', 'waiting'] as const).flatMap(
    (is) => found.find((recognised) => recognised.is === is) ?? [],
  );
}

type Table<T extends string> = readonly (readonly [value: T, pattern: RegExp])[];

/** Read in this order: a step that says “sew” is sewing, whatever is felted afterwards. */
const ACTS: Table<Exclude<ActKind, 'choose' | 'decide' | 'stand-in'>> = [
  ['glue', /\bglue[ds]?\b/i],
  ['sew', /\b(?:sew|stitch)\w*/i],
  ['cut', /\b(?:snip|cut|trim|clip)\b/i],
  ['tack', /\btack\b/i],
  ['join', /\b(?:join|attach|set (?:the |them |it |on)|needle (?:it|them) (?:on|into))\w*/i],
  ['wrap', /\b(?:wrap|coat|cover|lay\b.*\bover)\b/i],
  ['check', /^\s*(?:check|compare|sort|look|stand it)\b/i],
  ['wait', /^\s*(?:wait|leave|let)\b/i],
  ['make', /\b(?:roll|make|shape|form|fold)\b/i],
  ['felt', /\bfelt\b/i],
];

const STROKE_WORDS: Table<Stroke> = [
  ['round-a-rim', /\b(?:round|around) (?:the |its )?(?:rim|seam|edge)\b/i],
  ['in-passes', /\b(?:in passes|line by line|score[sd]? )\b/i],
  ['skimmed', /\bskim\w*\b/i],
  ['dipped', /\b(?:dip|dipped|dipping) (?:the )?(?:needle|tip|it)\b/i],
  ['swept', /\b(?:sweep|swept|sweeping)\b/i],
  ['sideways-at-an-end', /\bsideways (?:in(?:to)?|at)\b.*\bends?\b/i],
  ['from-both-sides', /\bfrom both sides\b/i],
  ['through-and-out', /\b(?:right )?through and out\b/i],
  ['deep-in-a-spot', /\bdeep(?:ly)? (?:in|into) (?:one|a|the same) (?:spot|place)\b/i],
  ['in-one-spot', /\b(?:in|into) (?:one|the same) (?:spot|place)\b/i],
  ['edges-first', /\bedges? first\b/i],
  ['toward-centre', /\b(?:toward|towards|at|into|aiming at)(?: the)? (?:centre|center|middle)\b/i],
  ['straight-down', /\bstraight (?:down|in)\b/i],
  ['at-a-slant', /\b(?:at a slant|slanting|at an angle)\b/i],
  ['one-direction', /\b(?:one direction|one way)\b/i],
  ['along', /\b(?:along (?:the|its) length|lengthwise strokes?)\b/i],
];

const DEPTH_WORDS: Table<Depth> = [
  ['light', /\b(?:shallow(?:ly)?|light(?:ly)?|surface only)\b/i],
  ['half', /\bhalf(?:way)? (?:in|through|deep)\b/i],
  ['through', /\b(?:right through|deep(?:ly)?|all the way)\b/i],
];

/** The first kind in the table that the words show. */
function firstOf<T extends string>(text: string, table: Table<T>): { value: T; words: string }[] {
  for (const [value, pattern] of table) {
    const match = pattern.exec(text);
    if (match) return [{ value, words: match[0] }];
  }
  return [];
}

const NUMBER_WORDS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
};
const COUNT = String.raw`(\d+(?:\.\d+)?|an?|one|two|three|four|five|six)`;
const GRAMS = /(\d+(?:[.,]\d+)?)(?:\s*(?:-|–|to)\s*(\d+(?:[.,]\d+)?))?\s*g(?:rams?)?\b/gi;
const LENGTH_OF = /((?:\d+\s+)?\d+(?:[./]\d+)?\s*(?:mm|cm|in(?:ch(?:es)?)?|″|"))\s+(?:of|length)/gi;
const HAND = new RegExp(String.raw`\b${COUNT}\s+(${HAND_MEASURES.join('|')})(?:e?s)?\b`, 'gi');
const SPLIT = /\bsplit(?:\s+lengthwise)?\s+(?:in|into)\s+(\d+|two|three|four|six|half)\b/i;

const numberOf = (word: string): number => NUMBER_WORDS[word.toLowerCase()] ?? Number(word.replace(',', '.'));

/** Amounts of wool; the fibre named after it in the same sentence is the one it is of. */
function amounts(text: string, fibres: KnownNames['fibres']): Recognised[] {
  const after = (at: number) => text.slice(at).split(/[.;]/u)[0] ?? '';
  const ofFibre = (at: number) => named(after(at), fibres)[0]?.id ?? null;
  const whole = (from: number, to: number) => {
    const split = SPLIT.exec(after(from));
    return text.slice(from, split ? Math.max(to, from + split.index + split[0].length) : to).trim();
  };
  const found: Recognised[] = [];
  for (const match of text.matchAll(GRAMS)) {
    const highG = match[2] === undefined ? null : numberOf(match[2]);
    const amount: Amount = { form: 'grams', massG: numberOf(match[1] ?? ''), highG, isWeighed: false };
    found.push({ is: 'amount', amount, fibreId: ofFibre(match.index + match[0].length), text: match[0] });
  }
  for (const match of text.matchAll(LENGTH_OF)) {
    const length = parseLength((match[1] ?? '').trim(), 'mm');
    if (!length.ok) continue;
    const ways = SPLIT.exec(after(match.index))?.[1] ?? '1';
    const amount: Amount = {
      form: 'tops',
      length: length.length,
      highLength: null,
      ways: ways === 'half' ? 2 : numberOf(ways),
    };
    const end = match.index + match[0].length;
    found.push({ is: 'amount', amount, fibreId: ofFibre(end), text: whole(match.index, end) });
  }
  for (const match of text.matchAll(HAND)) {
    const measure = HAND_MEASURES.find((handMeasure) => handMeasure === match[2]?.toLowerCase());
    if (!measure) continue;
    const amount: Amount = { form: 'hand', measure, count: numberOf(match[1] ?? 'a') };
    found.push({ is: 'amount', amount, fibreId: ofFibre(match.index + match[0].length), text: match[0] });
  }
  return found.filter(
    (recognised) => recognised.is !== 'amount' || AMOUNT_FORMS.includes(recognised.amount.form),
  );
}

/** The step with one recognised thing taken over. Amounts belong to a part’s wool, not to the step. */
export function withRecognised(step: Step, found: Recognised): Step {
  switch (found.is) {
    case 'part':
    case 'finding':
      return step.partIds.includes(found.partId)
        ? step
        : { ...step, partIds: [...step.partIds, found.partId] };
    case 'gauge':
      return { ...step, needle: byGauge(found.gauge) };
    case 'minutes':
      return { ...step, minutes: found.minutes };
    case 'waiting':
      return { ...step, waiting: found.minutes };
    case 'act':
      return { ...step, act: { kind: found.act } };
    case 'stroke':
      return { ...step, stroke: found.stroke };
    case 'depth':
      return { ...step, depth: found.depth };
    case 'amount':
      return step;
  }
}

/** Whether the step says so already, so that nobody is offered what is done. */
export function isSaid(step: Step, found: Recognised, pattern: Pattern): boolean {
  switch (found.is) {
    case 'part':
    case 'finding':
      return step.partIds.includes(found.partId);
    case 'gauge':
      return step.needle.by === 'gauge' && step.needle.gauge === found.gauge;
    case 'minutes':
      return step.minutes !== null;
    case 'waiting':
      return step.waiting !== null;
    case 'act':
      return step.act.kind !== 'make' || found.act === 'make';
    case 'stroke':
      return step.stroke !== null;
    case 'depth':
      return step.depth !== null;
    case 'amount':
      return pattern.parts.some(
        ({ id, uses }) =>
          step.partIds.includes(id) && uses.some((use) => use.role !== 'insert' && use.words === found.text),
      );
  }
}
