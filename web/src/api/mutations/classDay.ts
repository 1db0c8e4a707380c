import type { ClassEvents } from '@lanakit/core/api';
import type { ClassEventInput } from '@lanakit/core/classDay';
import type { Mutation } from './mutation.ts';
import { SHELF } from './shelf.ts';

/** Something happened in a class. Under its own key it counts once. */
export const addClassEvent = (runId: string, event: ClassEventInput): Mutation<ClassEvents> => ({
  method: 'POST',
  path: `/runs/${runId}/class-day/events`,
  body: event,
  hasOwnKey: true,
  touches: [
    ...(isOfWool(event) ? [`/runs/${runId}/took`, ...SHELF] : []),
    ...(event.what.act === 'box-photo' || event.what.act === 'back'
      ? [`/runs/${runId}/class-day/events`]
      : []),
  ],
});

/** Wool that comes back, or does not after all, is on the shelf. */
const isOfWool = ({ what }: ClassEventInput): boolean =>
  what.act === 'left' || what.act === 'spare' || what.act === 'back';
