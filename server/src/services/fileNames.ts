/** Letters, numbers and hyphens: a name no system trips over; empty where nothing is left. */
export const slugOf = (words: string, longest: number): string =>
  words
    .normalize('NFKD')
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-+|-+$/g, '')
    .slice(0, longest);

const EXTENSIONS: Readonly<Record<string, string>> = {
  'image/jpeg': 'jpg',
  'image/png': 'png',
  'image/webp': 'webp',
  'image/svg+xml': 'svg',
};

export const extensionOf = (mime: string): string => EXTENSIONS[mime] ?? 'bin';
