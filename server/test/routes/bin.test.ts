import { afterEach, beforeEach, expect, test } from '@jest/globals';
import type { BinnedThing } from '@lanakit/core/api';
import { OWN_RIGHTS } from '@lanakit/core/pattern';
import { blankTechniqueStep } from '@lanakit/core/writing';
import { request } from '../support/request.ts';
import {
  addFibre,
  addPattern,
  ballPattern,
  openStudio,
  publish,
  runInput,
  type Studio,
} from '../support/studio.ts';

const TECHNIQUE = {
  name: 'Sew it on',
  about: '',
  parameters: [],
  steps: [{ ...blankTechniqueStep(), text: 'Sew' }],
  rights: OWN_RIGHTS,
};

let studio: Studio;
let day = '2026-11-24';
beforeEach(() => {
  day = '2026-11-24';
  studio = openStudio(undefined, () => new Date(`${day}T10:00:00Z`));
});
afterEach(() => studio.close());

const bin = async () =>
  ((await request(studio.app).get('/api/bin').expect(200)).body as { items: BinnedThing[] }).items;
const remove = (path: string, version: number) =>
  request(studio.app).delete(`/api${path}`).set('If-Match', `"${version}"`).expect(204);

test('what was deleted lies in the bin for ninety days, the last first, and each is had back from there', async () => {
  const fibre = await addFibre(studio, { name: 'Moss' });
  const wool = await addFibre(studio, { name: 'Chalk' });
  const pattern = await addPattern(studio, ballPattern(wool.id, { title: 'Wren' }));
  const revisionId = await publish(studio, pattern);
  const run = (await request(studio.app).post('/api/runs').send(runInput(revisionId)).expect(201)).body as {
    id: string;
    version: number;
  };
  const technique = (await request(studio.app).post('/api/techniques').send(TECHNIQUE).expect(201)).body as {
    id: string;
  };
  expect(await bin()).toEqual([]);
  await remove(`/fibres/${fibre.id}`, fibre.version);
  day = '2026-11-25';
  await remove(`/runs/${run.id}`, run.version);
  day = '2026-11-26';
  await remove(`/patterns/${pattern.id}`, pattern.version);
  day = '2026-11-27';
  await request(studio.app).delete(`/api/techniques/${technique.id}`).expect(204);
  const listed = await bin();
  expect(listed.map(({ kind, name }) => `${kind} ${name}`)).toEqual([
    'technique Sew it on',
    'pattern Wren',
    'run Saturday',
    'item Moss',
  ]);
  for (const { path, id } of listed)
    await request(studio.app).post(`/api${path}/${id}/restore`).send({}).expect(200);
  expect(await bin()).toEqual([]);
  expect((await request(studio.app).get(`/api/techniques/${technique.id}`).expect(200)).body).toMatchObject({
    name: 'Sew it on',
  });
  await request(studio.app).post(`/api/techniques/${technique.id}/restore`).send({}).expect(404);
});

test('after ninety days it is listed no more', async () => {
  const fibre = await addFibre(studio);
  await remove(`/fibres/${fibre.id}`, fibre.version);
  day = '2027-02-22';
  expect(await bin()).toHaveLength(1);
  day = '2027-02-23';
  expect(await bin()).toEqual([]);
});
