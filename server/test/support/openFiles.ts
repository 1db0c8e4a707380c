import type { BroughtIn, StudioThatCame } from '@lanakit/core/api';
import type { Run } from '@lanakit/core/run';
import type { Fibre } from '@lanakit/core/shelf';
import { unzipSync, zipSync, type Zippable } from 'fflate';
import { inflateRawSync } from 'node:zlib';
import { request } from './request.ts';
import type { Db } from '../../src/db/index.ts';
import { bytesOf, upload } from './files.ts';
import {
  add,
  addFibre,
  addPattern,
  ballPattern,
  openStudio,
  publish,
  runInput,
  type Studio,
} from './studio.ts';

/** Studios that are closed together. */
export function manyStudios() {
  const open: Studio[] = [];
  return {
    /** @param prefix what its ids begin with */
    studioOf: (prefix = 'id'): Studio => {
      const studio = openStudio(undefined, undefined, prefix);
      open.push(studio);
      return studio;
    },
    closeAll: (): void => {
      for (const studio of open.splice(0)) studio.close();
    },
  };
}

export const filesOf = async (studio: Studio) =>
  unzipSync(new Uint8Array((await bytesOf(studio, '/studio-file').expect(200)).body as Buffer));
export const zipped = (files: Zippable): Buffer => Buffer.from(zipSync(files));
export const textIn = (files: Record<string, Uint8Array>, path: string) =>
  Buffer.from(files[path] ?? []).toString('utf8');
export const jsonIn = <T>(files: Record<string, Uint8Array>, path: string) =>
  JSON.parse(textIn(files, path)) as T;

export const read = async (studio: Studio, files: Zippable): Promise<StudioThatCame> =>
  (await upload(studio, '/studio-files', zipped(files)).expect(200)).body as StudioThatCame;
export const bringIn = async (studio: Studio, id: string, mapping: object[] = []): Promise<BroughtIn> =>
  (await request(studio.app).post(`/api/studio-files/${id}/brought-in`).send({ mapping }).expect(200))
    .body as BroughtIn;

/** Belongs to the studio as it is, wherever it came from. */
const ITS_OWN = ['studio_fact', 'answered_key', 'change_count', 'write_log', 'pack_code'];

/** Every row of every table, read by SQL alone; of what is packed, what is in it. */
export function everythingIn(db: Db): Record<string, unknown[]> {
  const tables = db.prepare<[], string>(`SELECT name FROM sqlite_master WHERE type = 'table'`).pluck().all();
  return Object.fromEntries(
    tables
      .filter((table) => !ITS_OWN.includes(table))
      .map((table) => [table, db.prepare(`SELECT * FROM "${table}"`).all().map(comparable).sort()]),
  );
}

const comparable = (row: unknown): string =>
  JSON.stringify(row, (key, value: unknown) => {
    if (key === 'document' && typeof value === 'object')
      return inflateRawSync(Buffer.from((value as { data: number[] }).data)).toString('utf8');
    return value;
  });

/** Takes a planned run on to packed. */
export async function pack(studio: Studio, runId: string): Promise<void> {
  for (const [at, to] of (['bought', 'weighed', 'packed'] as const).entries())
    await request(studio.app)
      .post(`/api/runs/${runId}/state`)
      .set('If-Match', `"${at + 1}"`)
      .send({ to, anyway: true })
      .expect(200);
}

/** The packed ball: a fibre, its pattern, a class that is packed, and a tick. */
export async function packedClass(
  studio: Studio,
  runName = 'Saturday',
): Promise<{ runId: string; patternId: string; fibreId: string }> {
  const fibre = await addFibre(studio, {}, 400);
  const pattern = await addPattern(studio, ballPattern(fibre.id));
  const revisionId = await publish(studio, pattern);
  const run = await add<Run>(studio, '/runs', runInput(revisionId, { name: runName }));
  await pack(studio, run.id);
  await request(studio.app)
    .post(`/api/runs/${run.id}/ticks`)
    .send({ key: `k-${run.id}`, mark: `seat 1|one|${fibre.id}`, isDone: true, massG: 9 })
    .expect(200);
  return { runId: run.id, patternId: pattern.id, fibreId: fibre.id };
}

export const itemsOf = async <T>(studio: Studio, path: string): Promise<T[]> =>
  ((await request(studio.app).get(`/api${path}`).expect(200)).body as { items: T[] }).items;
export const onHandG = async (studio: Studio) =>
  (await itemsOf<Fibre>(studio, '/fibres')).map((fibre) => [fibre.name, fibre.onHandG]);
