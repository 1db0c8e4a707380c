import { Z90 } from '../base/index.ts';
import {
  type Fibre,
  fibreNumber,
  FINISHED_DENSITY_G_PER_CM3,
  type Firmness,
  type HandMeasure,
  type HandMeasureName,
  PACKED_DENSITY_G_PER_CM3,
  type Packing,
} from '../shelf/index.ts';
import { type Learnt, SIGMA } from '../learning/index.ts';
import { hidingConstant } from './coat.ts';
import { makerAndFibres, type PartSample } from './posterior.ts';

/** Fibre itself weighs 1.31 g/cm³; felted by hand nothing comes near half of a third of it. */
export const DENSEST_FELT_G_PER_CM3 = 0.45;

/** One sample as evidence: which fibre, felted how, and what was found. */
export interface Evidence {
  readonly fibreId: string;
  readonly firmness: Firmness;
  /** Density of its core, and how far what lies over it makes that unsure (σ of ln); null where it was not weighed. */
  readonly finished: { readonly gPerCm3: number; readonly sigma: number } | null;
  /** Finished over packed density, from sizes before and after; null where one of them is unknown. */
  readonly growth: { readonly packing: Packing; readonly q: number } | null;
}

/** A number in force, how much it may be off for everything it is used for, and how many samples it rests on. */
interface Calibrated {
  readonly value: number;
  /** Times what is usual. */
  readonly times: number;
  /** How much of the maker's own error is in it, σ of ln: the same for all fibres. */
  readonly commonSigma: number;
  /** Beside that, of this fibre and firmness. */
  readonly sigma: number;
  readonly samples: number;
}

/** One of which no usual value is told. */
type Untimed = Omit<Calibrated, 'commonSigma' | 'times'>;

/** Every number that samples may teach, read through one place. */
export interface Calibration {
  /** Felted density, g/cm³. A fibre that is not known felts as most do. */
  readonly finished: (fibre: Fibre | null, firmness: Firmness) => Calibrated;
  /** Density as it is packed before felting, g/cm³. */
  readonly packed: (packing: Packing) => number;
  /** Finished over packed density: what a core must be rolled larger by, in volume. */
  readonly growth: (fibre: Fibre | null, firmness: Firmness, packing: Packing) => Untimed;
  /** Density as torn off, g/cm³; null where nobody knows. */
  readonly loft: (fibre: Fibre) => { readonly value: number; readonly isDefault: boolean } | null;
  /** Hiding constant κ of a coat, g/m². */
  readonly hiding: (fibre: Fibre) => Omit<Calibrated, 'commonSigma'>;
  /** How thick hair of a fibre is laid, against what its author says. */
  readonly hair: (fibreId: string) => Omit<Calibrated, 'commonSigma'>;
  /** What this maker's fingers take, grams; null until they have been weighed. */
  readonly hand: (name: HandMeasureName) => Untimed | null;
}

const usualDensity = (fibre: Fibre | null, firmness: Firmness): number =>
  FINISHED_DENSITY_G_PER_CM3[firmness] * (fibre ? (fibreNumber(fibre, 'densityFactor')?.value ?? 1) : 1);

/** What a calibration is made from beside the pattern’s own samples. */
export interface CalibrationSources {
  readonly handMeasures: readonly HandMeasure[];
  /** What the logbook has taught, as it is in force; null: nothing. */
  readonly learnt: Learnt | null;
  readonly fibreOf: (id: string) => Fibre | null;
  /** ln of a whole weighed make over what it was calculated to; null: none was weighed. */
  readonly lnOfWeighedMake?: number | null;
}

/** @param evidence the pattern's own samples: they count on top of what the logbook taught */
export function calibrate(
  evidence: readonly Evidence[],
  { handMeasures, learnt, fibreOf, lnOfWeighedMake = null }: CalibrationSources,
): Calibration {
  const packed = (packing: Packing) =>
    PACKED_DENSITY_G_PER_CM3[packing] *
    Math.exp(learnt?.packed.find((row) => row.packing === packing)?.ln ?? 0);
  const feltedSoFar = makerAndFibres(learnt, samplesIn(evidence, fibreOf), lnOfWeighedMake);
  const finished = (fibre: Fibre | null, firmness: Firmness): Calibrated => {
    const { ln, ...rest } = feltedSoFar(fibre?.id ?? null, firmness);
    return { value: usualDensity(fibre, firmness) * Math.exp(ln), times: Math.exp(ln), ...rest };
  };
  const hiding = byFibre(learnt?.hiding);
  const hair = byFibre(learnt?.hair);
  return {
    packed,
    finished,
    growth: (fibre, firmness, packing) =>
      learnGrowth(
        finished(fibre, firmness).value / packed(packing),
        evidence
          .filter((candidate) => candidate.fibreId === fibre?.id && candidate.firmness === firmness)
          .flatMap(({ growth }) => (growth?.packing === packing ? [growth.q] : [])),
      ),
    loft: (fibre) => fibreNumber(fibre, 'loftGPerCm3'),
    hiding: (fibre) => shifted(hidingConstant(fibre), hiding.get(fibre.id), SIGMA.coatShared),
    hair: (fibreId) => shifted(1, hair.get(fibreId), SIGMA.hairShared),
    hand: (name) =>
      handLearnt(learnt, name) ?? handMeasured(handMeasures.find((measure) => measure.name === name)),
  };
}

const samplesIn = (evidence: readonly Evidence[], fibreOf: CalibrationSources['fibreOf']): PartSample[] =>
  evidence.flatMap(({ fibreId, firmness, finished: found }) =>
    found
      ? [
          {
            fibreId,
            firmness,
            ln: Math.log(found.gPerCm3 / usualDensity(fibreOf(fibreId), firmness)),
            sigma: found.sigma,
          },
        ]
      : [],
  );

type OfFibre = Learnt['hiding'][number];

const byFibre = (rows: readonly OfFibre[] = []): ReadonlyMap<string, OfFibre> =>
  new Map(rows.map((row) => [row.fibreId, row]));

const shifted = (
  usual: number,
  row: OfFibre | undefined,
  priorSigma: number,
): Omit<Calibrated, 'commonSigma'> => ({
  value: usual * Math.exp(row?.ln ?? 0),
  times: Math.exp(row?.ln ?? 0),
  sigma: row?.sigma ?? priorSigma,
  samples: row?.samples ?? 0,
});

const handLearnt = (learnt: Learnt | null, name: HandMeasureName) => {
  const row = learnt?.hands.find((hand) => hand.name === name);
  return row ? { value: row.massG, sigma: row.sigma, samples: row.samples } : null;
};

function handMeasured(measure: HandMeasure | undefined): Untimed | null {
  if (!measure) return null;
  const sigma = Math.log(measure.highG / measure.lowG) / (2 * Z90);
  return { value: measure.massG, sigma: sigma > 0 ? sigma : SIGMA.handUnmeasured, samples: 1 };
}

/** Bayes on logs: what is usual may be off as far as a density, and samples each stray by their own. */
function learnGrowth(usual: number, samples: readonly number[]): Untimed {
  const sigma = Math.hypot(SIGMA.common, SIGMA.coreShared);
  if (samples.length === 0) return { value: usual, sigma, samples: 0 };
  const [usualWeight, sampleWeight] = [1 / sigma ** 2, 1 / SIGMA.coreOwn ** 2];
  const weight = usualWeight + samples.length * sampleWeight;
  const sum = samples.reduce(
    (logs, sample) => logs + sampleWeight * Math.log(sample),
    usualWeight * Math.log(usual),
  );
  return { value: Math.exp(sum / weight), sigma: Math.sqrt(1 / weight), samples: samples.length };
}
