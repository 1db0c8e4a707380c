import { showNumber, Z90 } from '@lanakit/core/base';
import type {
  Doubt,
  FibreLookup,
  FibreTotal,
  KnownUse,
  PartEstimate,
  PatternEstimate,
  UseWorking,
  RollUp,
  Taught,
} from '@lanakit/core/engine';
import type { Part, Pattern } from '@lanakit/core/pattern';
import { type Fibre, PACKED_DENSITY_G_PER_CM3 } from '@lanakit/core/shelf';
import {
  CAUSE_REMEDIES,
  CAUSE_WORDS,
  FORM_WORDS,
  ROLE_WORDS,
  showCountRange,
  SOURCE_WORDS,
} from '@lanakit/core/words';
import { ownerName } from './ownerWords.ts';
import { sizeLine } from './partWords.ts';
import { counted, FIRMNESS_WORDS, PACKING_WORDS, showGrams, showRange } from './show.ts';

/** One line of how a number came about. */
export interface CameLine {
  readonly what: string;
  readonly value: string;
  readonly note?: string;
  readonly isResult?: boolean;
}

/** From the sizes to the grams of one piece, step by step, with what is assumed on the way. */
export function cameOfUse(part: Part, estimate: PartEstimate, use: KnownUse, shelf: FibreLookup): CameLine[] {
  const working = estimate.working.uses.find((candidate) => candidate.use.id === use.useId);
  const fibre = shelf.get(use.fibreId ?? '');
  const result: CameLine = {
    what: `${fibre?.name ?? 'fibre'}, one piece`,
    value: showGrams(use.pieceG),
    note: resultNote(use, working),
    isResult: true,
  };
  return [
    ...startLines(part, estimate, use, fibre),
    ...(working ? ownLines(working, estimate) : []),
    ...statedLines(use, working),
    result,
    ...rangeLines(use),
  ];
}

function startLines(
  part: Part,
  { working }: PartEstimate,
  { role }: KnownUse,
  fibre: Fibre | undefined,
): CameLine[] {
  const { layers } = working;
  if (!layers || (role !== 'core' && role !== 'coat')) return [];
  return [
    { what: 'Finished volume', value: `${showNumber(layers.volumeCm3, 2)} cm³`, note: sizeLine(part) },
    {
      what: 'Density',
      value: `${showNumber(densityOf(working, role), 3)} g/cm³`,
      note: `${part.firmness}: ${FIRMNESS_WORDS[part.firmness]}. ${densityNote(fibre, feltedOf(working, role))}`,
    },
  ];
}

const densityOf = ({ layers, uses }: PartEstimate['working'], role: string): number =>
  role === 'core'
    ? (layers?.coreGPerCm3 ?? 0)
    : (layers?.shares.find(({ useId }) => uses.find(({ use }) => use.id === useId)?.use.role === role)
        ?.gPerCm3 ?? 0);

const feltedOf = ({ uses }: PartEstimate['working'], role: string): Taught | null =>
  uses.find(({ use }) => use.role === role)?.felted ?? null;

function densityNote(fibre: Fibre | undefined, felted: Taught | null): string {
  const usual =
    fibre?.densityFactor == null ? 'our default' : `our default × ${fibre.densityFactor}, this fibre’s own`;
  const learnt = felted && learntNote(felted);
  if (learnt) return `${usual.charAt(0).toUpperCase()}${usual.slice(1)}, ${learnt}`;
  return fibre?.densityFactor == null ? 'Our default, not yet measured' : `O${usual.slice(1)}`;
}

/** What samples made of it; null: nothing. */
function learntNote({ times, sigma, samples }: Taught): string | null {
  const more = Math.round((times - 1) * 100);
  if (samples === 0 && more === 0) return null;
  const from = samples > 0 ? `from ${counted(samples, 'sample')}` : 'as your hands felted other wool';
  const by = more === 0 ? 'as usual' : more > 0 ? `${more} % more` : `${-more} % less`;
  return `${by} ${from}, now ±${Math.round(100 * Math.expm1(Z90 * sigma))} %`;
}

/** What a coat, hair or core is worked out from. */
const commaBefore = (words: string | null): string => (words === null ? '' : `, ${words}`);

function ownLines({ use, coat, hair, laid }: UseWorking, { working }: PartEstimate): CameLine[] {
  const { layers } = working;
  if (coat) {
    const share = layers?.shares.find(({ useId }) => useId === use.id);
    const isHiding =
      use.role === 'patch' || use.role === 'core' || (use.role === 'coat' && use.thickness.by === 'hiding');
    return [
      ...(share ? [{ what: 'Covered', value: `${showNumber(share.coveredCm2, 1)} cm²` }] : []),
      ...(isHiding
        ? [
            {
              what: 'Contrast with what is beneath',
              value: `ΔE ${showNumber(coat.deltaE, 1)}`,
              note: coat.isContrastAssumed ? 'colour beneath unknown: the strongest is assumed' : 'CIEDE2000',
            },
          ]
        : []),
      {
        what: isHiding ? 'Coat to hide it' : 'As thick as said',
        value: `${showNumber(coat.arealGPerM2, 0)} g/m²`,
        ...(isHiding && {
          note: coat.isLeastCoat
            ? 'the least that has no holes'
            : `${showNumber(coat.hidingGPerM2, 0)} × ln(ΔE ÷ 3), hiding constant ${coat.isHidingDefault ? 'our default' : 'as measured'}${commaBefore(learntNote(laid))}`,
        }),
      },
    ];
  }
  if (hair) {
    return [
      { what: 'Strips', value: `${showNumber(hair.stripMm, 0)} mm`, note: 'with what is trimmed off' },
      { what: 'Comes off', value: showGrams(hair.trimmingsG), note: 'may feed another part' },
    ];
  }
  if (use.role !== 'core' || !layers) return [];
  const over = layers.shares.reduce((sum, { volumeCm3 }) => sum + volumeCm3, 0);
  return [
    ...(over > 0 ? [{ what: 'Less the layers over it', value: `${showNumber(over, 2)} cm³` }] : []),
    ...(layers.insertsCm3 > 0
      ? [
          {
            what: 'Less what lies inside',
            value: `${showNumber(layers.insertsCm3, 2)} cm³`,
            note: 'wire, beads: no wool',
          },
        ]
      : []),
    {
      what: 'Left for the core',
      value: `${showNumber(layers.coreVolumeCm3, 2)} cm³`,
      note: 'volume × density',
    },
  ];
}

function statedLines(use: KnownUse, working: UseWorking | undefined): CameLine[] {
  const amount = working?.use.amount;
  if (!amount) return [];
  return [
    { what: 'As stated', value: FORM_WORDS[amount.form], note: working.use.words },
    ...(use.comparison
      ? [
          {
            what: 'The shape comes to',
            value: showGrams(use.comparison.calculatedG),
            note: use.comparison.isOff
              ? 'further apart than the calculation is usually off (95 %)'
              : 'within what the calculation may be off (95 %)',
          },
        ]
      : []),
  ];
}

function resultNote(use: KnownUse, working: UseWorking | undefined): string {
  if (use.isUntil) return 'calculated: the author says “until it is right”';
  if (use.source !== 'calculated') return SOURCE_WORDS[use.source];
  return working?.use.role === 'coat' ? 'surface × g/m²' : 'calculated';
}

function rangeLines(use: KnownUse): CameLine[] {
  const { likely } = use.count;
  const doubt = Math.max(use.term.sharedSigma, use.term.ownSigma, use.term.allSigma ?? 0);
  return [
    {
      what: likely > 1 ? `All ${showCountRange(use.count)}` : 'Likely range',
      value: likely > 1 ? showGrams(use.all.likelyG) : showRange(use.all),
      note:
        `${likely > 1 ? `${showRange(use.all)}; ` : ''}8 times in 10` +
        (doubt > 0
          ? `. Most of the doubt (${Math.round(doubt * 100)} %) is ${CAUSE_WORDS[use.term.cause]}`
          : ''),
    },
  ];
}

/** Samples have taught how tightly these hands pack it. */
const isPackedOtherwise = ({ packedGPerCm3, packing }: RollUp): boolean =>
  Math.abs(packedGPerCm3 / PACKED_DENSITY_G_PER_CM3[packing] - 1) > 0.005;

/** What a roll or a piece laid out was worked out from. */
export function cameOfRollUp(part: Part, { rollUp, working }: PartEstimate): CameLine[] {
  if (!rollUp) return [];
  return [
    {
      what: 'The core alone',
      value: `${showNumber(working.layers?.coreVolumeCm3 ?? 0, 2)} cm³`,
      note: 'without its coats',
    },
    {
      what: 'Packed',
      value: `${showNumber(rollUp.packedGPerCm3, 3)} g/cm³`,
      note:
        part.sample?.rolled && part.sample.felted
          ? 'from your sample and our default'
          : `${PACKING_WORDS[rollUp.packing]}: our default${isPackedOtherwise(rollUp) ? ', as your hands pack it' : ''}`,
    },
    rollUp.kind === 'rolled'
      ? {
          what: 'Felting takes',
          value: `${showNumber((1 - 1 / rollUp.growth) * 100, 0)} % of the volume`,
          note: 'so much larger it is rolled',
          isResult: true,
        }
      : {
          what: 'Laid out',
          value: `${showNumber(rollUp.depthMm, 0)} mm deep`,
          note: 'with 8 mm to fold in all round',
          isResult: true,
        },
  ];
}

/** What a fibre's total for one make is made of. */
export function fibreTotalCame(total: FibreTotal, pattern: Pattern, estimate: PatternEstimate): CameLine[] {
  const lines = estimate.uses
    .filter((use) => use.fibreId === total.fibreId && !use.isIfNeeded)
    .map((use): CameLine => ({
      what: `${ownerName(use.owner, pattern)} ${ROLE_WORDS[use.role]}`,
      value: use.kind === 'known' ? showGrams(use.all.likelyG) : 'unknown',
      note:
        use.kind === 'known' && use.count.high > 1
          ? `${showCountRange(use.count)} × ${showGrams(use.pieceG)}`
          : '',
    }));
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

/** How many causes are told before the rest is summed. */
const TOLD = 4;

/** What one make weighs, and what makes that doubtful, the largest doubt first. */
export function makeTotalCame(estimate: PatternEstimate, shelf: FibreLookup, pattern: Pattern): CameLine[] {
  const told = estimate.doubts.slice(0, TOLD);
  const rest = estimate.doubts.slice(TOLD).reduce((sum, { fraction }) => sum + fraction, 0);
  return [
    {
      what: 'One make',
      value: showGrams(estimate.total.likelyG),
      note: `${showRange(estimate.total)}, 8 times in 10. Errors of one fibre add up, different fibres partly even out`,
      isResult: true,
    },
    ...told.map((doubt): CameLine => ({
      what: doubtName(doubt, shelf, pattern),
      value: `${Math.round(doubt.fraction * 100)} %`,
      note: `of the doubt${CAUSE_REMEDIES[doubt.cause] ? `: ${CAUSE_REMEDIES[doubt.cause] ?? ''}` : ''}`,
    })),
    ...(rest > 0.005
      ? [{ what: 'everything else', value: `${Math.round(rest * 100)} %`, note: 'of the doubt' }]
      : []),
  ];
}

/** `the felted density of Chalk` */
export function doubtName({ group, cause }: Doubt, shelf: FibreLookup, pattern: Pattern): string {
  const shared = pattern.shared.find(({ id }) => group === `shared ${id}`);
  const name = shared ? shared.name : shelf.get(group)?.name;
  return `${CAUSE_WORDS[cause]}${name ? ` of ${name}` : ''}`;
}
