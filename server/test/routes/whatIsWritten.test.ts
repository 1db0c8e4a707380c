import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { Bench, Promised } from '@lanakit/core/api';
import { blankCut, blankJoin, blankPart, blankUse, type Pattern } from '@lanakit/core/pattern';
import { BLANK_FINDING, type Finding } from '@lanakit/core/shelf';
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

let studio: Studio;
beforeEach(() => {
  studio = openStudio();
});
afterEach(() => studio.close());

const post = (path: string, body: object) => request(studio.app).post(`/api${path}`).send(body);
const eye = async (): Promise<Finding> =>
  (await post('/findings', { ...BLANK_FINDING, name: 'Bead eye', countedNow: 86 }).expect(201))
    .body as Finding;

/** A ball with one field of its document changed. */
const changed = (change: (document: Pattern) => void): Pattern => {
  const document = structuredClone(ballPattern(null));
  change(document);
  return document;
};
const ball = (document: Pattern) => document.parts[0] ?? blankPart('p', 'p');

describe('what a pattern of layers, joins and cuts may not be', () => {
  const rows: [name: string, document: Pattern, status: number, code: string, pointer: string][] = [
    ['a role there is not', changed((draft) => void Object.assign(ball(draft).uses[0] ?? {}, { role: 'glitter' })), 400, 'field_wrong', '/parts/0/uses/0'],
    ['another role’s field', changed((draft) => void Object.assign(ball(draft).uses[0] ?? {}, { diameter: null })), 400, 'field_not_known', '/parts/0/uses/0/diameter'],
    ['a form of amount there is not', changed((draft) => void Object.assign(ball(draft).uses[0] ?? {}, { amount: { form: 'sackful' } })), 400, 'field_wrong', '/parts/0/uses/0/amount'],
    ['two cores', changed((draft) => void ball(draft).uses.push(blankUse('x', 'core'))), 422, 'core_twice', '/parts/0/uses'],
    ['an id of a use twice', changed((draft) => void ball(draft).uses.push(blankUse('p1-core', 'coat'))), 422, 'id_twice', '/parts/0/uses/1/id'],
    ['a count that runs backwards', changed((draft) => void (ball(draft).count = { low: 9, high: 4 })), 422, 'count_reversed', '/parts/0/count'],
    ['a part set onto itself', changed((draft) => void draft.joins.push(blankJoin('j', 'p1', 'p1'))), 422, 'join_to_itself', '/joins/0/ontoId'],
    ['a finding off the shelf', changed((draft) => void draft.findings.push({ id: 'f', findingId: 'gone', partId: null, count: 1 , placement: null})), 422, 'finding_not_found', '/findings/0/findingId'],
    ['wire off the shelf', changed((draft) => void draft.cuts.push({ ...blankCut('c', 'wire'), findingId: 'gone' })), 422, 'finding_not_found', '/cuts/0/findingId'],
    ['a share of a weight that is not there', changed((draft) => void ball(draft).uses.push({ ...blankUse('x', 'coat'), amount: { form: 'shared', sharedId: 'gone' } } as Pattern['parts'][number]['uses'][number])), 422, 'shared_not_found', '/parts/0/uses/1/amount/sharedId'],
    ['a document of the first format', { ...ballPattern(null), formatVersion: 1 } as unknown as Pattern, 400, 'field_wrong', '/formatVersion'],
    ['an outline that crosses itself', changed((draft) => void (ball(draft).shape = { kind: 'flat-outline', path: 'M0 0L9 9L9 0L0 9Z', length: null, thickness: null })), 422, 'outline_unsound', '/parts/0/shape/path'],
  ]; // prettier-ignore
  test.each(rows)('%s', async (_name, document, status, code, pointer) => {
    const answer = await post('/patterns', document).expect(status);
    const { errors } = answer.body as { errors: { code: string; pointer: string; message: string }[] };
    expect(errors).toEqual(expect.arrayContaining([expect.objectContaining({ code, pointer })]));
    for (const { message } of errors) expect(message).toMatch(/\.$/);
  });
});

describe('a finding that a pattern names', () => {
  test('is told where it is used, and is not deleted', async () => {
    const { id } = await eye();
    await addPattern(
      studio,
      changed(
        (draft) =>
          void draft.findings.push({ id: 'f', findingId: id, partId: 'p1', count: 2, placement: null }),
      ),
    );
    const refused = await request(studio.app)
      .delete(`/api/findings/${id}`)
      .set('If-Match', '"1"')
      .expect(409);
    expect(refused.body).toMatchObject({ code: 'in_use', uses: [{ kind: 'pattern', title: 'Ball' }] });
  });
  test('is let go when the pattern no longer names it', async () => {
    const { id } = await eye();
    const pattern = await addPattern(
      studio,
      changed(
        (draft) =>
          void draft.findings.push({ id: 'f', findingId: id, partId: null, count: 2, placement: null }),
      ),
    );
    await request(studio.app)
      .put(`/api/patterns/${pattern.id}`)
      .set('If-Match', '"1"')
      .send(ballPattern(null))
      .expect(200);
    await request(studio.app).delete(`/api/findings/${id}`).set('If-Match', '"1"').expect(204);
  });
});

describe('publishing', () => {
  test('waits for an amount that is not said to the end, a count nobody knows and an eye nobody chose', async () => {
    const { id: fibreId } = await addFibre(studio);
    const document = structuredClone(ballPattern(fibreId));
    ball(document).count = null;
    ball(document).uses.push(blankUse('w', 'added', fibreId));
    document.findings.push({ id: 'f', findingId: null, partId: null, count: null, placement: null });
    const { id } = await addPattern(studio, document);
    const answer = await request(studio.app)
      .post(`/api/patterns/${id}/revisions`)
      .set('If-Match', '"1"')
      .send({ note: '' })
      .expect(422);
    const { errors } = answer.body as { errors: { code: string }[] };
    expect(errors.map(({ code }) => code).sort()).toEqual([
      'amount_missing',
      'count_missing',
      'count_missing',
      'finding_missing',
    ]);
  });
});

test('a run promises what every bag of it takes, as one line of a fibre', async () => {
  const fibre = await addFibre(studio, {}, 20);
  const document = structuredClone(ballPattern(fibre.id));
  ball(document).uses.push({
    ...blankUse('w', 'added', fibre.id),
    isIfNeeded: true,
    amount: { form: 'grams', massG: 2, highG: null, isWeighed: true },
  } as Pattern['parts'][number]['uses'][number]);
  const revisionId = await publish(studio, await addPattern(studio, document));
  await post('/runs', runInput(revisionId, { seats: 2, sparePacks: 0, extraFraction: 0 })).expect(201);
  const ballG = Math.ceil((Math.PI / 6) * 216 * 0.15 * 10) / 10;
  const promised = (await request(studio.app).get('/api/promised')).body as { items: Promised[] };
  expect(promised.items).toHaveLength(1);
  expect(promised.items[0]?.amount).toBeCloseTo(2 * (ballG + 2), 6);
  const bench = (await request(studio.app).get('/api/bench')).body as Bench;
  expect(bench.runs[0]?.short).toHaveLength(1);
  expect(bench.runs[0]?.short[0]?.shortG).toBeCloseTo(2 * (ballG + 2) - 20, 6);
});
