import type { Sheet } from '../../db/sheets.ts';
import { extensionOf, slugOf } from '../fileNames.ts';

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

/** Where what stands apart of a row lies: its directory, a word a person knows it by, its id. */
export function apartPath({ name }: Sheet, key: string, row: Readonly<Record<string, unknown>>): string {
  const id = String(row['id']);
  switch (name) {
    case 'pictures':
      return `pictures/${key}/${id}.${extensionOf(String(row['mime']))}`;
    case 'revisions':
      return `patterns/${slug(row['title'])}revision-${String(row['number'])}-${id}.json`;
    case 'runs':
      return `runs/${String(row['date'])}-${slug(row['name'])}${id}${key === 'frozen' ? '-numbers' : ''}.json`;
    case 'makings':
      return `makings/${String(row['date'])}-${slug(row['title'])}${id}${key === 'build' ? '-pattern' : ''}.json`;
    case 'commissions':
      return `commissions/${String(row['askedOn'])}-${slug(row['title'])}${id}.json`;
    case 'translations':
      return `translations/${String(row['language'])}-${id}.json`;
    default:
      return `${name}/${slug(row['title'] ?? row['name'])}${id}.json`;
  }
}

/** A word to know it by before its id. */
function slug(words: unknown): string {
  const plain = slugOf(String(words), 40);
  return plain === '' ? '' : `${plain}-`;
}
