import type { Booklet, BookletTerms } from '@lanakit/core/papers';
import type { StudioPictures } from './bookletImages.ts';
import { frontMarkup, type MarkupSources, partMarkup } from './bookletMarkup.ts';
import { element, escaped } from './html.ts';
import { htmlSources } from './htmlSources.ts';

/** A listing as a piece of HTML that is pasted into a page: no style and no script of its own, its pictures in it. */
export async function listingHtml(listing: Booklet, terms: Pick<BookletTerms, 'ink'>, pictures: StudioPictures): Promise<Buffer> {
  const sources: MarkupSources = {
    ...(await htmlSources(listing, terms, pictures)),
    canTick: false,
    sheet: () => '',
    hrefOf: () => null,
  };
  const body = element(
    'article',
    { lang: listing.language },
    frontMarkup(listing, sources),
    ...listing.parts.map((part) => partMarkup(part, sources)),
  );
  return Buffer.from(`<!-- ${escaped(listing.title).replaceAll('--', '')} -->\n${body}\n`, 'utf8');
} // prettier-ignore
