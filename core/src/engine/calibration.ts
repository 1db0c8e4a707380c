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
import { hidingConstant } from './coat.ts';
import { makerAndFibres, type Observation } from './posterior.ts';
import { SIGMA } from './sigmas.ts';

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
  /** How much of the maker's own error is in it, σ of ln: the same for all fibres. */
  readonly commonSigma: number;
  /** Beside that, of this fibre and firmness. */
  readonly sigma: number;
  readonly samples: number;
}

/** Every number that samples may teach, read through one place. */
export interface Calibration {
  /** Felted density, g/cm³. A fibre that is not known felts as most do. */
  readonly finished: (fibre: Fibre | null, firmness: Firmness) => Calibrated;
  /** Density as it is packed before felting, g/cm³. */
  readonly packed: (packing: Packing) => number;
  /** Finished over packed density: what a core must be rolled larger by, in volume. */
  readonly growth: (
    fibre: Fibre | null,
    firmness: Firmness,
    packing: Packing,
  ) => Omit<Calibrated, 'commonSigma'>;
  /** Density as torn off, g/cm³; null where nobody knows. */
  readonly loft: (fibre: Fibre) => { readonly value: number; readonly isDefault: boolean } | null;
  /** Hiding constant κ of a coat, g/m². */
  readonly hiding: (fibre: Fibre) => Omit<Calibrated, 'commonSigma'>;
  /** What this maker's fingers take, grams; null until they have been weighed. */
  readonly hand: (name: HandMeasureName) => Omit<Calibrated, 'commonSigma'> | null;
}

const keyOf = (fibreId: string | null, firmness: Firmness): string => `${fibreId ?? ''} ${firmness}`;

const usualDensity = (fibre: Fibre | null, firmness: Firmness): number =>
  FINISHED_DENSITY_G_PER_CM3[firmness] * (fibre ? (fibreNumber(fibre, 'densityFactor')?.value ?? 1) : 1);

/** What a calibration is made from beside the samples. */
export interface CalibrationSources {
  readonly handMeasures: readonly HandMeasure[];
  readonly fibreOf: (id: string) => Fibre | null;
  /** ln of a whole weighed make over what it was calculated to; null: none was weighed. */
  readonly lnOfWeighedMake?: number | null;
}

/** @param evidence samples; a later issue fills it from the logbook, the pattern's own count already */
export function calibrate(
  evidence: readonly Evidence[],
  { handMeasures, fibreOf, lnOfWeighedMake = null }: CalibrationSources,
): Calibration {
  const packed = (packing: Packing) => PACKED_DENSITY_G_PER_CM3[packing];
  const observed = evidence.flatMap(({ fibreId, firmness, finished: found }): Observation[] =>
    found
      ? [
          {
            key: keyOf(fibreId, firmness),
            ln: Math.log(found.gPerCm3 / usualDensity(fibreOf(fibreId), firmness)),
            sigma: found.sigma,
          },
        ]
      : [],
  );
  const learnt = makerAndFibres(observed, lnOfWeighedMake);
  const finished = (fibre: Fibre | null, firmness: Firmness): Calibrated => {
    const { ln, commonSigma, sigma, samples } = learnt(keyOf(fibre?.id ?? null, firmness));
    return { value: usualDensity(fibre, firmness) * Math.exp(ln), commonSigma, sigma, samples };
  };
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
    hiding: (fibre) => ({ value: hidingConstant(fibre), sigma: SIGMA.coatShared, samples: 0 }),
    hand: (name) => {
      const measure = handMeasures.find((handMeasure) => handMeasure.name === name);
      if (!measure) return null;
      const sigma = Math.log(measure.highG / measure.lowG) / (2 * Z90);
      return { value: measure.massG, sigma: sigma > 0 ? sigma : SIGMA.handUnmeasured, samples: 1 };
    },
  };
}

/** Bayes on logs: what is usual may be off as far as a density, and samples each stray by their own. */
function learnGrowth(usual: number, samples: readonly number[]): Omit<Calibrated, 'commonSigma'> {
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
