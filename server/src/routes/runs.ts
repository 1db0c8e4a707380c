import { checkRun, type NamedRun, promisedBefore, type Run, RunInput } from '@lanakit/core';
import { contentProblem, HttpProblem } from '../http/problems.ts';
import type { Reply, Route } from '../http/route.ts';
import { todayOf, type RouteDeps } from './deps.ts';
import { revisionOf, shelfOf, takingsOf } from './takings.ts';

/** Classes, and what the ones before each will have taken from the shelf. */
export function runRoutes({ store, now, newId }: RouteDeps): Route[] {
  const { runs, patterns } = store;
  const at = () => now().toISOString();
  const found = (id: string): Run => {
    const run = runs.find(id);
    if (!run) throw new HttpProblem('not_found');
    return run;
  };
  const withTitle = (run: Run): NamedRun => {
    const { document, number, patternId } = revisionOf(store, run);
    return { ...run, patternId, patternTitle: document.title, revisionNumber: number };
  };
  const answer = (status: number, id: string): Reply => {
    const run = found(id);
    return { status, body: withTitle(run), version: run.version };
  };
  const conflict = (id: string, yours: unknown) =>
    new HttpProblem('version_conflict', { yours, theirs: withTitle(found(id)) });
  const checked = (input: RunInput): RunInput => {
    const problems = checkRun(input);
    if (!patterns.findRevision(input.revisionId)) {
      problems.push({ code: 'field_wrong', pointer: '/revisionId', reason: 'names no published revision' });
    }
    if (problems.length > 0) throw contentProblem('content_invalid', problems);
    return input;
  };

  return [
    {
      method: 'get',
      path: '/runs',
      summary: 'Every class, by date',
      answers: [200],
      handle: () => ({ status: 200, body: { today: todayOf(now()), items: runs.all().map(withTitle) } }),
    },
    {
      method: 'post',
      path: '/runs',
      summary: 'Plan a class',
      body: RunInput,
      answers: [201],
      handle: ({ body }) => {
        const id = newId();
        runs.insert(id, checked(body as RunInput), at());
        return { ...answer(201, id), location: `/api/runs/${id}` };
      },
    },
    {
      method: 'get',
      path: '/runs/:id',
      summary: 'One class',
      answers: [200],
      handle: ({ params: { id = '' } }) => answer(200, id),
    },
    {
      method: 'put',
      path: '/runs/:id',
      summary: 'Change a class',
      body: RunInput,
      ifMatch: true,
      answers: [200],
      handle: ({ params: { id = '' }, body, version }) => {
        found(id);
        const input = checked(body as RunInput);
        if (!runs.update(id, version, input, at())) throw conflict(id, input);
        return answer(200, id);
      },
    },
    {
      method: 'get',
      path: '/runs/:id/promised',
      summary: 'Grams of each fibre that runs before this one will take',
      answers: [200],
      handle: ({ params: { id = '' } }) => {
        const own = found(id);
        const today = todayOf(now());
        const shelf = shelfOf(store);
        const before = runs.ahead(today).filter((run) => run.date <= own.date);
        const withTakings = before.map((run) => ({ ...run, takings: takingsOf(store, run, shelf) }));
        const promised = promisedBefore(id, withTakings, today);
        return {
          status: 200,
          body: { items: [...promised].map(([fibreId, massG]) => ({ fibreId, massG })) },
        };
      },
    },
    {
      method: 'delete',
      path: '/runs/:id',
      summary: 'Delete a class',
      ifMatch: true,
      answers: [204],
      handle: ({ params: { id = '' }, version }) => {
        found(id);
        if (!runs.remove(id, version, at())) throw conflict(id, null);
        return { status: 204 };
      },
    },
    {
      method: 'post',
      path: '/runs/:id/restore',
      summary: 'Undo deleting a class',
      answers: [200],
      handle: ({ params: { id = '' } }) => {
        if (!runs.restore(id)) throw new HttpProblem('not_found');
        return answer(200, id);
      },
    },
  ];
}
