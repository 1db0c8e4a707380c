import type { Express } from 'express';
import supertest from 'supertest';

/** As a page of Lanakit asks: every write has our header with it. */
export const request = (app: Express | string) => supertest.agent(app).set('X-Lanakit', '1');

/** What was answered, as it is known to be. */
export const bodyOf = <T>(answer: { readonly body: unknown }): T => answer.body as T;
