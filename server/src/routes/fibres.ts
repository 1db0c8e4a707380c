import { checkFibre, FibreInput, type Fibre } from '@lanakit/core';
import { contentProblem, HttpProblem } from '../http/problems.ts';
import type { Reply, Route } from '../http/route.ts';
import type { RouteDeps } from './deps.ts';

/** The shelf. */
export function fibreRoutes({ store: { fibres }, now, newId }: RouteDeps): Route[] {
  const found = (id: string): Fibre => {
    const fibre = fibres.find(id);
    if (!fibre) throw new HttpProblem('not_found');
    return fibre;
  };
  const answer = (status: number, id: string): Reply => {
    const fibre = found(id);
    return { status, body: fibre, version: fibre.version };
  };
  const conflict = (id: string, yours: unknown) =>
    new HttpProblem('version_conflict', { yours, theirs: found(id) });
  const at = () => now().toISOString();

  return [
    {
      method: 'get',
      path: '/fibres',
      summary: 'Every fibre on the shelf, archived ones too, by name',
      answers: [200],
      handle: () => ({ status: 200, body: { items: fibres.all() } }),
    },
    {
      method: 'post',
      path: '/fibres',
      summary: 'Put a fibre on the shelf',
      body: FibreInput,
      answers: [201],
      handle: ({ body }) => {
        const id = newId();
        fibres.insert(id, checked(body as FibreInput), at());
        return { ...answer(201, id), location: `/api/fibres/${id}` };
      },
    },
    {
      method: 'get',
      path: '/fibres/:id',
      summary: 'One fibre',
      answers: [200],
      handle: ({ params }) => answer(200, params['id'] ?? ''),
    },
    {
      method: 'put',
      path: '/fibres/:id',
      summary: 'Change a fibre; a new count is entered in the stock ledger as a movement',
      body: FibreInput,
      ifMatch: true,
      answers: [200],
      handle: ({ params: { id = '' }, body, version }) => {
        found(id);
        const input = checked(body as FibreInput);
        if (!fibres.update(id, version, input, at())) throw conflict(id, input);
        return answer(200, id);
      },
    },
    {
      method: 'get',
      path: '/fibres/:id/uses',
      summary: 'The patterns and revisions a fibre is used in',
      answers: [200],
      handle: ({ params: { id = '' } }) => {
        found(id);
        return { status: 200, body: { items: fibres.uses(id) } };
      },
    },
    {
      method: 'delete',
      path: '/fibres/:id',
      summary: 'Take a fibre off the shelf that nothing uses',
      ifMatch: true,
      answers: [204],
      handle: ({ params: { id = '' }, version }) => {
        found(id);
        const uses = fibres.uses(id);
        if (uses.length > 0) throw new HttpProblem('fibre_in_use', { uses });
        if (!fibres.remove(id, version, at())) throw conflict(id, null);
        return { status: 204 };
      },
    },
    {
      method: 'post',
      path: '/fibres/:id/restore',
      summary: 'Undo deleting a fibre',
      answers: [200],
      handle: ({ params: { id = '' } }) => {
        if (!fibres.restore(id)) throw new HttpProblem('not_found');
        return answer(200, id);
      },
    },
  ];
}

function checked(input: FibreInput): FibreInput {
  const problems = checkFibre(input);
  if (problems.length > 0) throw contentProblem('content_invalid', problems);
  return input;
}
