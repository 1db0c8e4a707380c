import type { Block, Booklet, BookletPart } from '@lanakit/core/papers';
import type { Bed } from './bed.ts';
import { blocksUnits } from './blockUnits.ts';
import { feet } from './feet.ts';
import { flow } from './flow.ts';
import { finishContents, setFront } from './front.ts';
import type { Pen } from './pen.ts';
import type { Setting } from './setting.ts';
import { columnWidthPt } from './sheetOf.ts';
import { type Tagged, tagged } from './structure.ts';
import { keepingNext, together, type Unit } from './units.ts';
import { wordUnits } from './wordUnits.ts';

/** Everything a link may lead to. */
export function anchorsOf({ parts }: Booklet): ReadonlySet<string> {
  const inside = (block: Block): string[] =>
    block.is === 'step' || block.is === 'piece'
      ? [block.anchor, ...block.blocks.flatMap(inside)]
      : 'anchor' in block && block.anchor !== null
        ? [block.anchor]
        : [];
  return new Set(parts.flatMap(({ anchor, blocks }) => [anchor, ...blocks.flatMap(inside)]));
}

/** Where each part begins: on which of the booklet’s pages, from 1. */
type Begun = Map<string, { readonly page: number; readonly outline: PDFKit.PDFOutline | null }>;

/** Sets a booklet on the pages of a bed. */
export function setBookletIn(pen: Pen, setting: Setting, bed: Bed): void {
  const { sheet, booklet } = setting;
  let [column, yPt, topPt] = [0, sheet.marginPt, sheet.marginPt];
  let corner = bed.add();
  const bottomPt = sheet.heightPt - sheet.marginPt - sheet.footPt;
  const begun: Begun = new Map();
  const newPage = () => {
    corner = bed.add();
    [column, topPt, yPt] = [0, sheet.marginPt, sheet.marginPt];
  };
  const { contents, usedPt } = setFront(pen, setting, corner);
  topPt = yPt = sheet.marginPt + usedPt;
  const room = {
    leftPt: () => bottomPt - yPt,
    columnPt: bottomPt - sheet.marginPt,
    isAtTop: () => yPt <= topPt + 1e-6,
    nextColumn: () => {
      if (column + 1 < sheet.columns) [column, yPt] = [column + 1, topPt];
      else newPage();
    },
    nextPage: newPage,
    place: (unit: Unit, isRepeat: boolean) => {
      const abovePt = yPt <= topPt + 1e-6 ? 0 : unit.abovePt;
      const xPt = sheet.marginPt + column * (columnWidthPt(sheet) + sheet.gutterPt);
      unit.draw(pen, corner.xPt + xPt, corner.yPt + yPt + abovePt, isRepeat);
      yPt += abovePt + unit.heightPt;
    },
  };
  const section = new Map<string, Tagged>();
  // All in one: what ends a part may have to stay with what begins the next.
  flow(
    booklet.parts.flatMap((part) => partUnits(part, section, setting, begun, bed.count)),
    room,
  );
  if (sheet.hasContents) finishContents(pen, setting, contents, { begun, bed });
  if (sheet.hasFeet) feet(pen, setting, bed);
}

function partUnits(
  { anchor, title, within, blocks }: BookletPart,
  section: Map<string, Tagged>,
  setting: Setting,
  begun: Begun,
  pageNow: () => number,
): Unit[] {
  const parent = within === null ? null : (section.get(within) ?? null);
  const node = tagged('Sect', parent);
  section.set(anchor, node);
  const isWithin = within !== null;
  const heading = wordUnits(
    [{ text: title, isStrong: true }],
    { sizePt: isWithin ? setting.headPt * 1.12 : setting.titlePt, abovePt: setting.sizePt * (isWithin ? 1.4 : 2) },
    tagged('H2', node),
    setting,
  ).map((unit, at): Unit =>
    at > 0
      ? unit
      : {
          ...unit,
          draw: (pen, xPt, yPt, isRepeat) => {
            const above = within === null ? pen.outline() : (begun.get(within)?.outline ?? pen.outline());
            begun.set(anchor, { page: pageNow(), outline: above.addItem(title, { expanded: false }) });
            pen.anchor(anchor, yPt);
            unit.draw(pen, xPt, yPt, isRepeat);
          },
        });
  const [first] = blocks;
  const intro = first?.is === 'words' && blocks.length > 1 ? blocks.slice(0, 1) : [];
  const place = { xPt: 0, parent: node };
  // What introduces it is not left behind with its heading.
  return [
    ...keepingNext(heading),
    ...together([...blocksUnits(intro, place, setting)]).map((unit) => ({ ...unit, keepsNext: true })),
    ...blocksUnits(blocks.slice(intro.length), place, setting),
  ];
} // prettier-ignore
