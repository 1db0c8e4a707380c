import { seededRandom } from '@lanakit/core/base';
import type { Wool } from '@lanakit/core/engine';
import {
  bagOf,
  classNeeds,
  costOfWithdrawals,
  type Designs,
  groupsToTry,
  portionsOfRun,
  type RunInput,
  type Simulated,
  simulateRun,
  type Sureness,
  sureness,
  withdrawalsOfPlan,
  toPackOf,
} from '@lanakit/core/run';
import { expose } from 'comlink';

/** One way of making sure, with what it takes. */
export interface Way {
  readonly classG: number;
  /** Of it what lies in a bag for all. */
  readonly bagG: number;
  readonly costMinor: number;
  readonly sure: Sureness;
}

const NO_STOCK = () => ({ onHandG: null, promisedG: 0 });

const planOf = (run: RunInput, designs: Designs, wool: Wool) => {
  const toPack = toPackOf(designs, run, wool);
  return { toPack, plan: portionsOfRun(toPack, run, NO_STOCK) };
};

const api = {
  way: (run: RunInput, designs: Designs, wool: Wool): Way => {
    const { toPack, plan } = planOf(run, designs, wool);
    return {
      classG: plan.classG,
      bagG: [...bagOf(plan).values()].reduce((sum, massG) => sum + massG, 0),
      costMinor: costOfWithdrawals(withdrawalsOfPlan(plan), wool.fibres).known,
      sure: sureness(toPack, plan, run),
    };
  },
  /** The class made so many times over, always the same for the same seed. */
  tried: (
    run: RunInput,
    designs: Designs,
    wool: Wool,
    tries: number,
    seed: number,
    onProgress: (share: number) => void,
  ): Simulated | null => {
    const { toPack, plan } = planOf(run, designs, wool);
    const bagG = bagOf(plan);
    const { needs } = classNeeds(groupsToTry(toPack, plan, run), toPack.estimates, plan, run);
    return simulateRun(
      needs,
      needs.fibres.map(({ fibreId }) => bagG.get(fibreId) ?? 0),
      tries,
      seededRandom(seed),
      (share) => {
        onProgress(share);
        return true;
      },
    );
  },
};
export type SureApi = typeof api;

expose(api);
