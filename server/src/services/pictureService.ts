import type { WorkDeps } from './deps.ts';
import { readyDrawing } from './readPicture.ts';
import { answering, foundOr } from './refusal.ts';

export type PictureService = ReturnType<typeof pictureService>;

/** Pictures of steps, in two sizes. */
export function pictureService({ store: { pictures }, work, now, newId }: WorkDeps) {
  return answering({
    /** Turned upright, without its metadata. @param bytes JPEG, PNG, WebP or SVG */
    async bringIn(bytes: Buffer) {
      const picture = await work.readPicture(bytes);
      const { id, mime, width, height } = pictures.keep(newId(), picture, now().toISOString());
      return { id, mime, width, height };
    },
    /** A drawing whose size is known, under an id of its own. */
    putDrawing(id: string, svg: string, size: { readonly width: number; readonly height: number }): void {
      pictures.keep(id, readyDrawing(svg, size), now().toISOString());
    },
    bytes: (id: string, size: 'large' | 'small') => foundOr(pictures.bytes(id, size)),
  });
}
