import type { Booklet, BookletTerms } from '@lanakit/core/papers';
import { bookletImages, bookletSwatches, imageDrawer, type StudioPictures } from './bookletImages.ts';
import type { MarkupSources } from './bookletMarkup.ts';
import { dataUri } from './dataUri.ts';
import type { ReadyImage } from './pen.ts';

/** Pictures and swatches of a booklet within the file that shows them. */
export async function htmlSources(booklet: Booklet, terms: Pick<BookletTerms, 'ink'>, pictures: StudioPictures): Promise<Pick<MarkupSources, 'image' | 'swatch'>> {
  const draw = imageDrawer(terms, pictures);
  const [images, swatches] = [await bookletImages(booklet, draw), await bookletSwatches(booklet, draw)];
  const uriOf = (image: ReadyImage | undefined) => (image ? dataUri(image) : null);
  return {
    image: (key) => {
      const image = images.get(key);
      return image ? { src: dataUri(image), aspect: image.aspect } : null;
    },
    swatch: (key) => uriOf(swatches.get(key)),
  };
} // prettier-ignore
