import {
  type Bag,
  type FibrePortion,
  labelCode,
  type LabelSheet,
  type Pack,
  type PackGroup,
} from '../run/index.ts';
import {
  bagWords,
  creditLine,
  fibreNamesOf,
  keepBackWords,
  ownerWords,
  packWords,
  showDay,
  sizedWords,
} from '../words/index.ts';
import { lotNotesOf } from './lotNotes.ts';
import { pairsOfGroup } from './pairsOfGroup.ts';
import type { PaperLabel, PaperSource } from './paper.ts';
import { creditsOfGroup, fibreName, portionGrams, swatchOf } from './shown.ts';

/** Where a label lies. */
export interface LabelPlace {
  /** From 0. */
  readonly sheet: number;
  readonly xMm: number;
  readonly yMm: number;
}

/** The places of so many labels, row by row, after those that are used up. */
export function labelPlaces(sheet: LabelSheet, count: number): LabelPlace[] {
  const perSheet = sheet.rows * sheet.columns;
  return Array.from({ length: count }, (_, index) => {
    const at = index + sheet.used;
    const place = at % perSheet;
    return {
      sheet: Math.floor(at / perSheet),
      xMm: sheet.leftMm + (place % sheet.columns) * (sheet.widthMm + sheet.gapAcrossMm),
      yMm: sheet.topMm + Math.floor(place / sheet.columns) * (sheet.heightMm + sheet.gapDownMm),
    };
  });
}

/** How far text stays from the edge of a label. */
export const LABEL_INNER_MM = 2.5;

/** One label for every bag of every pack. */
export function bagLabels(source: PaperSource): PaperLabel[] {
  const lotNotes = lotNotesOf(source);
  const groups = new Map(source.toPack.groups.map((group) => [group.key, group]));
  const byGroup = new Map<string, BagLabel[]>();
  return source.packs.flatMap((pack) => {
    const group = groups.get(pack.groupKey);
    if (!group) return [];
    const bagLabels = byGroup.get(group.key) ?? bagsOfGroup(group, source);
    byGroup.set(group.key, bagLabels);
    return bagLabels.map(({ bag, bagKey, ...label }) => ({
      ...label,
      bag,
      title: titleOf(pack),
      code: labelCode({ runId: source.runId, packId: pack.id, bagKey }),
      lines: label.lines.map(({ fibreId, pairs, ...line }) => ({
        ...line,
        note: [...pairs, ...lotNotes([pack.id], bagKey, fibreId)].join('; '),
      })),
    }));
  });
}

/** What is alike on the labels of all packs of a group. */
type BagLabel = Omit<PaperLabel, 'title' | 'code' | 'lines'> & {
  readonly bagKey: string;
  readonly lines: readonly (Omit<PaperLabel['lines'][number], 'note'> & {
    readonly fibreId: string;
    /** What of it goes into a thing that is like no other. */
    readonly pairs: readonly string[];
  })[];
};

function titleOf(pack: Pack): string {
  const marks = [sizedWords(pack.seat?.sizeFraction ?? 1), pack.seat?.isLeftHanded ? 'left-handed' : '']
    .filter((word) => word !== '')
    .join(', ');
  return marks === '' ? packWords(pack) : `${packWords(pack)} (${marks})`;
}

function bagsOfGroup(group: PackGroup, source: PaperSource): BagLabel[] {
  const plan = source.plan.groups.find(({ key }) => key === group.key)?.plan;
  const foot = [
    source.input.name,
    showDay(source.input.date, { year: true }),
    creditLine(creditsOfGroup(group)),
  ]
    .filter((word) => word !== '')
    .join(' · ');
  return (plan?.bags ?? []).map((bag) => ({
    bagKey: bag.key,
    bag: bagWords(bag, group, (id) => fibreName(source, id)),
    ...bagLines(bag, plan?.fibres ?? [], group, source),
    keepBack: keepBackWords(bag),
    foot,
    figureKey: group.key,
  }));
}

function bagLines(bag: Bag, fibres: readonly FibrePortion[], group: PackGroup, source: PaperSource) {
  // Said once, beside the first wool of its part.
  let unsaid = pairsOfGroup(group, source.wool);
  const pairsIn = (uses: FibrePortion['lines']): string[] => {
    const isIn = ({ partId, makeAt }: (typeof unsaid)[number]) =>
      uses.some((use) => use.makeAt === makeAt && use.owner.kind === 'part' && use.owner.id === partId);
    const found = unsaid.filter(isIn);
    unsaid = unsaid.filter((pair) => !found.includes(pair));
    return found.map(({ words }) => words);
  };
  const lines = fibres
    .filter((portion) => portion.bag === bag.key)
    .map(({ fibreId, packG, exactG, unknownCount, lines: uses }) => ({
      fibreId,
      swatch: swatchOf(source.wool.fibres.get(fibreId)),
      // What is no longer on the shelf has no name to be told apart by.
      text: source.wool.fibres.has(fibreId) ? fibreNamesOf(source.wool)(fibreId) : fibreName(source, fibreId),
      grams: portionGrams({ packG, exactG, unknownCount }, source.input),
      parts: [...new Set(uses.map(({ owner, makeAt }) => partName(owner, makeAt, group)))],
      pairs: pairsIn(uses),
    }));
  return { lines, parts: [...new Set(lines.flatMap(({ parts }) => parts))].join(', ') };
}

function partName(
  owner: FibrePortion['lines'][number]['owner'],
  makeAt: number,
  { makes }: PackGroup,
): string {
  const make = makes[makeAt];
  return make ? ownerWords(owner, make.build) : '';
}
