import type { StoredPattern } from '@lanakit/core/api';
import { blankPart, blankPattern, blankUse, type Pattern } from '@lanakit/core/pattern';
import { RUN_DEFAULTS, type RunInput } from '@lanakit/core/run';
import { BLANK_FIBRE, type Fibre, type FibreInput } from '@lanakit/core/shelf';
import type { Express } from 'express';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pino from 'pino';
import { request } from './request.ts';
import { hostNames } from '../../src/http/hostNames.ts';
import { createApp } from '../../src/createApp.ts';
import { createStore, openDatabase, type Db } from '../../src/db/index.ts';
import { createServices, type Services, type WorkDeps } from '../../src/services/index.ts';
import { workshopHere } from '../../src/workers/workshop.ts';

/** A whole studio on a real file in a directory of its own, at a fixed day, with ids that count. */
export interface Studio {
  readonly app: Express;
  readonly db: Db;
  readonly dir: string;
  readonly deps: WorkDeps;
  /** Those the application answers with. */
  readonly services: Services;
  /** As they were at a moment. */
  readonly servicesAt: (at: Date) => Services;
  close(): void;
}

export const NOW = new Date('2026-11-24T10:00:00Z');

export function openStudio(
  dir = mkdtempSync(join(tmpdir(), 'lanakit-test-')),
  now: () => Date = () => NOW,
  /** What its ids begin with, where two studios are not to have the same. */
  prefix = 'id',
): Studio {
  const opened = openDatabase(dir);
  if (!opened.ok) throw new Error(opened.refusal.code);
  let ids = 0;
  const deps: WorkDeps = {
    store: createStore(opened.db),
    now,
    newId: () => `${prefix}${++ids}`,
    work: workshopHere(),
    dataDir: dir,
  };
  const services = createServices(deps);
  const app = createApp({
    ...deps,
    services,
    log: pino({ level: 'silent' }),
    names: hostNames('127.0.0.1'),
    webDir: null,
  });
  return {
    app,
    db: opened.db,
    dir,
    deps,
    services,
    servicesAt: (at) => createServices({ ...deps, now: () => at }),
    close: () => {
      opened.db.close();
      rmSync(dir, { recursive: true, force: true });
    },
  };
}

export const fibreInput = (more: Partial<FibreInput> = {}): FibreInput => ({
  ...BLANK_FIBRE,
  name: 'Chalk',
  preparation: 'core-batt',
  colour: '#e6e0d2',
  pricePer100gMinor: 260,
  ...more,
});

export const ballPattern = (fibreId: string | null, more: Partial<Pattern> = {}): Pattern => ({
  ...blankPattern('Ball'),
  parts: [
    {
      ...blankPart('p1', 'Ball'),
      shape: { kind: 'ball', diameter: { value: 60, unit: 'mm' } },
      uses: [blankUse('p1-core', 'core', fibreId)],
    },
  ],
  ...more,
});

export const runInput = (revisionId: string, more: Partial<RunInput> = {}): RunInput => ({
  ...RUN_DEFAULTS,
  name: 'Saturday',
  date: '2026-12-05',
  revisionId,
  ...more,
});

/** @param countedNow grams there; null: not counted */
export async function addFibre(
  studio: Studio,
  more: Partial<FibreInput> = {},
  countedNow: number | null = 100,
): Promise<Fibre> {
  return add<Fibre>(studio, '/fibres', { ...fibreInput(more), countedNow });
}

/** Puts anything on the shelf. */
export async function add<T>({ app }: Studio, path: string, body: object): Promise<T> {
  const answer = await request(app).post(`/api${path}`).send(body).expect(201);
  return answer.body as T;
}

export async function addPattern({ app }: Studio, document: Pattern): Promise<StoredPattern> {
  const answer = await request(app).post('/api/patterns').send(document).expect(201);
  return answer.body as StoredPattern;
}

/** Publishes and gives the revision's id. */
export async function publish({ app }: Studio, { id, version }: StoredPattern): Promise<string> {
  const answer = await request(app)
    .post(`/api/patterns/${id}/revisions`)
    .set('If-Match', `"${version}"`)
    .send({ note: '' })
    .expect(201);
  return (answer.body as { id: string }).id;
}
