import type { NamedRun, OpenedRun, PromisedBefore, RunDesign } from '@lanakit/core/api';
import type { Problem } from '@lanakit/core/problems';
import {
  checkRights,
  checkRun,
  checkState,
  isFrozen,
  revisionsOfRun,
  type Run,
  RunInput,
  stateAfter,
  stateBefore,
  StateInput,
  TickInput,
  wantsOf,
  withBoxesCounted,
} from '@lanakit/core/run';
import { contentProblem, HttpProblem } from '../http/problems.ts';
import type { Reply, Route } from '../http/route.ts';
import { todayOf, type RouteDeps } from './deps.ts';
import {
  bringBackToShelf,
  factsOf,
  freezeNow,
  promisedTo,
  takeOffShelf,
  thingsPromisedTo,
} from '../runBook.ts';
import { designsOf, shelfOf } from './takings.ts';

/** Classes and batches of kits: planned, weighed, packed, and what the ones before each will have taken. */
export function runRoutes({ store, now, newId }: RouteDeps): Route[] {
  const { runs, patterns } = store;
  const at = () => now().toISOString();
  const found = (id: string): Run => {
    const run = runs.find(id);
    if (!run) throw new HttpProblem('not_found');
    return run;
  };
  const designOf = (revisionId: string): RunDesign[] => {
    const revision = patterns.findRevision(revisionId);
    if (!revision) return [];
    const { patternId, number, document } = revision;
    const pattern = patterns.find(patternId);
    const newest = pattern?.revision ?? { id: revisionId, number };
    return [
      {
        revisionId,
        patternId,
        number,
        title: document.title,
        newestNumber: newest.number,
        newestRevisionId: newest.id,
        isWithdrawn: pattern === null || pattern.archivedAt !== null,
      },
    ];
  };
  /** Designs that were looked up for this answer: runs share them. */
  const withTitle = (run: Run, known = new Map<string, RunDesign[]>()): NamedRun => {
    const designs = revisionsOfRun(run).flatMap((revisionId) => {
      const own = known.get(revisionId) ?? designOf(revisionId);
      known.set(revisionId, own);
      return own;
    });
    const [leading] = designs;
    if (!leading) throw new Error(`run without its revision ${run.revisionId}`);
    return {
      ...run,
      patternId: leading.patternId,
      patternTitle: leading.title,
      revisionNumber: leading.number,
      designs,
    };
  };
  const opened = (run: Run): OpenedRun => {
    const next = stateAfter(run.state);
    return {
      ...withTitle(run),
      frozen: runs.frozen(run.id),
      wants: next ? wantsOf(next, factsOf(store, run, todayOf(now()))) : [],
    };
  };
  const answer = (status: number, id: string): Reply => {
    const run = found(id);
    return { status, body: opened(run), version: run.version };
  };
  const ticked = (id: string): Reply => ({ status: 200, body: { items: runs.ticks(id) } });
  const conflict = (id: string, yours: unknown) =>
    new HttpProblem('version_conflict', { yours, theirs: withTitle(found(id)) });
  const checked = (sent: RunInput): RunInput => {
    const input = withBoxesCounted(sent);
    const problems: Problem[] = checkRun(input);
    const strange = revisionsOfRun(input).some((id) => !patterns.findRevision(id));
    if (strange) {
      problems.push({ code: 'field_wrong', pointer: '/revisionId', reason: 'names no published revision' });
    }
    if (problems.length === 0) problems.push(...checkRights(input, designsOf(store, input)));
    if (problems.length > 0) throw contentProblem('content_invalid', problems);
    return input;
  };
  const wrongState = (reason: string) =>
    contentProblem('content_invalid', [{ code: 'field_wrong', pointer: '/to', reason }]);
  /** On to the next state, where nothing is missing or it is told to go on anyway; or back to the one before. */
  const move = (run: Run, version: number, { to, anyway }: StateInput): boolean => {
    const isOn = to === stateAfter(run.state);
    if (!isOn && to !== stateBefore(run.state)) throw wrongState(`does not follow on “${run.state}”`);
    const today = todayOf(now());
    if (isOn && !anyway) {
      const problems = checkState(to, factsOf(store, run, today));
      if (problems.length > 0) throw contentProblem('content_invalid', problems);
    }
    const frozen = !isFrozen(to) ? null : (runs.frozen(run.id) ?? freezeNow(store, run, today, at()));
    if (isOn && to === 'packed') takeOffShelf(store, run, today, at());
    if (!isOn && run.state === 'packed') bringBackToShelf(store, run, at());
    return runs.setState(run.id, version, { state: to, frozen }, at());
  };

  return [
    {
      method: 'get',
      path: '/runs',
      summary: 'Every run, by date',
      answers: [200],
      handle: () => {
        const known = new Map<string, RunDesign[]>();
        const items = runs.all().map((run) => withTitle(run, known));
        return { status: 200, body: { today: todayOf(now()), items } };
      },
    },
    {
      method: 'post',
      path: '/runs',
      summary: 'Plan a class or a batch of kits',
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
      summary: 'One run',
      answers: [200],
      handle: ({ params: { id = '' } }) => answer(200, id),
    },
    {
      method: 'put',
      path: '/runs/:id',
      summary: 'Change a run',
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
      summary: 'What runs before this one will take, of fibres and of things',
      answers: [200],
      handle: ({ params: { id = '' } }) => {
        const [run, today, wool] = [found(id), todayOf(now()), shelfOf(store)];
        const body: PromisedBefore = {
          items: [...promisedTo(store, run, today, wool)].map(([fibreId, massG]) => ({ fibreId, massG })),
          things: [...thingsPromisedTo(store, run, today, wool)].map(([itemId, own]) => ({ itemId, ...own })),
        };
        return { status: 200, body };
      },
    },
    {
      method: 'post',
      path: '/runs/:id/state',
      summary: 'On to the next state, or back to the one before',
      body: StateInput,
      ifMatch: true,
      answers: [200],
      handle: ({ params: { id = '' }, body, version }) =>
        store.together(() => {
          const run = found(id);
          if (run.version !== version || !move(run, version, body as StateInput)) throw conflict(id, body);
          return answer(200, id);
        }),
    },
    {
      method: 'post',
      path: '/runs/:id/replan',
      summary: 'Take the numbers as they would be now',
      ifMatch: true,
      answers: [200],
      handle: ({ params: { id = '' }, version }) =>
        store.together(() => {
          const run = found(id);
          if (run.state !== 'bought' && run.state !== 'weighed') {
            throw contentProblem('content_invalid', [
              {
                code: 'field_wrong',
                pointer: '',
                reason: `is ${run.state}; only what is bought or weighed takes new numbers`,
              },
            ]);
          }
          const frozen = freezeNow(store, run, todayOf(now()), at());
          if (!runs.setState(id, version, { state: run.state, frozen }, at())) throw conflict(id, null);
          return answer(200, id);
        }),
    },
    {
      method: 'post',
      path: '/runs/:id/copy',
      summary: 'The same again, planned anew',
      answers: [201],
      handle: ({ params: { id = '' } }) => {
        const { id: _id, version: _version, state: _state, ...input } = found(id);
        const own = newId();
        const name = `${input.name.slice(0, 112)}, again`;
        runs.insert(own, { ...input, name }, at());
        return { ...answer(201, own), location: `/api/runs/${own}` };
      },
    },
    {
      method: 'get',
      path: '/runs/:id/ticks',
      summary: 'What is weighed and packed of a run',
      answers: [200],
      handle: ({ params: { id = '' } }) => ticked(found(id).id),
    },
    {
      method: 'post',
      path: '/runs/:id/ticks',
      summary: 'Something is weighed or packed, or is not after all',
      body: TickInput,
      answers: [200],
      handle: ({ params: { id = '' }, body }) =>
        store.together(() => {
          const { key, ...tick } = body as TickInput;
          runs.tick(key, found(id).id, tick, at());
          return ticked(id);
        }),
    },
    {
      method: 'delete',
      path: '/runs/:id',
      summary: 'Delete a run',
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
      summary: 'Undo deleting a run',
      answers: [200],
      handle: ({ params: { id = '' } }) => {
        if (!runs.restore(id)) throw new HttpProblem('not_found');
        return answer(200, id);
      },
    },
  ];
}
