import type { Block, BookletPicture, Words } from '@lanakit/core/papers';
import { FONTS, linesOf } from './lines.ts';
import { INK, QUIET, RED } from './pen.ts';
import { type Setting, swatchKey } from './setting.ts';
import { tableUnits } from './tableUnits.ts';
import { type Tagged, tagged } from './structure.ts';
import { heightOf, keepingNext, together, type Unit } from './units.ts';
import { wordUnits } from './wordUnits.ts';

/** Where a block stands in its column. */
interface Within {
  readonly xPt: number;
  readonly parent: Tagged | null;
}

export const blocksUnits = (blocks: readonly Block[], within: Within, setting: Setting): Unit[] =>
  blocks.flatMap((block) => blockUnits(block, within, setting));

function blockUnits(block: Block, within: Within, setting: Setting): Unit[] {
  const { xPt, parent } = within;
  switch (block.is) {
    case 'words':
      return wordUnits(
        block.words,
        block.tone === 'quiet' ? { xPt, colour: QUIET, sizePt: setting.smallPt } : { xPt },
        tagged('P', parent),
        setting,
      );
    case 'heading':
      return keepingNext(
        wordUnits(
          [{ text: block.text, isStrong: true }],
          { xPt, sizePt: setting.headPt, abovePt: setting.sizePt * 1.1 },
          tagged('H3', parent),
          setting,
        ),
      );
    case 'list':
      return listUnits(block, within, setting);
    case 'facts':
      return factUnits(block, within, setting);
    case 'table':
      return tableUnits(block, parent, setting);
    case 'pictures':
      return pictureUnits(block.pictures, within, setting);
    case 'caution':
      return cautionUnits(block, within, setting);
    case 'boxes':
      return boxUnits(block.boxes, within, setting);
    // On pages of their own, after all the others.
    case 'sheets':
      return [];
    case 'step':
      return stepUnits(block, setting, parent);
    case 'piece':
      return pieceUnits(block, setting, parent);
  }
}

function listUnits({ items, isNumbered }: Extract<Block, { is: 'list' }>, { xPt, parent }: Within, setting: Setting): Unit[] {
  const list = tagged('L', parent);
  const hangPt = setting.sizePt * 1.3;
  return items.flatMap((words, nth) => {
    const item = tagged('LI', list);
    const mark = isNumbered ? `${nth + 1}.` : '–';
    return wordUnits(words, { xPt: xPt + hangPt, abovePt: setting.sizePt * 0.25 }, tagged('LBody', item), setting).map(
      (unit, at): Unit =>
        at > 0
          ? unit
          : {
              ...unit,
              draw: (pen, left, yPt, isRepeat) => {
                const place = { xPt: left + xPt, yPt, sizePt: setting.sizePt, colour: QUIET, font: FONTS.plain };
                pen.text(mark, place, tagged('Lbl', item));
                unit.draw(pen, left, yPt, isRepeat);
              },
            },
    );
  });
} // prettier-ignore

/** What each is called beside what is said of it. */
function factUnits({ rows }: Extract<Block, { is: 'facts' }>, { xPt, parent }: Within, setting: Setting): Unit[] {
  const { sizePt, smallPt, lead, measure } = setting;
  const list = tagged('L', parent);
  const widest = Math.max(0, ...rows.map(({ label }) => measure(label, FONTS.plain, smallPt)));
  const labelPt = Math.min(widest + sizePt, (setting.widthPt - xPt) * 0.34);
  const swatchPt = rows.some(({ swatch }) => swatch) ? sizePt * 2.1 : 0;
  return rows.flatMap(({ label, swatch, words }) => {
    const item = tagged('LI', list);
    const [lbl, body] = [tagged('Lbl', item), tagged('LBody', item)];
    const image = swatch ? setting.swatches.get(swatchKey(swatch)) : undefined;
    const textPt = xPt + labelPt + (image ? swatchPt : 0);
    const labels = linesOf([{ text: label }], labelPt - sizePt * 0.5, smallPt, measure);
    const lines = linesOf(words, setting.widthPt - textPt, sizePt, measure);
    const linePt = sizePt * lead;
    const heightPt = Math.max(lines.length, labels.length, 1) * linePt;
    const unit: Unit = {
      heightPt,
      keepsNext: false,
      abovePt: sizePt * 0.22,
      draw: (pen, left, yPt) => {
        labels.forEach((line, at) =>
          pen.line(line, { xPt: left + xPt, yPt: yPt + at * linePt + (sizePt - smallPt) * 0.8, sizePt: smallPt, colour: QUIET }, lbl));
        if (image)
          pen.image(image, { xPt: left + xPt + labelPt, yPt: yPt + sizePt * 0.22, widthPt: swatchPt * 0.8, heightPt: sizePt * 0.75 }, null);
        lines.forEach((line, at) => pen.line(line, { xPt: left + textPt, yPt: yPt + at * linePt, sizePt, colour: INK }, body));
      },
    };
    return [unit];
  });
} // prettier-ignore

function cautionUnits({ name, words }: { readonly name: string; readonly words: string }, { xPt, parent }: Within, setting: Setting): Unit[] {
  const indentPt = setting.sizePt * 0.9;
  const units = wordUnits(
    [{ text: `${name}. `, isStrong: true }, { text: words }],
    { xPt: xPt + indentPt, abovePt: setting.sizePt * 0.6 },
    tagged('P', parent),
    setting,
  );
  // A bar in its margin, as high as the lines.
  return together(units).map((unit): Unit => ({
    ...unit,
    draw: (pen, left, yPt, isRepeat) => {
      pen.structure.draw(null, () => {
        pen.doc.rect(left + xPt, yPt, setting.sizePt * 0.22, unit.heightPt).fill(RED);
      });
      unit.draw(pen, left, yPt, isRepeat);
    },
  }));
} // prettier-ignore

/** Boxes to tick, side by side. */
function boxUnits(boxes: Extract<Block, { is: 'boxes' }>['boxes'], { xPt, parent }: Within, setting: Setting): Unit[] {
  const { sizePt, smallPt, lead, measure } = setting;
  const room = setting.widthPt - xPt;
  const lines: { readonly words: string; readonly atPt: number }[][] = [[]];
  let atPt = 0;
  for (const { words } of boxes) {
    const wide = sizePt * 1.1 + measure(words, FONTS.plain, smallPt) + sizePt;
    if (atPt > 0 && atPt + wide > room) {
      lines.push([]);
      atPt = 0;
    }
    lines.at(-1)?.push({ words, atPt });
    atPt += wide;
  }
  const node = tagged('P', parent);
  return lines.map((line, nth): Unit => ({
    heightPt: sizePt * lead * 1.1,
    keepsNext: false,
    abovePt: nth === 0 ? sizePt * 0.35 : 0,
    draw: (pen, left, yPt) => {
      for (const { words, atPt: at } of line) {
        pen.box(left + xPt + at, yPt + sizePt * 0.25, sizePt * 0.75);
        pen.text(words, { xPt: left + xPt + at + sizePt * 1.1, yPt: yPt + sizePt * 0.1, sizePt: smallPt, colour: INK, font: FONTS.plain }, node);
      }
    },
  }));
} // prettier-ignore

/** A picture of a step is so many lines of text high at the most. */
const MOST_HIGH = 11;

/** Pictures side by side as far as they go, each with its caption beneath. */
function pictureUnits(pictures: readonly BookletPicture[], { xPt, parent }: Within, setting: Setting): Unit[] {
  const { sizePt, smallPt, lead, measure, sheet } = setting;
  const roomPt = setting.widthPt - xPt;
  const mostHighPt = Math.min(sheet.heightPt * 0.24, sizePt * MOST_HIGH);
  const gapPt = sizePt;
  const ready = pictures.flatMap((picture) => {
    const image = setting.images.get(picture.key);
    if (!image) return [];
    const highPt = Math.min(mostHighPt, roomPt / image.aspect);
    return [{ picture, image, highPt, widePt: highPt * image.aspect }];
  });
  const rows: (typeof ready)[] = [];
  let atPt = 0;
  for (const each of ready) {
    const last = rows.at(-1);
    if (!last || atPt + each.widePt > roomPt) {
      rows.push([each]);
      atPt = each.widePt + gapPt;
    } else {
      last.push(each);
      atPt += each.widePt + gapPt;
    }
  }
  return rows.map((row): Unit => {
    const captions = row.map(({ picture, widePt }) =>
      picture.caption === '' ? [] : linesOf([{ text: picture.caption }], Math.max(widePt, sizePt * 8), smallPt, measure));
    const captionPt = Math.max(0, ...captions.map((lines) => lines.length)) * smallPt * lead;
    const highPt = Math.max(...row.map((each) => each.highPt));
    return {
      heightPt: highPt + captionPt + sizePt * 0.3,
      keepsNext: false,
      abovePt: sizePt * 0.5,
      draw: (pen, left, yPt) => {
        let x = left + xPt;
        row.forEach(({ picture, image, widePt, highPt: high }, nth) => {
          const figure = tagged('Figure', parent, picture.alt);
          pen.image(image, { xPt: x, yPt, widthPt: widePt, heightPt: high }, figure);
          captions[nth]?.forEach((line, at) =>
            pen.line(line, { xPt: x, yPt: yPt + high + sizePt * 0.2 + at * smallPt * lead, sizePt: smallPt, colour: QUIET }, tagged('Caption', figure)));
          x += widePt + gapPt;
        });
      },
    };
  });
} // prettier-ignore

/** So much of a column a step may be and still never be broken: moved on whole it leaves less than that empty. */
const WHOLE_FRACTION = 0.42;

/** Its number hangs in the margin; cautions stand with its first words, pictures with its last. */
function stepUnits(block: Extract<Block, { is: 'step' }>, setting: Setting, parent: Tagged | null): Unit[] {
  const { sizePt, terms, sheet } = setting;
  const node = tagged('Sect', parent);
  const hangPt = sizePt * 2.6;
  const within: Within = { xPt: hangPt, parent: node };
  const cautions = block.cautions.flatMap((caution) => cautionUnits(caution, within, setting));
  const marks: Words = [{ text: block.marks.join(' · ') }];
  const number = tagged('Lbl', node);
  const body = blocksUnits(block.blocks, within, setting);
  const words = body.map((unit, at): Unit =>
    at > 0
      ? unit
      : {
          ...unit,
          abovePt: cautions.length > 0 ? sizePt * 0.4 : sizePt * 1.2,
          draw: (pen, left, yPt, isRepeat) => {
            pen.anchor(block.anchor, yPt);
            const place = { xPt: left, yPt: yPt - sizePt * 0.12, sizePt: sizePt * 1.3, colour: INK, font: FONTS.strong };
            pen.text(String(block.number), place, number);
            unit.draw(pen, left, yPt, isRepeat);
          },
        });
  const below = [
    ...(block.marks.length > 0
      ? wordUnits(marks, { xPt: hangPt, colour: QUIET, sizePt: setting.smallPt, abovePt: sizePt * 0.3 }, tagged('P', node), setting)
      : []),
    ...pictureUnits(block.pictures, within, setting),
  ];
  const head = keepingNext([...together(cautions), ...words.slice(0, 1)]);
  const tail = together([...words.slice(1).slice(-1), ...below]);
  const middle = words.slice(1, -1);
  const all = [...(cautions.length > 0 ? keepingNext(head) : head), ...middle, ...tail];
  const [first, ...others] = all;
  if (!first) return [];
  const begun = terms.isStepAPage ? { ...first, isNewPage: true as const } : { ...first, abovePt: sizePt * 1.2 };
  const units = [begun, ...others];
  return heightOf(units) <= (sheet.heightPt - 2 * sheet.marginPt) * WHOLE_FRACTION ? together(units) : units;
} // prettier-ignore

function pieceUnits(block: Extract<Block, { is: 'piece' }>, setting: Setting, parent: Tagged | null): Unit[] {
  const { sizePt, headPt, lead, measure } = setting;
  const node = tagged('Sect', parent);
  const title = `${block.number}  ${block.title}`;
  const aside = linesOf(block.aside, setting.widthPt, setting.smallPt, measure)[0];
  const [heading, aside1] = [tagged('H3', node), tagged('P', node)];
  const head: Unit = {
    heightPt: headPt * lead + sizePt * 0.2,
    keepsNext: true,
    abovePt: sizePt * 1.1,
    draw: (pen, left, yPt) => {
      pen.anchor(block.anchor, yPt);
      pen.rule(left, yPt - sizePt * 0.25, setting.widthPt);
      pen.text(title, { xPt: left, yPt, sizePt: headPt, colour: INK, font: FONTS.strong }, heading);
      if (aside)
        pen.line(aside, { xPt: left + setting.widthPt - aside.widthPt, yPt: yPt + headPt - setting.smallPt, sizePt: setting.smallPt, colour: QUIET }, aside1);
    },
  };
  const units = [head, ...blocksUnits(block.blocks, { xPt: 0, parent: node }, setting)];
  return heightOf(units) <= (setting.sheet.heightPt - 2 * setting.sheet.marginPt) * WHOLE_FRACTION ? together(units) : units;
} // prettier-ignore
