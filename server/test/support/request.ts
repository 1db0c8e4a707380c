import type { Express } from 'express';
import supertest from 'supertest';

/** As a page of Lanakit asks: every write has our header with it. */
export const request = (app: Express | string) => supertest.agent(app).set('X-Lanakit', '1');
