import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { OWN_RIGHTS } from '@lanakit/core/pattern';
import { blankTechniqueStep, type TechniqueInput } from '@lanakit/core/writing';
import { request } from '../support/request.ts';

import { told } from '../support/files.ts';
import { addFibre, addPattern, ballPattern, openStudio, type Studio } from '../support/studio.ts';

let studio: Studio;
beforeEach(() => {
  studio = openStudio();
});
afterEach(() => studio.close());

describe('techniques', () => {
  const input: TechniqueInput = {
    name: 'Limb',
    about: '',
    parameters: [],
    steps: [{ ...blankTechniqueStep(), text: 'Roll' }],
    rights: OWN_RIGHTS,
  };
  test('every change is a version, and the old ones stay', async () => {
    const body = told(await request(studio.app).post('/api/techniques').send(input).expect(201));
    const path = `/api/techniques/${body.id}`;
    const next = { ...input, steps: [{ ...blankTechniqueStep(), text: 'Roll tight' }] };
    expect(
      told(await request(studio.app).put(path).set('If-Match', '"1"').send(next).expect(200)).version,
    ).toBe(2);
    await request(studio.app).put(path).set('If-Match', '"1"').send(next).expect(409);
    expect(told(await request(studio.app).get(`${path}/versions/1`).expect(200)).steps[0]?.text).toBe('Roll');
    await request(studio.app).get(`${path}/versions/3`).expect(404);
    expect(() => studio.db.prepare(`UPDATE technique_version SET document = '{}'`).run()).toThrow(
      /cannot be changed/,
    );
  });
  test('tells who uses it and in which version; put away, it is offered no more', async () => {
    const body = told(await request(studio.app).post('/api/techniques').send(input).expect(201));
    const use = {
      id: 'u',
      techniqueId: body.id,
      name: 'Limb',
      version: 1,
      partIds: [],
      values: [],
      rights: OWN_RIGHTS,
    };
    const pattern = await addPattern(studio, { ...ballPattern(null), techniques: [use] });
    const uses = told(await request(studio.app).get(`/api/techniques/${body.id}/uses`).expect(200)).items;
    expect(uses).toEqual([{ patternId: pattern.id, title: 'Ball', useId: 'u', version: 1 }]);
    await request(studio.app).delete(`/api/techniques/${body.id}`).expect(204);
    expect(told(await request(studio.app).get('/api/techniques')).items).toEqual([]);
    await request(studio.app).get(`/api/techniques/${body.id}/versions/1`).expect(200);
  });
  test('one that asks for what is not filled in is refused at its step', async () => {
    const body = told(
      await request(studio.app)
        .post('/api/techniques')
        .send({ ...input, steps: [{ ...blankTechniqueStep(), text: '{x}' }] })
        .expect(422),
    );
    expect(body.errors[0]).toMatchObject({ code: 'parameter_not_found', pointer: '/steps/0/text' });
  });
});

describe('patterns as a whole', () => {
  test('put away they are in no list but their own, and come back', async () => {
    const { id } = await addPattern(studio, ballPattern(null));
    const titles = async (query: string) =>
      told(await request(studio.app).get(`/api/patterns${query}`)).items.length;
    await request(studio.app).put(`/api/patterns/${id}/archived`).send({ archived: true }).expect(200);
    expect([await titles(''), await titles('?archived=true')]).toEqual([0, 1]);
    expect(told(await request(studio.app).get('/api/bench')).unfinished).toMatchObject({ total: 0 });
    const body = told(
      await request(studio.app).put(`/api/patterns/${id}/archived`).send({ archived: false }).expect(200),
    );
    expect(body).toMatchObject({ archivedAt: null });
    expect([await titles(''), await titles('?archived=true')]).toEqual([1, 0]);
  });
  test('a revision keeps what it was published for', async () => {
    const fibre = await addFibre(studio);
    const { id } = await addPattern(studio, ballPattern(fibre.id));
    await request(studio.app)
      .post(`/api/patterns/${id}/revisions`)
      .set('If-Match', '"1"')
      .send({ note: 'rounder' })
      .expect(201);
    const { items } = told(await request(studio.app).get(`/api/patterns/${id}/revisions`).expect(200));
    expect(items).toMatchObject([{ number: 1, note: 'rounder' }]);
    expect(items[0]).not.toHaveProperty('document');
  });
  test('a fibre that only a colourway or a swap names is in use', async () => {
    const [coat, other] = [await addFibre(studio), await addFibre(studio, { name: 'Other' })];
    await addPattern(studio, {
      ...ballPattern(coat.id),
      slots: [{ id: 's', name: '', places: [{ kind: 'use', id: 'p1-core' }], rule: null }],
      colourways: [{ id: 'c', name: '', fills: [{ slotId: 's', fibreId: other.id }] }],
    });
    await request(studio.app).delete(`/api/fibres/${other.id}`).set('If-Match', '"1"').expect(409);
  });
});
