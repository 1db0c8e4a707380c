import type { ScaleInfo } from '@lanakit/core/api';
import type { ScaleAct, ScaleCommand } from '@lanakit/core/scale';
import type { Mutation } from './mutation.ts';

/** Tare or zero, said to it. */
export const tellScale = (id: string, command: ScaleCommand): Mutation<void> => ({
  method: 'POST',
  path: `/scales/${id}/commands`,
  body: { command },
  hasOwnKey: true,
  touches: [],
});

/** Something done to a simulated one. */
export const actOnScale = (id: string, act: ScaleAct): Mutation<void> => ({
  method: 'POST',
  path: `/scales/${id}/acts`,
  body: act,
  hasOwnKey: true,
  touches: [],
});

export const simulateScale = (name: string): Mutation<ScaleInfo> => ({
  method: 'POST',
  path: '/scales',
  body: { name },
  hasOwnKey: true,
  touches: ['/scales'],
});

export const putScaleAway = (id: string): Mutation<void> => ({
  method: 'DELETE',
  path: `/scales/${id}`,
  touches: ['/scales'],
});
