import type { Db } from './openDatabase.ts';

/** A picture made fit to keep: upright, nothing in it but the picture, in two sizes. */
export interface ReadyPicture {
  readonly sha256: string;
  readonly mime: PictureMime;
  readonly width: number;
  readonly height: number;
  readonly large: Buffer;
  readonly small: Buffer;
}

export type PictureMime = 'image/jpeg' | 'image/png' | 'image/webp' | 'image/svg+xml';

type PictureRow = {
  id: string;
  mime: string;
  width: number;
  height: number;
};

/** Pictures, each kept once, whatever it is called and however often it is brought in. */
export function pictureQueries(db: Db) {
  const insert = db.prepare(`
    INSERT INTO picture (id, sha256, mime, width, height, large, small, created_at)
    VALUES (@id, @sha256, @mime, @width, @height, @large, @small, @at) ON CONFLICT (sha256) DO UPDATE SET created_at = @at`);
  const bySha = db.prepare<[string], PictureRow>(
    `SELECT id, mime, width, height FROM picture WHERE sha256 = ?`,
  );
  const large = db.prepare<[string], { mime: string; bytes: Buffer }>(
    `SELECT mime, large AS bytes FROM picture WHERE id = ?`,
  );
  const small = db.prepare<[string], { mime: string; bytes: Buffer }>(
    `SELECT mime, small AS bytes FROM picture WHERE id = ?`,
  );
  // Brought in and never put on a step, or taken off again everywhere; what was brought in today, or again today, may
  // still be wanted.
  const sweep = db.prepare(`
    DELETE FROM picture WHERE created_at < @before AND id NOT IN (SELECT picture_id FROM picture_use)`);
  return {
    /** The picture as it is kept: under `id`, or under the id it had already. */
    keep: (id: string, picture: ReadyPicture, at: string): PictureRow => {
      insert.run({ id, ...picture, at });
      const row = bySha.get(picture.sha256);
      if (!row) throw new Error('A picture just written is not there');
      return row;
    },
    bytes: (id: string, size: 'large' | 'small') => (size === 'large' ? large : small).get(id) ?? null,
    /** How many nobody uses any more and are gone now. */
    sweep: (before: string): number => sweep.run({ before }).changes,
  };
}
