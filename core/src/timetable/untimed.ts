import type { Room } from './room.ts';
import type { Task } from './tasks.ts';

/** Nobody has said how long it takes, or how long what it leaves has to wait: it counts as nothing. */
export const isUntimed = ({ minutes, isWaitUnknown }: Pick<Task, 'minutes' | 'isWaitUnknown'>): boolean =>
  minutes === null || isWaitUnknown;

/** Steps in the class that are untimed, each once however many builds have it: with any, every time is “at best”. */
export const untimedSteps = ({ graphs }: Pick<Room, 'graphs'>): number =>
  new Set(
    graphs.flatMap(({ revisionId, tasks }) =>
      tasks.filter(isUntimed).map(({ stepId }) => `${revisionId} ${stepId}`),
    ),
  ).size;
