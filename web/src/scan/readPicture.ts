/** A picture larger than that is made smaller first: a label is found in it all the same. */
const MOST_PIXELS_ACROSS = 1600;

/** The code in a picture, such as a photo of a label. @returns null: none can be read in it */
export async function readPicture(file: Blob): Promise<string | null> {
  const [{ default: readQr }, picture] = await Promise.all([import('jsqr'), createImageBitmap(file)]);
  const scale = Math.min(1, MOST_PIXELS_ACROSS / Math.max(picture.width, picture.height));
  const [width, height] = [picture.width * scale, picture.height * scale].map((side) => Math.max(1, Math.round(side))) as [number, number];
  const canvas = new OffscreenCanvas(width, height);
  const drawing = canvas.getContext('2d');
  if (!drawing) return null;
  // What is see-through is paper.
  drawing.fillStyle = '#ffffff';
  drawing.fillRect(0, 0, width, height);
  drawing.drawImage(picture, 0, 0, width, height);
  const { data } = drawing.getImageData(0, 0, width, height);
  return readQr(data, width, height)?.data ?? null;
} // prettier-ignore
