/** What a reader of the page is told of it: the tags of PDF (ISO 32000-1, 14.8). */
export interface Tagged {
  readonly tag: string;
  readonly alt?: string;
  readonly parent: Tagged | null;
}

export const tagged = (tag: string, parent: Tagged | null, alt?: string): Tagged => ({
  tag,
  parent,
  ...(alt !== undefined && { alt }),
});

type Content = ReturnType<PDFKit.PDFDocument['markStructureContent']>;

/** Of a whole document; each booklet in it has a part of its own. */
export function structureOfDocument(doc: PDFKit.PDFDocument) {
  const root = doc.struct('Document');
  doc.addStructure(root);
  return {
    part(title: string): Structure {
      const element = doc.struct('Part', { title });
      root.add(element);
      return structureUnder(doc, element);
    },
    end: (): void => root.end(),
  };
}

/** Elements are made when the first of them is drawn, so that they stand in the order in which they are read. */
function structureUnder(doc: PDFKit.PDFDocument, root: PDFKit.PDFStructureElement) {
  const made = new Map<Tagged, PDFKit.PDFStructureElement>();
  const elementOf = (node: Tagged): PDFKit.PDFStructureElement => {
    const known = made.get(node);
    if (known) return known;
    const parent = node.parent ? elementOf(node.parent) : root;
    const element = doc.struct(node.tag, node.alt === undefined ? {} : { alt: node.alt });
    parent.add(element);
    made.set(node, element);
    return element;
  };
  return {
    /** Draws what belongs to an element; null: nothing that is read. */
    draw(node: Tagged | null, work: () => void): void {
      if (!node) {
        doc.markContent('Artifact', { type: 'Layout' });
        work();
        doc.endMarkedContent();
        return;
      }
      const element = elementOf(node);
      const content: Content = doc.markStructureContent(node.tag);
      work();
      doc.endMarkedContent();
      element.add(content);
    },
    elementOf,
    end(): void {
      root.end();
      // They are written; of what they were only the number is asked for by now, and a class has a hundred thousand of them.
      for (const { dictionary } of made.values() as Iterable<PDFKit.PDFStructureElement & Written>)
        dictionary.data = {};
      made.clear();
    },
  };
}

/** Missing from the types of the library. */
interface Written {
  readonly dictionary: { data: object };
}

export type Structure = ReturnType<typeof structureUnder>;
