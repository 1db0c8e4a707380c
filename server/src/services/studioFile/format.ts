import type { Sheet } from '../../db/sheets.ts';

/** The studio as open files, in one ZIP. */
export const STUDIO_FORMAT = 'lanakit-studio';
export const NEWEST_STUDIO_FORMAT = 1;

/** What stands in `studio.json`, the last of the files. */
export interface StudioManifest {
  readonly format: typeof STUDIO_FORMAT;
  readonly formatVersion: number;
  /** ISO 8601, UTC. */
  readonly madeAt: string;
  /** Rows by sheet. */
  readonly rows: Readonly<Record<string, number>>;
  /** What could not be read of a damaged studio. */
  readonly leftOut: readonly { readonly sheet: string; readonly id: string }[];
}

export const MANIFEST = 'studio.json';

const EXTENSIONS: Readonly<Record<string, string>> = {
  'image/jpeg': 'jpg',
  'image/png': 'png',
  'image/webp': 'webp',
  'image/svg+xml': 'svg',
};

/** Where what stands apart of a row lies: its directory, a word a person knows it by, its id. */
export function apartPath({ name }: Sheet, key: string, row: Readonly<Record<string, unknown>>): string {
  const id = String(row['id']);
  switch (name) {
    case 'pictures':
      return `pictures/${key}/${id}.${EXTENSIONS[String(row['mime'])] ?? 'bin'}`;
    case 'revisions':
      return `patterns/${slug(row['title'])}revision-${String(row['number'])}-${id}.json`;
    case 'runs':
      return `runs/${String(row['date'])}-${slug(row['name'])}${id}${key === 'frozen' ? '-numbers' : ''}.json`;
    default:
      return `${name}/${slug(row['title'] ?? row['name'])}${id}.json`;
  }
}

/** Letters, numbers and hyphens, and one more at the end: a name no system trips over. */
function slug(words: unknown): string {
  const plain = String(words)
    .normalize('NFKD')
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-+|-+$/g, '')
    .slice(0, 40);
  return plain === '' ? '' : `${plain}-`;
}
