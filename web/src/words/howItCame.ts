import {
  PACKED_DENSITY_G_PER_CM3,
  type Fibre,
  showNumber,
  SIGMA,
  type FibreLookup,
  type FibreTotal,
  type Part,
  type PartEstimate,
  type Pattern,
  type PatternEstimate,
  type UseEstimate,
} from '@lanakit/core';
import { sizeLine } from './partWords.ts';
import { FIRMNESS_WORDS, showGrams, showRange } from './show.ts';

/** One line of how a number came about. */
export interface CameLine {
  readonly what: string;
  readonly value: string;
  readonly note?: string;
  readonly isResult?: boolean;
}

type KnownUse = UseEstimate & { kind: 'known' };

/** From the sizes to the grams of one piece, step by step, with what is assumed on the way. */
export function cameOfUse(part: Part, estimate: PartEstimate, use: KnownUse, shelf: FibreLookup): CameLine[] {
  const workings = estimate.workings;
  if (!workings) return [];
  const { layers, coat } = workings;
  const densityGPerCm3 = use.role === 'core' ? layers.coreGPerCm3 : layers.coatGPerCm3;
  const start: CameLine[] = [
    { what: 'Finished volume', value: `${showNumber(layers.volumeCm3, 2)} cm³`, note: sizeLine(part) },
    {
      what: 'Density',
      value: `${showNumber(densityGPerCm3, 3)} g/cm³`,
      note: `${part.firmness}: ${FIRMNESS_WORDS[part.firmness]}. ${densityNote(shelf.get(use.fibreId))}`,
    },
  ];
  const coatNote = layers.isAllCoat ? 'fills the whole piece' : 'surface × g/m²';
  const coatLines: CameLine[] = coat
    ? [
        { what: 'Surface', value: `${showNumber(layers.areaCm2, 1)} cm²` },
        {
          what: 'Contrast with the core',
          value: `ΔE ${showNumber(coat.deltaE, 1)}`,
          note: coat.isContrastAssumed ? 'core colour unknown: the strongest is assumed' : 'CIEDE2000',
        },
        {
          what: 'Coat to hide it',
          value: `${showNumber(coat.arealGPerM2, 0)} g/m²`,
          note: coat.isLeastCoat
            ? 'the least that has no holes'
            : `${showNumber(coat.hidingGPerM2, 0)} × ln(ΔE ÷ 3), hiding constant ${coat.isHidingDefault ? 'our default' : 'as measured'}`,
        },
        ...(use.role === 'core' ? [{ what: 'Coat', value: showGrams(layers.coatG), note: coatNote }] : []),
      ]
    : [];
  const fibreName = shelf.get(use.fibreId)?.name ?? 'fibre';
  const result: CameLine =
    use.role === 'coat'
      ? { what: `${fibreName}, one piece`, value: showGrams(use.pieceG), note: coatNote, isResult: true }
      : {
          what: `${fibreName}, one piece`,
          value: showGrams(use.pieceG),
          note: coat
            ? `${showNumber(layers.coreVolumeCm3, 2)} cm³ left under the coat × density`
            : 'volume × density',
          isResult: true,
        };
  const rolled = use.role === 'core' ? rollUpLine(estimate) : null;
  return [...start, ...coatLines, result, ...allPieces(use, estimate.count), ...(rolled ? [rolled] : [])];
}

const densityNote = (fibre: Fibre | undefined): string =>
  fibre?.densityFactor == null
    ? 'Our default, not yet measured'
    : `Our default × ${fibre.densityFactor}, this fibre’s own`;

function allPieces(use: KnownUse, count: number): CameLine[] {
  const shared = use.role === 'core' ? SIGMA.coreShared : SIGMA.coatShared;
  return [
    {
      what: count > 1 ? `All ${count}` : 'Likely range',
      value: count > 1 ? showGrams(use.all.likelyG) : showRange(use.all),
      note: `${count > 1 ? `${showRange(use.all)}; ` : ''}8 times in 10. Most of the doubt (${shared * 100} %) is the ${
        use.role === 'core' ? 'felted density' : 'hiding'
      } of this fibre`,
    },
  ];
}

function rollUpLine({ rollUp, workings }: PartEstimate): CameLine | null {
  if (!rollUp || !workings) return null;
  return {
    what: rollUp.kind === 'rolled' ? 'Rolled up' : 'Laid out',
    value: `${PACKED_DENSITY_G_PER_CM3[rollUp.packing]} g/cm³`,
    note:
      rollUp.kind === 'rolled'
        ? `as tight as it goes; felting takes ${showNumber((1 - 1 / rollUp.growth) * 100, 0)} % of the volume`
        : 'loose, with 8 mm to fold in all round',
  };
}

/** What a fibre's total for one make is made of. */
export function fibreTotalCame(total: FibreTotal, pattern: Pattern, estimate: PatternEstimate): CameLine[] {
  const lines = estimate.parts.flatMap((part, index) =>
    part.uses
      .filter((use) => use.fibreId === total.fibreId)
      .map((use): CameLine => ({
        what: `${pattern.parts[index]?.name ?? ''} ${use.role}`,
        value: use.kind === 'known' ? showGrams(use.all.likelyG) : 'unknown',
        note: use.kind === 'known' && part.count > 1 ? `${part.count} × ${showGrams(use.pieceG)}` : '',
      })),
  );
  return [
    ...lines,
    {
      what: 'One make',
      value: showGrams(total.total.likelyG),
      note: `${showRange(total.total)}, 8 times in 10`,
      isResult: true,
    },
  ];
}

/** What one make weighs, fibre by fibre. */
export function makeTotalCame(estimate: PatternEstimate, shelf: FibreLookup): CameLine[] {
  const lines = estimate.fibres.map(({ fibreId, total }): CameLine => ({
    what: shelf.get(fibreId)?.name ?? 'fibre',
    value: showGrams(total.likelyG),
    note: showRange(total),
  }));
  return [
    ...lines,
    {
      what: 'One make',
      value: showGrams(estimate.total.likelyG),
      note: `${showRange(estimate.total)}, 8 times in 10. Errors of one fibre add up, different fibres partly even out`,
      isResult: true,
    },
  ];
}
