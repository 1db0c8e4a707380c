import { describe, expect, test } from '@jest/globals';
import { problemOfRefusal } from '../../src/http/problems.ts';
import { answering, assertSound, foundOr, isRefusal, Refusal } from '../../src/services/refusal.ts';
import { addFibre, addPattern, ballPattern, NOW, openStudio, publish, runInput } from '../support/studio.ts';

describe('a service', () => {
  const service = answering({
    add: (a: number, b: number) => a + b,
    find: (id: string) => foundOr(id === 'there' ? { id } : null),
    check: (isWrong: boolean) => {
      assertSound(isWrong ? [{ code: 'title_empty', pointer: '/name' }] : []);
      return 'sound';
    },
    later: async (isWrong: boolean) => {
      await Promise.resolve();
      if (isWrong) throw new Refusal({ code: 'picture_not_read' });
      return 'read';
    },
    breaks: (): string => {
      throw new RangeError('a slip of ours');
    },
  });
  test('gives what its methods give', async () => {
    expect(service.add(2, 3)).toBe(5);
    expect(service.find('there')).toEqual({ id: 'there' });
    expect(service.check(false)).toBe('sound');
    expect(await service.later(false)).toBe('read');
  });
  test.each([
    ['nothing there', () => service.find('gone'), 'not_found'],
    ['something wrong in it', () => service.check(true), 'content_invalid'],
    ['refused after a while', () => service.later(true), 'picture_not_read'],
  ])('a refusal is a value: %s', async (_name, ask, code) => {
    const outcome = await ask();
    if (!isRefusal(outcome)) throw new Error('it was done');
    expect(outcome.reason.code).toBe(code);
    expect(problemOfRefusal(outcome).code).toBe(code);
  });
  test('what nobody expected stays thrown', () => expect(() => service.breaks()).toThrow('a slip of ours'));
});

test('what a refused method had begun is undone: of several items, none is changed', async () => {
  const studio = openStudio();
  const { items } = studio.servicesAt(NOW);
  const [chalk, slate] = [
    await addFibre(studio, { name: 'Chalk' }),
    await addFibre(studio, { name: 'Slate' }),
  ];
  const named = ({ id: _id, version: _version, ...input }: typeof chalk, name: string) => ({
    ...inputOf(input),
    name,
  });
  const outcome = items.fibre.saveAll([
    { id: chalk.id, version: chalk.version, input: named(chalk, 'Chalk two') },
    { id: slate.id, version: slate.version + 7, input: named(slate, 'Slate two') },
  ]);
  expect(isRefusal(outcome) && outcome.reason).toMatchObject({ code: 'version_conflict', id: slate.id });
  expect(studio.deps.store.shelf.fibres().map(({ name }) => name)).toEqual(['Chalk', 'Slate']);
  studio.close();
});

/** Of a fibre as it is answered, what is sent. */
const inputOf = ({ lots: _lots, onHandG: _onHand, peakG: _peak, ...input }: Record<string, unknown>) => input;

test('a class that was over before: its numbers as they come to, nothing taken off the shelf', async () => {
  const studio = openStudio();
  const { runs } = studio.servicesAt(NOW);
  const chalk = await addFibre(studio, {}, 500);
  const revisionId = await publish(studio, await addPattern(studio, ballPattern(chalk.id)));
  const planned = runs.plan(runInput(revisionId, { date: '2026-11-07' }));
  if (isRefusal(planned)) throw planned;
  const done = runs.recordDone(planned.id);
  if (isRefusal(done)) throw done;
  expect(done.state).toBe('done');
  const opened = runs.opened(planned.id);
  expect(isRefusal(opened) ? null : opened.frozen?.plan.classG).toBeGreaterThan(0);
  expect(studio.deps.store.shelf.fibre(chalk.id)?.onHandG).toBe(500);
  studio.close();
});
