import type { HandMeasure, HandMeasureName } from '../shelf/index.ts';
import { Z90 } from '../base/index.ts';
import type { Learnt } from './learnt.ts';
import { SIGMA } from './sigmas.ts';

/** So many wisps, pinches or tufts, and what they weighed together. */
export interface HandSample {
  readonly id: string;
  readonly name: HandMeasureName;
  readonly count: number;
  readonly massG: number;
}

/** What was measured counts as so many samples. */
const MEASURED_SAMPLES = 2;

const spreadOf = (measure: HandMeasure | undefined): number => {
  const spread = measure ? Math.log(measure.highG / measure.lowG) / (2 * Z90) : 0;
  return spread > 0 ? spread : SIGMA.handUnmeasured;
};

/**
 * What one of each hand measure is, after samples of it: the mean of the logs, what was measured among them; its spread is
 * that of one of them, and how unsure the mean is.
 */
export function handsLearnt(
  samples: readonly HandSample[],
  measured: readonly HandMeasure[],
): Learnt['hands'] {
  const names = [...new Set(samples.map(({ name }) => name))];
  return names.map((name) => {
    const known = measured.find((measure) => measure.name === name);
    const spread = spreadOf(known);
    const entries = samples
      .filter((sample) => sample.name === name)
      // Several together even out: so many samples of one.
      .map(({ massG, count }) => ({ ln: Math.log(massG / count), weight: count }));
    if (known) entries.push({ ln: Math.log(known.massG), weight: MEASURED_SAMPLES });
    const weight = entries.reduce((sum, entry) => sum + entry.weight, 0);
    const mean = entries.reduce((sum, entry) => sum + entry.ln * entry.weight, 0) / weight;
    return {
      name,
      massG: Math.exp(mean),
      sigma: spread * Math.sqrt(1 + 1 / weight),
      samples: samples.filter((sample) => sample.name === name).length,
    };
  });
}
