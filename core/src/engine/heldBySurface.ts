import type { Pattern } from '../pattern/index.ts';
import { isSheet as isSheetFibre } from './sheetPieces.ts';
import type { FibreLookup } from './wool.ts';

/** Parts felted onto a sheet, on a template or in place on the figure: what holds them lets them be finer. */
export function heldBySurface(
  { parts, joins, steps }: Pick<Pattern, 'parts' | 'joins' | 'steps'>,
  fibres: FibreLookup,
): Set<string> {
  const isSheet = (partId: string): boolean => {
    const core = parts.find(({ id }) => id === partId)?.uses.find(({ role }) => role === 'core');
    const fibre = core && 'fibreId' in core ? fibres.get(core.fibreId ?? '') : undefined;
    return fibre !== undefined && isSheetFibre(fibre);
  };
  const isHeldIn = (partId: string): boolean => {
    const made = steps.filter(
      ({ act, partIds }) => partIds.includes(partId) && (act.kind === 'make' || act.kind === 'felt'),
    );
    return made.length > 0 && made.every(({ place }) => place === 'in-place' || place === 'on-template');
  };
  return new Set(
    parts
      .map(({ id }) => id)
      .filter(
        (id) =>
          isSheet(id) || isHeldIn(id) || joins.some(({ partId, ontoId }) => partId === id && isSheet(ontoId)),
      ),
  );
}
