import type { NetworkState, PackCodes } from '@lanakit/core/api';
import type { Express } from 'express';
import pino from 'pino';
import supertest from 'supertest';
import { ownerKey } from '../../src/access/passphrase.ts';
import { createApp } from '../../src/createApp.ts';
import { hostNames } from '../../src/http/hostNames.ts';
import { studioDoor } from '../../src/http/studioDoor.ts';
import { bodyOf, request } from './request.ts';
import type { Studio } from './studio.ts';

const PASSPHRASE = 'four green felted pears';

export type Agent = ReturnType<typeof request>;

/** A studio opened to its network. */
export interface Opened {
  readonly app: Express;
  readonly owner: Agent;
  /** Lets another device in. */
  readonly pair: (name: string, seesNames?: boolean, role?: 'owner' | 'helper') => Promise<Agent>;
  /** A learner’s phone, by the code of a pack. */
  readonly withCode: (code: string) => Promise<Agent>;
}

/** @param clock of the door, ms */
export async function opened(studio: Studio, clock: () => number = Date.now): Promise<Opened> {
  const key = await ownerKey(PASSPHRASE, new Date(), 2 ** 10);
  let ids = 0;
  const app = createApp({
    ...studio.deps,
    log: pino({ level: 'silent' }),
    names: hostNames('127.0.0.1'),
    door: studioDoor({
      owner: key,
      now: clock,
      newId: () => `device${++ids}`,
      urls: () => ['http://studio:4310'],
    }),
    webDir: null,
  });
  const owner = request(app);
  await owner.post('/api/session').send({ passphrase: PASSPHRASE }).expect(204);
  return {
    app,
    owner,
    async pair(name, seesNames = false, role = 'helper') {
      const answer = await owner.post('/api/network/offers').send({ name, role, seesNames }).expect(201);
      const code = bodyOf<NetworkState>(answer).offers.at(-1)?.code;
      const device = request(app);
      await device.post('/api/session/pairing').send({ code }).expect(204);
      return device;
    },
    async withCode(code) {
      const phone = request(app);
      await phone.post('/api/session/pack').send({ code }).expect(204);
      return phone;
    },
  };
}

/** Codes of a class, made where there are none. */
export async function codesOf(owner: Agent, runId: string): Promise<PackCodes> {
  return (await owner.post(`/api/runs/${runId}/codes`).send().expect(200)).body as PackCodes;
}

/** Nobody who is known. */
export const nobody = (app: Express) => supertest.agent(app).set('X-Lanakit', '1');
