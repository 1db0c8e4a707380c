import { designsOfPacks } from '../run/index.ts';
import { type Outcome, outcomeOfRun, pacesOf, type Room, roomOf } from '../timetable/index.ts';
import type { PaperSource } from './paper.ts';

/** Always the same class for the same plan: a sheet printed twice says the same. */
const PAPER_SEED = 20_261_205;
/** So many turns of hands are gone through for a sheet, and never fewer classes than these. */
const MOST_TURNS = 1_000_000;
const [FEWEST_CLASSES, MOST_CLASSES] = [20, 400];

/** A class as it would go. */
export interface Times {
  readonly room: Room;
  readonly outcome: Outcome;
}

/** How a class goes, for its sheets; null: nobody has said when it is, or nothing of it takes time. */
export function timesOfRun(source: PaperSource): Times | null {
  const { input } = source;
  const designs = designsOfPacks(source.toPack.groups);
  const paces = pacesOf(source.wool.learnt);
  const room = input.kind === 'class' ? roomOf(designs, input, paces) : 'no-people';
  if (typeof room === 'string') return null;
  const turns = room.people.reduce((sum, { graphAt }) => sum + (room.graphs[graphAt]?.tasks.length ?? 0), 0);
  const classes = Math.max(
    FEWEST_CLASSES,
    Math.min(MOST_CLASSES, Math.floor(MOST_TURNS / Math.max(1, turns))),
  );
  const outcome = outcomeOfRun(input, { designs, classes, seed: PAPER_SEED, paces });
  return outcome && { room, outcome };
}
