import type { FirstClassMade, ShelfStarted } from '@lanakit/core/api';
import type { FirstClassInput, ShelfStartInput } from '@lanakit/core/starts';
import type { Mutation } from './mutation.ts';
import { SHELF } from './shelf.ts';

/** Ordinary things onto the shelf, all or none. */
export const startShelf = (input: ShelfStartInput): Mutation<ShelfStarted> => ({
  method: 'POST',
  path: '/starts/shelf',
  body: input,
  touches: SHELF,
});

/** A figure from a body; with people and a day its first class too. */
export const makeFirstClass = (input: FirstClassInput): Mutation<FirstClassMade> => ({
  method: 'POST',
  path: '/starts/first-class',
  body: input,
  touches: [...SHELF, '/patterns', '/revisions', '/runs', '/bench'],
});
