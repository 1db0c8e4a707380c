import { nowShows, unmetNeeds } from '../../build/index.ts';
import { coatByContrast } from '../../engine/index.ts';
import { isWool, type Pattern } from '../../pattern/index.ts';
import type { Together } from '../../figure/index.ts';
import { plus, pointFrom, times } from '../../placing/index.ts';
import type { ReviewContext } from '../context.ts';
import { rule } from '../rule.ts';

/** A coat within a tenth of what hides is as good as it. */
const HIDES_FRACTION = 0.9;

/** What a build one choice away leaves hanging or lays bare, and what shows through. */
export const SEEN_RULES = [
  rule('left_hanging', 'seen', 'stumble', ({ pattern, nearby }) =>
    nearby.flatMap(({ optionId, valueId, build }) =>
      unmetNeeds(pattern, build).map(({ neededBy, partId, why }) => ({
        partId: neededBy,
        missingId: partId,
        why,
        optionId,
        valueId,
      })),
    ),
  ),
  rule('core_laid_bare', 'seen', 'look', (context) =>
    laidBare(context, 'beneath').flatMap(({ shown: { partId, fibreId }, ...choice }) =>
      isOfItsCoat(context.pattern, partId, fibreId) ? [] : [{ partId, ...choice }],
    ),
  ),
  rule('place_laid_bare', 'seen', 'look', (context) =>
    laidBare(context, 'place').map(({ shown: { partId, onPartId }, ...choice }) => ({
      partId: onPartId,
      missingId: partId,
      ...choice,
    })),
  ),
  rule('fine_work_hidden', 'seen', 'look', ({ usual: { together } }) =>
    together.details.flatMap((detail) => {
      const hiddenBy = detail.isProposed ? null : whatHides(detail, together.figure.pieces);
      return hiddenBy
        ? [{ partId: detail.host.partId, detailKey: detail.key, byPartId: hiddenBy.partId }]
        : [];
    }),
  ),
  rule('core_shows_through', 'seen', 'look', ({ pattern, wool }) =>
    pattern.parts.flatMap(({ id: partId, uses }) => {
      const core = uses.find((use) => use.role === 'core');
      const below = core && isWool(core) ? wool.fibres.get(core.fibreId ?? '') : undefined;
      return uses.flatMap((use) => {
        if (use.role !== 'coat' || use.thickness.by !== 'said' || !below) return [];
        const fibre = wool.fibres.get(use.fibreId ?? '');
        if (!fibre) return [];
        const { gPerM2 } = use.thickness;
        const wantedGPerM2 = coatByContrast(below.colour, fibre).arealGPerM2;
        return gPerM2 < wantedGPerM2 * HIDES_FRACTION
          ? [{ partId, useId: use.id, gPerM2, wantedGPerM2 }]
          : [];
      });
    }),
  ),
];

/** Just over the surface a thing is seen, mm. */
const OVER_MM = 0.5;

type Detail = Together['details'][number];

/** The piece within which all of a detail lies, where its author put it; null: some of it is seen. */
function whatHides({ host, spots }: Detail, pieces: Together['figure']['pieces']) {
  if (spots.length === 0) return null;
  const over = spots.map(({ point, normal }) => plus(point, times(normal, OVER_MM)));
  return (
    pieces.find(
      ({ key, body, frame }) =>
        key !== host.key && over.every((point) => body.contains(pointFrom(frame, point))),
    ) ?? null
  );
}

type Shown = ReturnType<typeof nowShows>[number];

const laidBare = <W extends Shown['what']>({ pattern, nearby }: ReviewContext, what: W) =>
  nearby.flatMap(({ optionId, valueId, build }) =>
    nowShows(pattern, build)
      .filter((shown): shown is Extract<Shown, { what: W }> => shown.what === what)
      .map((shown) => ({ shown, optionId, valueId })),
  );

/** A core of the wool its coat was of looks as it did. */
const isOfItsCoat = ({ parts }: Pattern, partId: string, fibreId: string | null): boolean =>
  parts
    .find(({ id }) => id === partId)
    ?.uses.some((use) => use.role === 'coat' && fibreId !== null && use.fibreId === fibreId) ?? false;
