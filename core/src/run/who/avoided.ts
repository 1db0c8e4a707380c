import type { Wool } from '../../engine/index.ts';
import { isWool, type Pattern } from '../../pattern/index.ts';
import type { FibreFlag } from '../../shelf/index.ts';
import type { Seat } from '../document/seat.ts';

/** Wool that a person may not touch, in what they are to make. */
export interface Avoided {
  readonly fibreId: string;
  readonly flags: readonly FibreFlag[];
}

/** Fibres of a build that have something a seat avoids. */
export function avoidedBy({ avoids }: Pick<Seat, 'avoids'>, build: Pattern, { fibres }: Wool): Avoided[] {
  if (avoids.length === 0) return [];
  const ids = new Set(
    [
      ...build.parts.flatMap(({ uses }) => uses.flatMap((use) => (isWool(use) ? [use.fibreId] : []))),
      ...build.joins.map(({ cover }) => cover?.fibreId ?? null),
    ].filter((id) => id !== null),
  );
  return [...ids].flatMap((fibreId) => {
    const flags = fibres.get(fibreId)?.flags.filter((flag) => avoids.includes(flag)) ?? [];
    return flags.length > 0 ? [{ fibreId, flags }] : [];
  });
}
