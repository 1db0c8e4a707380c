import { isWebAddress } from '@lanakit/core/papers';
import type { Measure, TextLine } from './lines.ts';
import type { Structure, Tagged } from './structure.ts';

export const INK = '#1d2733';
export const QUIET = '#55616d';
export const LINE = '#8a9299';
export const RED = '#a8321f';

/** A picture that is ready to be set. */
export interface ReadyImage {
  readonly bytes: Buffer;
  /** Across ÷ down. */
  readonly aspect: number;
}

/** Draws on pages, and says what it draws to whoever cannot see it. */
export interface Pen {
  readonly doc: PDFKit.PDFDocument;
  /** Under which its bookmarks stand. */
  readonly outline: () => PDFKit.PDFOutline;
  readonly structure: Structure;
  readonly measure: Measure;
  readonly line: (line: TextLine, at: TextPlace, node: Tagged | null) => void;
  readonly text: (text: string, at: TextPlace & { readonly font: string }, node: Tagged | null) => void;
  readonly rule: (xPt: number, yPt: number, widthPt: number) => void;
  readonly box: (xPt: number, yPt: number, sizePt: number) => void;
  readonly image: (image: ReadyImage, at: ImagePlace, node: Tagged | null) => void;
  /** A place that links lead to. */
  readonly anchor: (name: string, yPt: number) => void;
}

interface TextPlace {
  readonly xPt: number;
  /** Of its line’s top. */
  readonly yPt: number;
  readonly sizePt: number;
  readonly colour: string;
}

interface ImagePlace {
  readonly xPt: number;
  readonly yPt: number;
  readonly widthPt: number;
  readonly heightPt: number;
}

/** How far the letters’ base lies under the top of a line of them, of its size. */
const ASCENT = 0.93;

/** What one booklet in a document is drawn with. */
interface PenFacts extends Pick<Pen, 'outline' | 'structure' | 'measure'> {
  /** Before its anchors: booklets of one document have the same. */
  readonly prefix: string;
  readonly anchors: ReadonlySet<string>;
}

export function penOf(doc: PDFKit.PDFDocument, { outline, structure, measure, prefix, anchors }: PenFacts): Pen {
  const write = (text: string, font: string, { xPt, yPt, sizePt, colour }: TextPlace) => {
    doc.font(font).fontSize(sizePt).fillColor(colour);
    doc.text(text, xPt, yPt + sizePt * ASCENT, { lineBreak: false, baseline: 'alphabetic' });
  };
  return {
    doc,
    outline,
    structure,
    measure,
    line({ stretches }, at, node) {
      structure.draw(node, () => {
        for (const { text, font, xPt } of stretches) write(text, font, { ...at, xPt: at.xPt + xPt });
      });
      for (const { to, xPt, widthPt } of stretches)
        if (to !== null && node) {
          const box = [at.xPt + xPt, at.yPt, widthPt, at.sizePt * 1.2] as const;
          if (isWebAddress(to)) doc.link(...box, to, linkIn(structure, node));
          else if (anchors.has(to)) doc.goTo(...box, prefix + to, linkIn(structure, node));
        }
    },
    text: (text, { font, ...at }, node) => structure.draw(node, () => write(text, font, at)),
    rule: (xPt, yPt, widthPt) =>
      structure.draw(null, () => {
        doc.moveTo(xPt, yPt).lineTo(xPt + widthPt, yPt).lineWidth(0.4).strokeColor(LINE).stroke();
      }),
    box: (xPt, yPt, sizePt) =>
      structure.draw(null, () => {
        doc.rect(xPt, yPt, sizePt, sizePt).lineWidth(0.6).strokeColor(INK).stroke();
      }),
    image: (image, { xPt, yPt, widthPt, heightPt }, node) =>
      structure.draw(node, () => {
        doc.image(openedIn(doc, image), xPt, yPt, { width: widthPt, height: heightPt });
      }),
    anchor: (name, yPt) => doc.addNamedDestination(prefix + name, 'XYZ', 0, yPt, 0),
  };
} // prettier-ignore

/** Read once, and once in the file, however often it is shown. */
const opened = new WeakMap<PDFKit.PDFDocument, WeakMap<ReadyImage, PDFKit.Mixins.ImageSrc>>();

function openedIn(doc: PDFKit.PDFDocument, image: ReadyImage): PDFKit.Mixins.ImageSrc {
  const images = opened.get(doc) ?? new WeakMap<ReadyImage, PDFKit.Mixins.ImageSrc>();
  opened.set(doc, images);
  const known = images.get(image) ?? (doc as PDFKit.PDFDocument & ImageOpener).openImage(image.bytes);
  images.set(image, known);
  return known;
}

/** Missing from the types of the library. */
interface ImageOpener {
  readonly openImage: (bytes: Buffer) => PDFKit.Mixins.ImageSrc;
}

/** A link is told as one, beside the words it stands in. */
function linkIn(structure: Structure, node: Tagged): PDFKit.Mixins.AnnotationOption {
  const link = structure.elementOf({ tag: 'Link', parent: node });
  return { structParent: link } as PDFKit.Mixins.AnnotationOption;
}
