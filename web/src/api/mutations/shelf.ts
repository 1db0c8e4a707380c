import type { ImportInput } from '@lanakit/core/files';
import type {
  BlendLotMade,
  CountInput,
  HandMeasureInput,
  Lot,
  LotInput,
  MovementInput,
} from '@lanakit/core/shelf';
import type { Mutation } from './mutation.ts';

/** What shows anything of the shelf. */
export const SHELF: readonly string[] = [
  '/fibres',
  '/blends',
  '/findings',
  '/needles',
  '/tools',
  '/suppliers',
  '/stock',
  '/promised',
  '/bench',
  '/runs/',
];

/** Where things of one kind lie: `/fibres`. */
type ItemPath = `/${string}`;

interface Stored {
  readonly id: string;
  readonly version: number;
}

export const addItem = <T>(path: ItemPath, input: T): Mutation<T & Stored> => ({
  method: 'POST',
  path,
  body: input,
  touches: SHELF,
});

export const saveItem = <T>(path: ItemPath, id: string, version: number, input: T): Mutation<T & Stored> => ({
  method: 'PUT',
  path: `${path}/${id}`,
  version,
  body: input,
  touches: SHELF,
});

export const deleteItem = (path: ItemPath, id: string, version: number): Mutation<void> => ({
  method: 'DELETE',
  path: `${path}/${id}`,
  version,
  touches: SHELF,
});

export const restoreItem = (path: ItemPath, id: string): Mutation<unknown> => ({
  method: 'POST',
  path: `${path}/${id}/restore`,
  touches: SHELF,
});

/** One of several things that are saved together. */
export interface Saving {
  readonly id: string;
  readonly version: number;
  readonly input: object;
}

/** Several of one kind, all or none. */
export const saveItems = (path: ItemPath, items: readonly Saving[]): Mutation<unknown> => ({
  method: 'PUT',
  path,
  body: { items },
  touches: SHELF,
});

/** Several lots, all or none. */
export const saveLots = (lots: readonly Saving[]): Mutation<unknown> => ({
  method: 'PUT',
  path: '/lots',
  body: { lots },
  touches: SHELF,
});

export const saveLot = (id: string, version: number, input: LotInput): Mutation<Lot> => ({
  method: 'PUT',
  path: `/lots/${id}`,
  version,
  body: input,
  touches: SHELF,
});

/** @param receivedG null: not weighed, not counted */
export const receiveLot = (itemId: string, input: LotInput, receivedG: number | null): Mutation<Lot> => ({
  method: 'POST',
  path: `/lots/of/${itemId}`,
  body: { ...input, receivedG },
  touches: SHELF,
});

export const makeBlendLot = (blendId: string, input: BlendLotMade): Mutation<unknown> => ({
  method: 'POST',
  path: `/blends/${blendId}/lots`,
  body: input,
  touches: SHELF,
});

/** What was found when somebody counted; the ledger gets the differences. */
export const enterCounts = (counts: readonly CountInput[]): Mutation<unknown> => ({
  method: 'POST',
  path: '/stock/counts',
  body: { counts },
  touches: SHELF,
});

/** What came or went, as somebody says. */
export const enterMovement = (movement: MovementInput): Mutation<unknown> => ({
  method: 'POST',
  path: '/stock/movements',
  body: movement,
  touches: SHELF,
});

export const keepHandMeasure = (measure: HandMeasureInput): Mutation<unknown> => ({
  method: 'PUT',
  path: '/hand-measures',
  body: measure,
  touches: ['/hand-measures'],
});

export const bringInList = (input: ImportInput): Mutation<{ readonly id: string }> => ({
  method: 'POST',
  path: '/imports',
  body: input,
  touches: [...SHELF, '/imports'],
});

/** Takes a list back that was read in, whole. */
export const takeBackList = (importId: string): Mutation<unknown> => ({
  method: 'POST',
  path: `/imports/${importId}/undo`,
  touches: [...SHELF, '/imports'],
});
