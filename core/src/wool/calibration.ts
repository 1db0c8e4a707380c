import {
  FINISHED_DENSITY_G_PER_CM3,
  type Fibre,
  fibreNumber,
  type Firmness,
  PACKED_DENSITY_G_PER_CM3,
  type Packing,
} from '../fibre/index.ts';
import type { HandMeasure, HandMeasureName } from '../stock/index.ts';
import { Z90 } from '../quantity/index.ts';
import { hidingConstant } from './coat.ts';
import { SIGMA } from './sigmas.ts';

/** Fibre itself weighs 1.31 g/cm³; felted by hand nothing comes near half of a third of it. */
export const DENSEST_FELT_G_PER_CM3 = 0.45;

/** One sample as evidence: which fibre, felted how, and what was found. */
export interface Evidence {
  readonly fibreId: string;
  readonly firmness: Firmness;
  /** Null where it was not weighed bare. */
  readonly finishedGPerCm3: number | null;
  /** Finished over packed density, from sizes before and after; null where one of them is unknown. */
  readonly growth: { readonly packing: Packing; readonly q: number } | null;
}

/** A number in force, how much it may be off for everything it is used for, and how many samples it rests on. */
export interface Calibrated {
  readonly value: number;
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
  readonly growth: (fibre: Fibre | null, firmness: Firmness, packing: Packing) => Calibrated;
  /** Density as torn off, g/cm³; null where nobody knows. */
  readonly loft: (fibre: Fibre) => number | null;
  /** Hiding constant κ of a coat, g/m². */
  readonly hiding: (fibre: Fibre) => Calibrated;
  /** What this maker's fingers take, grams; null until they have been weighed. */
  readonly hand: (name: HandMeasureName) => Calibrated | null;
}

/** How far one sample strays from what its fibre does, as σ of the log. */
const SAMPLE_SIGMA = 0.1;

/** @param evidence samples; a later issue fills it from the logbook, the pattern's own count already */
export function calibrate(evidence: readonly Evidence[], handMeasures: readonly HandMeasure[]): Calibration {
  const packed = (packing: Packing) => PACKED_DENSITY_G_PER_CM3[packing];
  const finished = (fibre: Fibre | null, firmness: Firmness) =>
    learn(
      FINISHED_DENSITY_G_PER_CM3[firmness] * (fibre ? (fibreNumber(fibre, 'densityFactor')?.value ?? 1) : 1),
      SIGMA.coreShared,
      evidence
        .filter((own) => own.fibreId === fibre?.id && own.firmness === firmness)
        .flatMap(({ finishedGPerCm3 }) => (finishedGPerCm3 === null ? [] : [finishedGPerCm3])),
    );
  return {
    packed,
    finished,
    growth: (fibre, firmness, packing) =>
      learn(
        finished(fibre, firmness).value / packed(packing),
        SIGMA.coreShared,
        evidence
          .filter((own) => own.fibreId === fibre?.id && own.firmness === firmness)
          .flatMap(({ growth }) => (growth?.packing === packing ? [growth.q] : [])),
      ),
    loft: (fibre) => fibreNumber(fibre, 'loftGPerCm3')?.value ?? null,
    hiding: (fibre) => ({ value: hidingConstant(fibre), sigma: SIGMA.coatShared, samples: 0 }),
    hand: (name) => {
      const measure = handMeasures.find((own) => own.name === name);
      if (!measure) return null;
      const sigma = Math.log(measure.highG / measure.lowG) / (2 * Z90);
      return { value: measure.massG, sigma: sigma > 0 ? sigma : SIGMA.handUnmeasured, samples: 1 };
    },
  };
}

/** Bayes on logs: a default that may be off by `sigma`, and samples that each stray by their own. */
function learn(usual: number, sigma: number, samples: readonly number[]): Calibrated {
  if (samples.length === 0) return { value: usual, sigma, samples: 0 };
  const [usualWeight, sampleWeight] = [1 / sigma ** 2, 1 / SAMPLE_SIGMA ** 2];
  const weight = usualWeight + samples.length * sampleWeight;
  const sum = samples.reduce(
    (logs, sample) => logs + sampleWeight * Math.log(sample),
    usualWeight * Math.log(usual),
  );
  return { value: Math.exp(sum / weight), sigma: Math.sqrt(1 / weight), samples: samples.length };
}
