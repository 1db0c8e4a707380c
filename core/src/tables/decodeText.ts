export const ENCODINGS = ['utf-8', 'utf-16le', 'utf-16be', 'windows-1252'] as const;
export type Encoding = (typeof ENCODINGS)[number];

/** By its mark at the start, by its noughts, and by whether it is UTF-8 at all. */
export function guessEncoding(bytes: Uint8Array): Encoding {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be';
  const start = bytes.subarray(0, 4000);
  const noughts = [0, 0];
  start.forEach((byte, index) => {
    if (byte === 0) noughts[index % 2] = (noughts[index % 2] ?? 0) + 1;
  });
  const many = start.length / 5;
  if ((noughts[1] ?? 0) > many) return 'utf-16le';
  if ((noughts[0] ?? 0) > many) return 'utf-16be';
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(bytes);
    return 'utf-8';
  } catch {
    return 'windows-1252';
  }
}

/** Null when it is no text: a spreadsheet or a picture has bytes that no list has. */
export function decodeText(bytes: Uint8Array, encoding: Encoding): string | null {
  // A zip, and with it every modern spreadsheet, begins so.
  const isZip = bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 0x03 && bytes[3] === 0x04;
  if (isZip) return null;
  const text = new TextDecoder(encoding).decode(bytes);
  return text.slice(0, 4000).includes('\u0000') ? null : text;
}
