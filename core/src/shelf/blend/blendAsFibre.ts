import { BLANK_FIBRE, type Fibre, type FibreFlag } from '../fibre/fibre.ts';
import { fibreNumber } from '../fibre/fibreNumber.ts';
import { lotInUse, ofLot } from '../fibre/lotInUse.ts';
import type { Blend, StoredBlend } from './blend.ts';
import { MOST_NOT_FELTING_FRACTION, notFeltingFraction } from './checkBlend.ts';
import { expandBlend } from './expandBlend.ts';
import { mixColours } from './mix.ts';

/**
 * A blend as the engine sees it: coloured as fibre mixes, as short as its shortest fibre, in all else the mean by
 * mass. Null while it is circular or a part of it is no longer there.
 */
function blendAsFibre(
  blend: StoredBlend,
  blends: ReadonlyMap<string, StoredBlend>,
  fibres: ReadonlyMap<string, Fibre>,
): Fibre | null {
  const expanded = expandBlend(blend.parts, (itemId) => blends.get(itemId)?.parts, [blend.id]);
  if (!expanded.ok) return null;
  const shares = [...expanded.fractions].map(([fibreId, fraction]) => ({
    fibre: fibres.get(fibreId),
    fraction,
  }));
  const known = shares.filter((share): share is Share => share.fibre !== undefined);
  if (known.length < shares.length) return null;
  const inUse = known.map(({ fibre, fraction }) => ({ fibre: ofLot(fibre, lotInUse(fibre)), fraction }));
  return {
    ...BLANK_FIBRE,
    id: blend.id,
    version: blend.version,
    name: blend.name,
    otherNames: blend.otherNames,
    kind: 'blend',
    preparation: blend.preparation,
    colour: mixColours(inUse.map(({ fibre, fraction }) => ({ colour: fibre.colour, fraction }))),
    feltsAlone: notFeltingFraction(expanded.fractions, fibres) <= MOST_NOT_FELTING_FRACTION,
    stapleMm: shortest(inUse),
    hidingGPerM2: mean(inUse, 'hidingGPerM2'),
    densityFactor: mean(inUse, 'densityFactor'),
    flags: [...new Set(inUse.flatMap(({ fibre }): FibreFlag[] => fibre.flags))],
    note: blend.note,
    pricePer100gMinor: priceOf(inUse),
    archived: blend.archived,
    lots: blend.lots,
    onHandG: blend.onHandG,
    peakG: blend.peakG,
  };
}

interface Share {
  readonly fibre: Fibre;
  readonly fraction: number;
}

function shortest(shares: readonly Share[]): number | null {
  const staples = shares.flatMap(({ fibre }) => fibreNumber(fibre, 'stapleMm')?.value ?? []);
  return staples.length > 0 ? Math.min(...staples) : null;
}

/** Null while every fibre goes by its default: then so does the blend. */
function mean(shares: readonly Share[], name: 'hidingGPerM2' | 'densityFactor'): number | null {
  if (shares.every(({ fibre }) => fibre[name] === null)) return null;
  return shares.reduce(
    (sum, { fibre, fraction }) => sum + fraction * (fibreNumber(fibre, name)?.value ?? 0),
    0,
  );
}

function priceOf(shares: readonly Share[]): number | null {
  if (shares.some(({ fibre }) => fibre.pricePer100gMinor === null)) return null;
  return Math.round(
    shares.reduce((sum, { fibre, fraction }) => sum + fraction * (fibre.pricePer100gMinor ?? 0), 0),
  );
}

/** Every blend with what is computed of it. */
export function computeBlends(blends: readonly StoredBlend[], fibres: ReadonlyMap<string, Fibre>): Blend[] {
  const byId = new Map(blends.map((blend) => [blend.id, blend]));
  return blends.map((blend) => ({ ...blend, asFibre: blendAsFibre(blend, byId, fibres) }));
}
