import type { GreyPhoto } from '@lanakit/core/outline';

/** Fine enough for a hand's line, and small enough that it is traced at once. */
const MOST_PX = 640;

/** A photograph in shades of grey, turned as it was taken. @throws where the browser cannot read it */
export async function greyOf(file: File): Promise<GreyPhoto> {
  const bitmap = await createImageBitmap(file);
  const scale = Math.min(1, MOST_PX / Math.max(bitmap.width, bitmap.height));
  const [widthPx, heightPx] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)];
  const canvas = new OffscreenCanvas(widthPx, heightPx);
  const context = canvas.getContext('2d');
  if (!context) throw new Error('This browser cannot draw pictures.');
  // What is seen through is paper.
  context.fillStyle = '#ffffff';
  context.fillRect(0, 0, widthPx, heightPx);
  context.imageSmoothingQuality = 'high';
  context.drawImage(bitmap, 0, 0, widthPx, heightPx);
  bitmap.close();
  const { data } = context.getImageData(0, 0, widthPx, heightPx);
  const brightness = Float32Array.from(
    { length: widthPx * heightPx },
    // ITU-R BT.709.
    (_each, at) =>
      (0.2126 * (data[at * 4] ?? 0) + 0.7152 * (data[at * 4 + 1] ?? 0) + 0.0722 * (data[at * 4 + 2] ?? 0)) /
      255,
  );
  return { widthPx, heightPx, brightness };
}
