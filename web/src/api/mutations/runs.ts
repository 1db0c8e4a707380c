import type { NamedRun, NeedleTray, OpenedRun, RunTicks } from '@lanakit/core/api';
import type { ResolveInput, Tapped } from '@lanakit/core/needles';
import type { RunInput, RunState, RunTick } from '@lanakit/core/run';
import { deviceKey } from '../deviceKey.ts';
import type { Mutation } from './mutation.ts';
import { SHELF } from './shelf.ts';

const LIST = ['/runs', '/bench'];
/** A closed count moves needles to and from the shelf, and what is known of how often they break. */
const COUNTED_IN = ['/bench', '/needle', '/stock'];

export const planRun = (input: RunInput): Mutation<NamedRun> => ({
  method: 'POST',
  path: '/runs',
  body: input,
  touches: LIST,
});

export const copyRun = (id: string): Mutation<OpenedRun> => ({
  method: 'POST',
  path: `/runs/${id}/copy`,
  touches: LIST,
});

/** Who came is forgotten for good. */
export const forgetPeople = (id: string, version: number): Mutation<OpenedRun> => ({
  method: 'POST',
  path: `/runs/${id}/people-forgotten`,
  version,
  touches: [...LIST, '/history', '/found'],
});

export const deleteRun = (id: string, version: number): Mutation<void> => ({
  method: 'DELETE',
  path: `/runs/${id}`,
  version,
  touches: LIST,
});

export const restoreRun = (id: string): Mutation<OpenedRun> => ({
  method: 'POST',
  path: `/runs/${id}/restore`,
  touches: LIST,
});

/** @param anyway although something is missing for it */
export const moveRun = (id: string, version: number, to: RunState, anyway: boolean): Mutation<OpenedRun> => ({
  method: 'POST',
  path: `/runs/${id}/state`,
  version,
  body: { to, anyway },
  touches: ['/runs', ...SHELF],
});

/** Takes the numbers of today in place of those it was bought with. */
export const replanRun = (id: string, version: number): Mutation<OpenedRun> => ({
  method: 'POST',
  path: `/runs/${id}/replan`,
  version,
  touches: ['/runs', '/bench', '/promised'],
});

/** Weighed or packed. @param key of this one tick, so that one sent twice counts once */
export const tickRun = (id: string, key: string, tick: RunTick): Mutation<RunTicks> => ({
  method: 'POST',
  path: `/runs/${id}/ticks`,
  body: { key, from: deviceKey(), ...tick },
  hasOwnKey: true,
  touches: [],
});

/** One needle, or several, from one pile of the tray to another. @param key as at a tick */
export const tapTray = (
  runId: string,
  tap: { readonly key: string; readonly needleId: string; readonly pile: Tapped; readonly amount: number },
): Mutation<NeedleTray> => ({
  method: 'POST',
  path: `/runs/${runId}/tray/taps`,
  body: { ...tap, from: deviceKey() },
  hasOwnKey: true,
  touches: [],
});

export const closeTray = (runId: string): Mutation<NeedleTray> => ({
  method: 'POST',
  path: `/runs/${runId}/tray/close`,
  touches: COUNTED_IN,
});

export const reopenTray = (runId: string): Mutation<NeedleTray> => ({
  method: 'POST',
  path: `/runs/${runId}/tray/reopen`,
  touches: COUNTED_IN,
});

/** What became of a needle that was missing. */
export const resolveNeedle = (runId: string, input: ResolveInput): Mutation<NeedleTray> => ({
  method: 'POST',
  path: `/runs/${runId}/tray/resolve`,
  body: input,
  hasOwnKey: true,
  touches: COUNTED_IN,
});
