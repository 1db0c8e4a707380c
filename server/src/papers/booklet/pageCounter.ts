import { plainBed } from './bed.ts';
import { measureOf } from './measureOf.ts';
import { newDocument } from './pdfDocument.ts';
import { penOf } from './pen.ts';
import { anchorsOf, setBookletIn } from './setBookletIn.ts';
import type { Setting } from './setting.ts';
import type { Sheet } from './sheetOf.ts';
import { structureOfDocument } from './structure.ts';

/** Counts the pages of booklets by setting each where nobody sees it; the same one is set once. */
export function pageCounter(sheet: Sheet, at: Date): (setting: Setting) => number {
  const doc = newDocument({ title: 'counted', language: 'en-GB' }, sheet, at);
  const structure = structureOfDocument(doc);
  const measure = measureOf(doc);
  const counted = new Map<Setting['booklet'], number>();
  return (setting) => {
    const { booklet } = setting;
    const known = counted.get(booklet);
    if (known !== undefined) return known;
    const bed = plainBed(doc, sheet);
    const part = structure.part(booklet.title);
    const pen = penOf(doc, {
      outline: () => doc.outline,
      structure: part,
      measure,
      prefix: `${counted.size}-`,
      anchors: anchorsOf(booklet),
    });
    setBookletIn(pen, setting, bed);
    const count = bed.count();
    doc.flushPages();
    counted.set(booklet, count);
    return count;
  };
}
