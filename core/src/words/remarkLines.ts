import type { Wool } from '../engine/index.ts';
import type { Pattern } from '../pattern/index.ts';
import {
  mendOf,
  placeInMaking,
  type Remark,
  type RemarkPlace,
  reviewOf,
  type RuleKind,
  ruleOf,
  type Weight,
} from '../review/index.ts';
import { remarkPlace } from './remarkPlace.ts';
import { remarkWords } from './remarkWords.ts';

/** A remark as it is read: what it is about, what it says, and where in the making one comes to it. */
export interface RemarkLine {
  /** The same as long as the remark is. */
  readonly key: string;
  readonly remark: Remark;
  readonly place: string;
  readonly words: string;
  readonly kind: RuleKind;
  readonly weight: Weight;
  readonly isMendable: boolean;
  readonly at: RemarkPlace;
}

export interface MeantLine extends RemarkLine {
  readonly reason: string;
}

/** The whole review in words, in reading order. */
export interface ReviewRead {
  readonly open: readonly RemarkLine[];
  readonly meant: readonly MeantLine[];
}

export function readReview(pattern: Pattern, wool: Wool): ReviewRead {
  const { open, meant } = reviewOf(pattern, wool);
  return {
    open: remarkLines(open, pattern, wool),
    meant: meant.map(({ remark, reason }) => ({ ...lineOf(remark, pattern, wool), reason })),
  };
}

/** Remarks on a pattern, such as were kept with a revision, in words. */
export const remarkLines = (remarks: readonly Remark[], pattern: Pattern, wool: Wool): RemarkLine[] =>
  remarks.map((remark) => lineOf(remark, pattern, wool));

function lineOf(remark: Remark, pattern: Pattern, wool: Wool): RemarkLine {
  const { kind, weight } = ruleOf(remark.code);
  return {
    key: JSON.stringify(remark),
    remark,
    place: remarkPlace(remark, pattern),
    words: remarkWords(remark, pattern, (id) => wool.fibres.get(id)?.name ?? 'this fibre'),
    kind,
    weight,
    isMendable: mendOf(remark, pattern, () => 'new') !== null,
    at: placeInMaking(remark, pattern),
  };
}

/** Which remarks are wanted; null: all. */
export interface RemarksWanted {
  readonly kind: RuleKind | null;
  readonly partId: string | null;
  readonly sessionId: string | null;
}

export const ALL_REMARKS: RemarksWanted = { kind: null, partId: null, sessionId: null };

export const remarksWanted = <L extends RemarkLine>(
  lines: readonly L[],
  { kind, partId, sessionId }: RemarksWanted,
): L[] =>
  lines.filter(
    (line) =>
      (kind === null || line.kind === kind) &&
      (partId === null || line.at.partIds.includes(partId)) &&
      (sessionId === null || line.at.sessionId === sessionId),
  );

/** What rules are about, as they are chosen by. */
export const RULE_KIND_WORDS: Readonly<Record<RuleKind, string>> = {
  made: 'made and joined',
  listed: 'used and listed',
  order: 'order and care',
  checks: 'checks and choices',
  counts: 'counts and pairs',
  sizes: 'sizes and units',
  words: 'words',
  hands: 'hands and needles',
  sessions: 'sessions, options, colours',
  figure: 'the figure together',
  seen: 'hidden and seen',
  rights: 'rights',
};
