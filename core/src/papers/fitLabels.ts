import { cellWords } from './cell.ts';
import type { LabelSheet } from '../run/index.ts';
import { LABEL_INNER_MM } from './labels.ts';
import type { FigureSvg } from './figureSvg.ts';
import type { Paper, PaperLabel } from './paper.ts';

/** A label as it is stuck on: one of several where one has not room for all that is in a bag. */
export interface FittedLabel extends PaperLabel {
  readonly columns: 1 | 2;
  /** What lots of it say. */
  readonly notes: readonly string[];
  /** `2 of 3`; empty where it stands alone. */
  readonly place: string;
  /** At its upper right, beside title and bag line; null: there is no room for it. */
  readonly figureMm: { readonly widthMm: number; readonly heightMm: number } | null;
  /** Its code, at its lower right above the foot; null: it has none, or there is no room for one that can be scanned. */
  readonly codeMm: CodeOnLabel | null;
}

interface CodeOnLabel {
  readonly sideMm: number;
  /** Its signs stand under it, for who has nothing to scan with. */
  readonly hasSigns: boolean;
}

type Line = PaperLabel['lines'][number];

/** Points of what stands on every label: title, the bag’s own line, parts, foot. */
const AROUND_PT = 41;
const LABEL_LINE_PT = 10.4;
const NOTE_LINE_PT = 8.2;
/** Millimetres a letter takes, in the letters of a line and of a note, and what stands before a line. */
const LETTER_MM = 1.4;
const SMALL_LETTER_MM = 1.2;
const SWATCH_MM = 8;

/** Points of a label that lines and notes have, at least one line. */
const roomPt = ({ heightMm }: Pick<LabelSheet, 'heightMm'>): number =>
  Math.max(LABEL_LINE_PT, ((heightMm - 2 * LABEL_INNER_MM) * 72) / 25.4 - AROUND_PT);

/** How many lines a label has room for. */
export const labelRoom = (sheet: Pick<LabelSheet, 'heightMm'>): number =>
  Math.floor(roomPt(sheet) / LABEL_LINE_PT + 1e-9);

/** How many letters of a note there are in a line beside so much that is not for letters. */
const lettersOf = ({ widthMm }: Pick<LabelSheet, 'widthMm'>, besideMm: number): number =>
  Math.floor((widthMm - 2 * LABEL_INNER_MM - besideMm) / SMALL_LETTER_MM);

/** A QR of 21 modules: at 7 mm each is four dots of a printer with 300 to the inch. */
const [LEAST_CODE_MM, MOST_CODE_MM] = [7, 10];
/** Between what is written and a code, its quiet margin of four modules in it. */
export const CODE_GAP_MM = 2;
const FOOT_MM = 3;
/** Three groups of signs under one another. */
const CODE_SIGNS_MM = 6.5;
/** A label with less width for its words goes without. */
const LEAST_WORDS_MM = 26;

/** How large a code goes on a label of a sheet. */
function codeOnLabel(sheet: LabelSheet): CodeOnLabel | null {
  const roomMm = sheet.heightMm - 2 * LABEL_INNER_MM - FOOT_MM - figureHeightMm(sheet) - 0.5;
  const sideMm = Math.min(MOST_CODE_MM, roomMm);
  const wordsMm = sheet.widthMm - 2 * LABEL_INNER_MM - sideMm - CODE_GAP_MM;
  if (sideMm < LEAST_CODE_MM || wordsMm < LEAST_WORDS_MM) return null;
  return { sideMm, hasSigns: roomMm >= sideMm + CODE_SIGNS_MM };
}

/**
 * Labels as they fit a sheet. Nothing in a bag is left off its label: where one line for each fibre will not do they stand in
 * two columns, and where that will not do either the bag has several labels, one after another.
 */
export const fittedLabels = (
  { labels, figures }: Pick<Paper, 'labels' | 'figures'>,
  sheet: LabelSheet,
): FittedLabel[] => labels.flatMap((label) => fitted(label, figures[label.figureKey ?? ''] ?? null, sheet));

/** A label lower than this is set in smaller letters. */
export const isLowLabel = ({ heightMm }: Pick<LabelSheet, 'heightMm'>): boolean => heightMm < 30;

/** Title and bag line together are so high, mm: a figure stands beside them. */
const figureHeightMm = (sheet: LabelSheet): number => (isLowLabel(sheet) ? 6.5 : 8);
const MOST_FIGURE_WIDTH_MM = 16;
/** Millimetres a letter of the title takes, one of the bag line and one of the foot. */
const TITLE_LETTER_MM = 1.8;
const BAG_LETTER_MM = 1.2;
const FOOT_LETTER_MM = 1;

/** How large a figure goes beside the words of a label. */
function figureBeside(
  label: Omit<FittedLabel, 'figureMm' | 'codeMm'>,
  figure: FigureSvg | null,
  sheet: LabelSheet,
): FittedLabel['figureMm'] {
  if (!figure) return null;
  const widthMm = Math.min(MOST_FIGURE_WIDTH_MM, figureHeightMm(sheet) * figure.aspect);
  const wordsMm = Math.max(label.title.length * TITLE_LETTER_MM, bagLine(label).length * BAG_LETTER_MM);
  return wordsMm + widthMm + 1 > sheet.widthMm - 2 * LABEL_INNER_MM
    ? null
    : { widthMm, heightMm: widthMm / figure.aspect };
}

function fitted(label: PaperLabel, figure: FigureSvg | null, sheet: LabelSheet): FittedLabel[] {
  const codeMm = label.code === '' ? null : codeOnLabel(sheet);
  const besideMm = codeMm ? codeMm.sideMm + CODE_GAP_MM : 0;
  const innerMm = sheet.widthMm - 2 * LABEL_INNER_MM;
  const groups: Line[][] = [[]];
  for (const whole of label.lines) {
    const line = namedWithin(whole, sheet, besideMm);
    const last = groups.at(-1) ?? [];
    if (last.length === 0 || columnsFor([...last, line], sheet, besideMm) !== null) last.push(line);
    else groups.push([line]);
  }
  return groups.map((lines, at) => {
    const set = {
      ...label,
      title: shortened(label.title, Math.floor(innerMm / TITLE_LETTER_MM)),
      foot: shortened(label.foot, Math.floor(innerMm / FOOT_LETTER_MM)),
      lines,
      parts: shortened(
        [...new Set(lines.flatMap(({ parts }) => parts))].join(', '),
        lettersOf(sheet, besideMm),
      ),
      columns: columnsFor(lines, sheet, besideMm) ?? 1,
      notes: notesOf(lines, sheet, besideMm),
      place: groups.length === 1 ? '' : `${at + 1} of ${groups.length}`,
    };
    return { ...set, figureMm: figureBeside(set, figure, sheet), codeMm };
  });
}

/** In how many columns lines and their notes fit a label; null where they do not. */
function columnsFor(lines: readonly Line[], sheet: LabelSheet, besideMm: number): 1 | 2 | null {
  const notesPt = notesOf(lines, sheet, besideMm).reduce(
    (sum, note) => sum + Math.ceil(note.length / lettersOf(sheet, besideMm)) * NOTE_LINE_PT,
    0,
  );
  const fits = (rows: number) => rows * LABEL_LINE_PT + notesPt <= roomPt(sheet) + 1e-9;
  const wholeMm = sheet.widthMm - 2 * LABEL_INNER_MM - besideMm;
  if (fits(lines.reduce((sum, line) => sum + rowsOf(line, wholeMm), 0))) return 1;
  const halfMm = (wholeMm - 2) / 2;
  const isShort = ({ text, grams }: Line) =>
    SWATCH_MM + (text.length + cellWords(grams).length + 1) * LETTER_MM <= halfMm;
  return fits(Math.ceil(lines.length / 2)) && lines.every(isShort) ? 2 : null;
}

/** How many letters of a name there are in a row beside its grams. */
const nameLetters = ({ grams }: Pick<Line, 'grams'>, widthMm: number): number =>
  Math.max(LEAST_NAME_LETTERS, Math.floor((widthMm - SWATCH_MM) / LETTER_MM) - cellWords(grams).length - 1);
const LEAST_NAME_LETTERS = 6;

/** In how many rows a name stands beside its grams: broken between words, and within one that is longer than a row. */
function rowsOf(line: Line, widthMm: number): number {
  const most = nameLetters(line, widthMm);
  let [rows, used] = [1, 0];
  for (const { length } of line.text.split(' ')) {
    const wanted = used === 0 ? length : used + 1 + length;
    if (wanted <= most) used = wanted;
    else {
      rows += (used === 0 ? 0 : 1) + Math.ceil(length / most) - 1;
      used = length % most || Math.min(length, most);
    }
  }
  return rows;
}

/** A name that has not room on a whole label by itself ends where the label does. */
function namedWithin(line: Line, sheet: LabelSheet, besideMm: number): Line {
  const widthMm = sheet.widthMm - 2 * LABEL_INNER_MM - besideMm;
  const [letters, room] = [nameLetters(line, widthMm), labelRoom(sheet)];
  let named = line;
  for (let most = letters * room; rowsOf(named, widthMm) > room && most >= letters; most -= letters / 2)
    named = { ...line, text: shortened(line.text, Math.floor(most)) };
  return named;
}

/** Notes of the lots, with whose they are where there are several; one longer than a label stands whole on the pack list. */
function notesOf(lines: readonly Line[], sheet: LabelSheet, besideMm: number): string[] {
  const widthMm = sheet.widthMm - 2 * LABEL_INNER_MM - besideMm;
  const roomBeside = (line: Line): number =>
    Math.floor((roomPt(sheet) - rowsOf(line, widthMm) * LABEL_LINE_PT) / NOTE_LINE_PT + 1e-9) *
    lettersOf(sheet, besideMm);
  return lines
    .filter(({ note }) => note !== '')
    .map((line) => shortened(lines.length > 1 ? `${line.text}, ${line.note}` : line.note, roomBeside(line)))
    .filter((note) => note !== '');
}

/** As far as there is room, broken at a comma or between words. */
function shortened(text: string, most: number): string {
  if (text.length <= most) return text;
  if (most < 2) return '';
  const cut = text.slice(0, most - 2);
  const at = Math.max(cut.lastIndexOf(','), cut.lastIndexOf(' '));
  return `${at > 0 ? cut.slice(0, at) : cut} …`;
}

/** What stands under the title: the bag, when it is opened, and which of several labels this is. */
export function bagLine({ bag, keepBack, place }: Pick<FittedLabel, 'bag' | 'keepBack' | 'place'>): string {
  // “Open only if needed” says of a bag “only if needed” all there is to say.
  const isSaid = keepBack.toLowerCase().endsWith(bag.toLowerCase());
  return [isSaid ? '' : bag, keepBack, place].filter((word) => word !== '').join(' · ');
}
