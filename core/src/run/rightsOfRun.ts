import { permissionState, type PermissionState, type Permitted } from '../pattern/index.ts';
import type { Problem } from '../problems/index.ts';
import type { Designs } from './packGroups.ts';
import { revisionsOfRun, type RunInput } from './run.ts';

/** What a run needs to be allowed: to teach the design, or to sell it as a kit. */
export const neededPermission = ({ kind }: Pick<RunInput, 'kind'>): Permitted =>
  kind === 'class' ? 'teach' : 'sell-kits';

/** A design, picture or outline of a run that is somebody else’s, and what is known of the permission. */
export interface RunRights {
  readonly revisionId: string;
  readonly title: string;
  readonly what: Permitted;
  readonly state: PermissionState;
  readonly conditions: string;
  readonly credit: string;
}

/** Designs of a run that are not the maker’s own. */
export function rightsOfRun(run: RunInput, designs: Designs): RunRights[] {
  const what = neededPermission(run);
  return revisionsOfRun(run).flatMap((revisionId) => {
    const pattern = designs.get(revisionId);
    if (!pattern || pattern.rights.origin === 'own') return [];
    const { rights, title } = pattern;
    return [
      {
        revisionId,
        title,
        what,
        state: permissionState(rights, what),
        conditions: rights.permissions.find((permission) => permission.what === what)?.conditions ?? '',
        credit: rights.credit,
      },
    ];
  });
}

/** What stands in the way of a run: a permission that was not given, and no reason written down to go on without. */
export function checkRights(run: RunInput, designs: Designs): Problem[] {
  const open = rightsOfRun(run, designs).filter(({ state }) => state !== 'granted');
  if (open.length === 0 || run.rightsReason.trim() !== '') return [];
  return [
    {
      code: 'permission_missing',
      pointer: '/rightsReason',
      titles: open.map(({ title }) => title),
      what: neededPermission(run),
    },
  ];
}
