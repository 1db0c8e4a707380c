import type { DeviceRole, NetworkState, PackCodes } from '@lanakit/core/api';
import type { Mutation } from './mutation.ts';

const NETWORK = ['/network', '/write-log'];

/** A code that lets one device in. */
export const offerPairing = (offer: {
  readonly name: string;
  readonly role: DeviceRole;
  readonly seesNames: boolean;
}): Mutation<NetworkState> => ({
  method: 'POST',
  path: '/network/offers',
  body: offer,
  hasOwnKey: true,
  touches: NETWORK,
});

export const withdrawOffers = (): Mutation<void> => ({
  method: 'DELETE',
  path: '/network/offers',
  touches: NETWORK,
});

export const changeDevice = (
  id: string,
  facts: { readonly name: string; readonly seesNames: boolean },
): Mutation<void> => ({ method: 'PUT', path: `/network/devices/${id}`, body: facts, touches: NETWORK });

export const shutOut = (id: string): Mutation<void> => ({
  method: 'DELETE',
  path: `/network/devices/${id}`,
  touches: NETWORK,
});

const PERSONS = ['/persons', '/runs', '/bench', '/found', '/history'];

export const setForgetting = (afterDays: number | null): Mutation<void> => ({
  method: 'PUT',
  path: '/persons/rule',
  body: { afterDays },
  touches: ['/persons'],
});

/** One person, everywhere. */
export const forgetPerson = (name: string): Mutation<{ readonly seats: number; readonly pages: number }> => ({
  method: 'POST',
  path: '/persons/forgotten',
  body: { name },
  touches: PERSONS,
});

/** A code for every pack that has none. */
export const makeCodes = (runId: string): Mutation<PackCodes> => ({
  method: 'POST',
  path: `/runs/${runId}/codes`,
  touches: [`/runs/${runId}/codes`],
});

export const endCodes = (runId: string): Mutation<void> => ({
  method: 'DELETE',
  path: `/runs/${runId}/codes`,
  touches: [`/runs/${runId}/codes`],
});
