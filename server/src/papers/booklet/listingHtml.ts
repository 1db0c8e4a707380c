import type { Booklet, BookletTerms } from '@lanakit/core/papers';
import { bookletImages, bookletSwatches, imageDrawer, type StudioPictures } from './bookletImages.ts';
import { frontMarkup, type MarkupSources, partMarkup } from './bookletMarkup.ts';
import { dataUri } from './dataUri.ts';
import { element, escaped } from './html.ts';

/** A listing as a piece of HTML that is pasted into a page: no style and no script of its own, its pictures in it. */
export async function listingHtml(listing: Booklet, terms: Pick<BookletTerms, 'ink'>, pictures: StudioPictures): Promise<Buffer> {
  const draw = imageDrawer(terms, pictures);
  const [images, swatches] = [await bookletImages(listing, draw), await bookletSwatches(listing, draw)];
  const sources: MarkupSources = {
    image: (key) => {
      const image = images.get(key);
      return image ? { src: dataUri(image), aspect: image.aspect } : null;
    },
    swatch: (key) => {
      const image = swatches.get(key);
      return image ? dataUri(image) : null;
    },
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
