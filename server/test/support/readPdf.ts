import { getDocument, type PDFPageProxy } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** A PDF as a reader of them sees it that is not ours. To be ended. */
export async function readPdf(bytes: Buffer) {
  const loading = getDocument({ data: new Uint8Array(bytes), useSystemFonts: false, verbosity: 0 });
  const pdf = await loading.promise;
  const pages = [];
  for (let number = 1; number <= pdf.numPages; number++) {
    const page = await pdf.getPage(number);
    const { items } = await page.getTextContent();
    pages.push({ page, items: items.flatMap((item) => ('str' in item ? [item] : [])) });
  }
  return { pdf, pages, end: () => loading.destroy() };
}

/** Without what a line’s end, a gap between letters or a hyphen makes of it. */
export const bare = (text: string): string => text.replaceAll(/\s+/g, '').replaceAll('\u00AD', '');

export const lettersOf = ({ items }: { readonly items: readonly { readonly str: string }[] }): string =>
  bare(items.map(({ str }) => str).join(' '));

export interface TagNode {
  readonly role?: string;
  readonly alt?: string;
  readonly type?: string;
  readonly id?: string;
  readonly children?: readonly TagNode[];
}

/** The words of a page in the order of its tags, as a screen reader says them. */
export async function blindly(page: PDFPageProxy): Promise<string> {
  const { items } = await page.getTextContent({ includeMarkedContent: true });
  const heard = new Map<string, string>();
  let open: string | null = null;
  for (const item of items) {
    if ('str' in item) {
      if (open !== null) heard.set(open, `${heard.get(open) ?? ''}${item.str} `);
    } else if (item.type === 'beginMarkedContentProps') open = item.id ?? null;
    else if (item.type === 'endMarkedContent') open = null;
  }
  const read = (node: TagNode): string =>
    node.type === 'content' ? (heard.get(node.id ?? '') ?? '') : (node.children ?? []).map(read).join(' ');
  return read(await page.getStructTree());
}
