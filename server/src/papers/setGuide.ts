import type { Wool } from '@lanakit/core/engine';
import { type Guide, guideOf, type GuideRequest, guideSvg } from '@lanakit/core/papers';
import { PAGE_SIZES_MM, type PageSize } from '@lanakit/core/run';
import type { Content } from 'pdfmake/interfaces.js';
import { pdfmakeWithFonts, pointsOf } from './pdfmakeWithFonts.ts';

/** A guide that is to be set. Plain data: it crosses into a worker. */
export interface GuideTask {
  readonly request: GuideRequest;
  /** What of the shelf its builds name. */
  readonly wool: Wool;
  readonly page: PageSize;
  /** One of its pages as SVG, from 1; null: all of them as a PDF. */
  readonly sheet: number | null;
}

/** A guide as a PDF, its fonts in it, or one page of it as SVG; null where it has no such page. */
export async function setGuide({ request, wool, page, sheet }: GuideTask): Promise<Buffer | null> {
  const guide = guideOf(request, wool, page);
  if (sheet === null) return guidePdf(request.title, guide, page);
  const asked = guide.pages[sheet - 1];
  return asked ? Buffer.from(guideSvg(asked, page), 'utf8') : null;
}

async function guidePdf(title: string, { pages }: Guide, page: PageSize): Promise<Buffer> {
  const { widthMm, heightMm } = PAGE_SIZES_MM[page];
  const content = pages.map((guidePage, at): Content => ({
    svg: guideSvg(guidePage, page, 'pt'),
    width: pointsOf(widthMm),
    height: pointsOf(heightMm),
    ...(at > 0 && { pageBreak: 'before' as const }),
  }));
  return pdfmakeWithFonts()
    .createPdf({
      pageSize: { width: pointsOf(widthMm), height: pointsOf(heightMm) },
      pageMargins: [0, 0, 0, 0],
      info: { title, creator: 'Lanakit', producer: 'Lanakit' },
      defaultStyle: { font: 'SourceSans', fontSize: 1, lineHeight: 1 },
      content: content.length > 0 ? content : [{ text: '' }],
    })
    .getBuffer();
}
