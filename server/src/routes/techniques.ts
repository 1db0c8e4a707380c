import { checkTechnique, type Technique, TechniqueInput } from '@lanakit/core/writing';
import { contentProblem, HttpProblem } from '../http/problems.ts';
import type { Reply, Route } from '../http/route.ts';
import type { RouteDeps } from './deps.ts';

/** Techniques: sequences of steps that patterns share. */
export function techniqueRoutes({ store: { techniques }, now, newId }: RouteDeps): Route[] {
  const at = () => now().toISOString();
  const found = (id: string): Technique => {
    const technique = techniques.find(id);
    if (!technique) throw new HttpProblem('not_found');
    return technique;
  };
  const answer = (status: number, id: string): Reply => {
    const technique = found(id);
    return { status, body: technique, version: technique.version };
  };
  const checked = (technique: TechniqueInput): TechniqueInput => {
    const problems = checkTechnique(technique);
    if (problems.length > 0) throw contentProblem('content_invalid', problems);
    return technique;
  };
  return [
    {
      method: 'get',
      path: '/techniques',
      summary: 'Every technique at its newest, by name',
      answers: [200],
      handle: () => ({ status: 200, body: { items: techniques.all() } }),
    },
    {
      method: 'post',
      path: '/techniques',
      summary: 'Begin a technique',
      body: TechniqueInput,
      answers: [201],
      handle: ({ body }) => {
        const id = newId();
        techniques.insert(id, checked(body as TechniqueInput), at());
        return { ...answer(201, id), location: `/api/techniques/${id}` };
      },
    },
    {
      method: 'get',
      path: '/techniques/:id',
      summary: 'A technique at its newest',
      answers: [200],
      handle: ({ params: { id = '' } }) => answer(200, id),
    },
    {
      method: 'put',
      path: '/techniques/:id',
      summary: 'Make a new version of a technique; patterns keep theirs until they take it',
      body: TechniqueInput,
      ifMatch: true,
      answers: [200],
      handle: ({ params: { id = '' }, body, version }) => {
        found(id);
        const technique = checked(body as TechniqueInput);
        if (!techniques.update(id, version, technique, at())) {
          throw new HttpProblem('version_conflict', { yours: technique, theirs: found(id) });
        }
        return answer(200, id);
      },
    },
    {
      method: 'delete',
      path: '/techniques/:id',
      summary: 'Put a technique away; patterns that use it keep its steps',
      answers: [204],
      handle: ({ params: { id = '' } }) => {
        if (!techniques.archive(id, at())) throw new HttpProblem('not_found');
        return { status: 204 };
      },
    },
    {
      method: 'get',
      path: '/techniques/:id/versions/:version',
      summary: 'One version of a technique, which never changes',
      answers: [200],
      handle: ({ params: { id = '', version = '' } }) => {
        const technique = techniques.findVersion(id, Number(version));
        if (!technique) throw new HttpProblem('not_found');
        return { status: 200, body: technique };
      },
    },
    {
      method: 'get',
      path: '/techniques/:id/uses',
      summary: 'Drafts that use a technique, with the version each has',
      answers: [200],
      handle: ({ params: { id = '' } }) => {
        found(id);
        return { status: 200, body: { items: techniques.usesOf(id) } };
      },
    },
  ];
}
