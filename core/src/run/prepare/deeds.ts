import type { RunInput } from '../document/run.ts';
import type { RunState } from '../document/runState.ts';
import type { WorkPace } from './pace.ts';

/** What is to be done toward a run, in the order in which it is done. */
export type RunDeed =
  | { readonly does: 'buy'; readonly things: number }
  | { readonly does: 'count'; readonly fibres: number }
  | { readonly does: 'weigh'; readonly portions: number; readonly minutes: number; readonly isFromPast: boolean }
  | { readonly does: 'pack'; readonly packs: number; readonly minutes: number; readonly isFromPast: boolean }
  | { readonly does: 'teach' | 'send' | 'close' }; // prettier-ignore

/** How a run stands, counted. */
export interface RunStanding {
  readonly state: RunState;
  readonly kind: RunInput['kind'];
  /** YYYY-MM-DD. */
  readonly date: string;
  readonly lastDay: string;
  /** Fibres and things that are short. */
  readonly short: number;
  readonly uncounted: number;
  readonly unweighed: number;
  readonly unpacked: number;
}

/** @param today YYYY-MM-DD */
export function deedsOf(standing: RunStanding, pace: WorkPace, today: string): RunDeed[] {
  const { state, kind, date, lastDay } = standing;
  if (state === 'done') return [];
  const isClass = kind === 'class';
  const isDay = isClass && today >= date && today <= lastDay;
  if (state === 'packed') {
    if (isDay) return [{ does: 'teach' }];
    if (isClass) return today > lastDay ? [{ does: 'close' }] : [];
    return today >= date ? [{ does: 'close' }] : [{ does: 'send' }];
  }
  return [...before(standing), ...atTheTable(standing, pace), ...(isDay ? [{ does: 'teach' } as const] : [])];
}

const before = ({ state, short, uncounted }: RunStanding): RunDeed[] =>
  state === 'planned'
    ? [
        ...(uncounted > 0 ? [{ does: 'count', fibres: uncounted } as const] : []),
        ...(short > 0 ? [{ does: 'buy', things: short } as const] : []),
      ]
    : [];

const atTheTable = ({ unweighed, unpacked }: RunStanding, pace: WorkPace): RunDeed[] => [
  ...(unweighed > 0
    ? [{ does: 'weigh', portions: unweighed, minutes: unweighed * pace.minutesAWeighing, isFromPast: pace.fromWeighings > 0 } as const]
    : []),
  ...(unpacked > 0
    ? [{ does: 'pack', packs: unpacked, minutes: unpacked * pace.minutesAPack, isFromPast: pace.fromPacks > 0 } as const]
    : []),
]; // prettier-ignore

/** Minutes of one deed; 0: it takes none at the table. */
export const minutesOfDeed = (deed: RunDeed): number => ('minutes' in deed ? deed.minutes : 0);

/** Minutes of several together. */
export interface DeedsTime {
  readonly minutes: number;
  /** Some of them are only reckoned: too little was ticked to tell how long this maker takes. */
  readonly isReckoned: boolean;
}

export const timeOfDeeds = (deeds: readonly RunDeed[]): DeedsTime => ({
  minutes: deeds.reduce((sum, deed) => sum + minutesOfDeed(deed), 0),
  isReckoned: deeds.some((deed) => 'isFromPast' in deed && !deed.isFromPast),
});
