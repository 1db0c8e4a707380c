import type { ReadyImage } from './pen.ts';

/** A picture within the file that shows it. */
export const dataUri = ({ bytes }: ReadyImage): string =>
  `data:${bytes[0] === 0xff ? 'image/jpeg' : 'image/png'};base64,${bytes.toString('base64')}`;
