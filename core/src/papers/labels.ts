import type { Bag, FibrePortion } from '../portions/index.ts';
import { checkRange, checkWhole, type Problem } from '../problems/index.ts';
import type { Pack, PackGroup } from '../run/index.ts';
import {
  bagWords,
  creditLine,
  fibreNamesOf,
  ownerWords,
  packWords,
  showDay,
  sizedWords,
  keepBackWords,
} from '../words/index.ts';
import type { PaperLabel, PaperSource } from './paper.ts';
import { lotNotesOf } from './lotNotes.ts';
import { creditsOfGroup, fibreName, portionGrams, swatchOf } from './shown.ts';

export const PAGE_SIZES_MM = {
  a4: { widthMm: 210, heightMm: 297 },
  letter: { widthMm: 215.9, heightMm: 279.4 },
} as const;
export type PageSize = keyof typeof PAGE_SIZES_MM;

/** A sheet of labels as it is bought: how many, and how far from the edges and from one another. */
export interface LabelSheet {
  readonly page: PageSize;
  readonly rows: number;
  readonly columns: number;
  readonly topMm: number;
  readonly leftMm: number;
  readonly heightMm: number;
  readonly widthMm: number;
  readonly gapDownMm: number;
  readonly gapAcrossMm: number;
  /** Labels of the first sheet that are used up already. */
  readonly used: number;
}

export const LABEL_SHEET: LabelSheet = {
  page: 'a4',
  rows: 7,
  columns: 3,
  topMm: 12,
  leftMm: 7,
  heightMm: 38,
  widthMm: 64,
  gapDownMm: 0,
  gapAcrossMm: 2,
  used: 0,
};

export const LABEL_BOUNDS = {
  rows: { min: 1, max: 30 },
  columns: { min: 1, max: 12 },
  topMm: { min: 0, max: 200 },
  leftMm: { min: 0, max: 200 },
  heightMm: { min: 10, max: 300 },
  widthMm: { min: 15, max: 300 },
  gapDownMm: { min: 0, max: 100 },
  gapAcrossMm: { min: 0, max: 100 },
} as const;

/** Why labels cannot be laid out so. */
export function checkLabelSheet(sheet: LabelSheet): Problem[] {
  const page = PAGE_SIZES_MM[sheet.page];
  const ranges = [
    ...checkWhole(sheet.rows, LABEL_BOUNDS.rows, '/rows'),
    ...checkWhole(sheet.columns, LABEL_BOUNDS.columns, '/columns'),
    ...(['topMm', 'leftMm', 'heightMm', 'widthMm', 'gapDownMm', 'gapAcrossMm'] as const).flatMap((key) =>
      checkRange(sheet[key], LABEL_BOUNDS[key], `/${key}`),
    ),
    ...checkWhole(sheet.used, { min: 0, max: Math.max(0, sheet.rows * sheet.columns - 1) }, '/used'),
  ];
  if (ranges.length > 0) return ranges;
  const across = sheet.leftMm + sheet.columns * sheet.widthMm + (sheet.columns - 1) * sheet.gapAcrossMm;
  const down = sheet.topMm + sheet.rows * sheet.heightMm + (sheet.rows - 1) * sheet.gapDownMm;
  return [
    ...(across > page.widthMm + 1e-9
      ? [{ code: 'labels_too_wide', pointer: '/columns', neededMm: across, pageMm: page.widthMm } as const]
      : []),
    ...(down > page.heightMm + 1e-9
      ? [{ code: 'labels_too_tall', pointer: '/rows', neededMm: down, pageMm: page.heightMm } as const]
      : []),
  ];
}

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
    const own = byGroup.get(group.key) ?? bagsOfGroup(group, source);
    byGroup.set(group.key, own);
    return own.map(({ bag, bagKey, ...label }) => ({
      ...label,
      bag,
      title: titleOf(pack),
      lines: label.lines.map(({ fibreId, ...line }) => ({
        ...line,
        note: lotNotes([pack.id], bagKey, fibreId).join('; '),
      })),
    }));
  });
}

/** What is alike on the labels of all packs of a group. */
type BagLabel = Omit<PaperLabel, 'title' | 'lines'> & {
  readonly bagKey: string;
  readonly lines: readonly (Omit<PaperLabel['lines'][number], 'note'> & { readonly fibreId: string })[];
};

function titleOf(pack: Pack): string {
  const own = [sizedWords(pack.seat?.sizeFraction ?? 1), pack.seat?.isLeftHanded ? 'left-handed' : '']
    .filter((word) => word !== '')
    .join(', ');
  return own === '' ? packWords(pack) : `${packWords(pack)} (${own})`;
}

function bagsOfGroup(group: PackGroup, source: PaperSource): BagLabel[] {
  const own = source.plan.groups.find(({ key }) => key === group.key)?.plan;
  const foot = [
    source.input.name,
    showDay(source.input.date, { year: true }),
    creditLine(creditsOfGroup(group)),
  ]
    .filter((word) => word !== '')
    .join(' · ');
  return (own?.bags ?? []).map((bag) => ({
    bagKey: bag.key,
    bag: bagWords(bag, group, (id) => fibreName(source, id)),
    ...bagLines(bag, own?.fibres ?? [], group, source),
    keepBack: keepBackWords(bag),
    foot,
  }));
}

function bagLines(bag: Bag, fibres: readonly FibrePortion[], group: PackGroup, source: PaperSource) {
  const lines = fibres
    .filter((portion) => portion.bag === bag.key)
    .map(({ fibreId, packG, exactG, unknownCount, lines: uses }) => ({
      fibreId,
      swatch: swatchOf(source.wool.fibres.get(fibreId)),
      // What is no longer on the shelf has no name to be told apart by.
      text: source.wool.fibres.has(fibreId) ? fibreNamesOf(source.wool)(fibreId) : fibreName(source, fibreId),
      grams: portionGrams({ packG, exactG, unknownCount }, source.input),
      parts: [...new Set(uses.map(({ owner, makeAt }) => partName(owner, makeAt, group)))],
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
