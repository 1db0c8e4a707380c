import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { FoundAnswer } from '@lanakit/core/api';
import { blankStep } from '@lanakit/core/pattern';
import { blankSeat } from '@lanakit/core/run';
import { blankLot } from '@lanakit/core/shelf';
import Database from 'better-sqlite3';
import { mkdirSync, rmdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { request } from '../support/request.ts';
import {
  addFibre,
  addPattern,
  ballPattern,
  fibreInput,
  openStudio,
  publish,
  runInput,
  type Studio,
} from '../support/studio.ts';

let studio: Studio;
beforeEach(() => {
  studio = openStudio();
});
afterEach(() => studio.close());

const find = async (search: string): Promise<FoundAnswer> =>
  (await request(studio.app).get('/api/found').query({ search }).expect(200)).body as FoundAnswer;
/** What is found, in a line each. */
const found = async (search: string) =>
  (await find(search)).items.map(
    ({ kind, name, within }) => `${kind} ${name}${within ? ` < ${within.name}` : ''}`,
  );

/** A wren with a part and two steps, a class on it, and a lot of its wool. */
async function wrenStudio() {
  const fibre = await addFibre(studio, fibreInput({ name: 'Moorland' }));
  const ball = ballPattern(fibre.id, { title: 'Winter wren' });
  const [part] = ball.parts;
  const wren = await addPattern(studio, {
    ...ball,
    parts: part ? [{ ...part, name: 'Folded wing' }] : [],
    steps: [
      {
        ...blankStep('s1', undefined),
        text: 'Roll the **body** firmly, ends tucked in',
        partIds: part ? [part.id] : [],
      },
      {
        ...blankStep('s2', undefined),
        text: 'Pinch the tail upright',
        cue: 'it stays cocked',
        partIds: part ? [part.id] : [],
      },
    ],
  });
  const revisionId = await publish(studio, wren);
  const roster = [{ ...blankSeat(1), name: 'Solveig', note: 'left of the window' }];
  await request(studio.app)
    .post('/api/runs')
    .send(runInput(revisionId, { name: 'Thursday birds', date: '2026-12-10', roster }))
    .expect(201);
  studio.services.stock.addLot(fibre.id, blankLot('Bale seven'), 120);
  return { wren, fibre };
}

describe('search', () => {
  beforeEach(wrenStudio);

  test.each([
    ['wren', ['pattern Winter wren']],
    ['folded', ['part Folded wing < Winter wren']],
    ['wing folded', ['part Folded wing < Winter wren']],
    ['tucked', ['step 1. Roll the body firmly, ends tucked in < Winter wren']],
    ['cocked', ['step 2. Pinch the tail upright it stays cocked < Winter wren']],
    // In no single step: the pattern stands for itself.
    ['tucked upright', ['pattern Winter wren']],
    ['solveig', ['person Solveig left of the window < Thursday birds']],
    ['window', ['person Solveig left of the window < Thursday birds']],
    ['bale', ['lot Bale seven < Moorland']],
    ['moor', ['fibre Moorland']],
    ['labels thursday', ['paper Labels < Thursday birds']],
    ['weigh-out', ['paper Weigh-out list < Thursday birds']],
    ['labels friday', []],
    ['', []],
    ['"*', []],
  ])('%s', async (search, lines) => {
    expect(await found(search)).toEqual(lines);
  });

  test.each([
    ['winnter', 'winter', ['pattern Winter wren']],
    ['solvieg', 'solveig', ['person Solveig left of the window < Thursday birds']],
    ['foldet wing', 'folded wing', ['part Folded wing < Winter wren']],
    ['morland', 'moorland', ['fibre Moorland']],
  ])('misspelt: %s was meant as %s', async (typed, meant, lines) => {
    expect((await find(typed)).meant).toBe(meant);
    expect(await found(typed)).toEqual(lines);
  });

  test('nothing is near', async () => {
    expect(await find('xylophone')).toEqual({ items: [], meant: null });
  });
});

test('what has all the words in one step comes before what has them only all together', async () => {
  await wrenStudio();
  const fibre = await addFibre(studio, fibreInput({ name: 'Sea' }));
  for (const [title, texts] of [
    ['Apart', ['Pinch it', 'the tail', 'upright']],
    ['Together', ['Pinch the tail upright']],
    ['Apart again', ['Pinch', 'the tail upright']],
  ] as const)
    await addPattern(studio, {
      ...ballPattern(fibre.id, { title }),
      steps: texts.map((text, at) => ({ ...blankStep(`s${at}`, undefined), text })),
    });
  const lines = await found('pinch tail upright');
  expect(lines.slice(0, 2).every((line) => line.startsWith('step 1.') || line.startsWith('step 2.'))).toBe(
    true,
  );
  expect(lines.slice(2).sort()).toEqual(['pattern Apart', 'pattern Apart again']);
});

test('what is changed is found as it is now, what is deleted not at all, what comes back again', async () => {
  const { wren } = await wrenStudio();
  expect(await found('wren')).toHaveLength(1);
  const { patterns } = studio.services;
  await request(studio.app)
    .put(`/api/patterns/${wren.id}`)
    .set('If-Match', '"1"')
    .send({ ...wren.document, title: 'Dipper', steps: [] })
    .expect(200);
  expect(await found('dipper')).toEqual(['pattern Dipper']);
  expect(await found('cocked')).toEqual([]);
  await request(studio.app).delete(`/api/patterns/${wren.id}`).set('If-Match', '"2"').expect(204);
  expect(await found('folded')).toEqual([]);
  expect(patterns.restore(wren.id)).toMatchObject({ id: wren.id });
  expect(await found('folded')).toEqual(['part Folded wing < Dipper']);
});

test('an index that is damaged is made anew, and nobody sees it', async () => {
  await wrenStudio();
  writeFileSync(join(studio.dir, 'search.sqlite'), Buffer.alloc(8192, 0x5a));
  expect(await found('cocked')).toHaveLength(1);
});

test('an index that is damaged between two searches is made anew as well', async () => {
  await wrenStudio();
  expect(await found('cocked')).toHaveLength(1);
  // Its tables go under its hands.
  const other = new Database(join(studio.dir, 'search.sqlite'));
  other.exec('DROP TABLE words; DROP TABLE thing');
  other.close();
  expect(await found('cocked')).toHaveLength(1);
  expect((await find('cokced')).meant).toBe('cocked');
});

test('where no index can be kept, names are found all the same', async () => {
  await wrenStudio();
  // Nothing can be written in its place.
  mkdirSync(join(studio.dir, 'search.sqlite'));
  expect(await found('wren')).toEqual(['pattern Winter wren']);
  expect(await found('cocked')).toEqual([]);
  rmdirSync(join(studio.dir, 'search.sqlite'));
  expect(await found('cocked')).toHaveLength(1);
});

test('a studio that was there before its search is looked into by and by, and everything is found then', async () => {
  const many = 320;
  studio.deps.store.together(() => {
    for (let at = 0; at < many; at++) studio.services.items.fibre.put(fibreInput({ name: `Shade ${at}` }));
  });
  const fibre = await addFibre(studio, fibreInput({ name: 'Quince' }));
  await addPattern(studio, ballPattern(fibre.id, { title: 'Last of all' }));
  // By what is in it, not by its name: its part.
  const part = ballPattern(fibre.id).parts[0]?.name ?? '';
  while (!(await found(part)).includes(`part ${part} < Last of all`)) await new Promise(setImmediate);
  while ((await find('quinse')).meant !== 'quince') await new Promise(setImmediate);
  expect(await found('quinse')).toEqual(['fibre Quince']);
});
