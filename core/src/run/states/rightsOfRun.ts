import {
  type Pattern,
  permissionState,
  type PermissionState,
  type Permitted,
  type Rights,
} from '../../pattern/index.ts';
import type { RunProblem } from '../document/problem.ts';
import { revisionsOfRun, type RunInput } from '../document/run.ts';
import type { Designs } from '../packs/packGroups.ts';

/** What a run needs to be allowed: to teach the design, or to sell it as a kit. */
const neededPermission = ({ kind }: Pick<RunInput, 'kind'>): Permitted =>
  kind === 'class' ? 'teach' : 'sell-kits';

/** What of a pattern somebody may have a right in. */
export type RightsSubject = 'design' | 'outline' | 'technique' | 'picture';

/** A design, outline, technique or picture of a run that is somebody else’s, and what is known of the permission. */
export interface RunRights {
  readonly revisionId: string;
  readonly subject: RightsSubject;
  /** Of the design; of an outline the part, of a technique or picture its name. */
  readonly title: string;
  readonly what: Permitted;
  readonly state: PermissionState;
  readonly conditions: string;
  readonly credit: string;
}

/** Everything of a run that is not the maker’s own: its designs, the outlines cut after, the techniques written in, the pictures that are shown. */
export function rightsOfRun(run: RunInput, designs: Designs): RunRights[] {
  const what = neededPermission(run);
  return revisionsOfRun(run).flatMap((revisionId) => {
    const pattern = designs.get(revisionId);
    return (pattern ? rightsIn(pattern) : [])
      .filter(({ rights }) => rights.origin !== 'own')
      .map(({ subject, title, rights }) => ({
        revisionId,
        subject,
        title,
        what,
        state: permissionState(rights, what),
        conditions: rights.permissions.find((permission) => permission.what === what)?.conditions ?? '',
        credit: rights.credit,
      }));
  });
}

interface Righted {
  readonly subject: RightsSubject;
  readonly title: string;
  readonly rights: Rights;
}

/** Pictures that no step shows are not handed out, nor a technique none of whose steps is left. */
function rightsIn({ title, rights, parts, techniques, pictures, steps }: Pattern): Righted[] {
  const shown = new Set(steps.flatMap((step) => step.pictures.map(({ pictureId }) => pictureId)));
  return [
    { subject: 'design', title, rights },
    ...parts.flatMap(({ name, outlineRights }): Righted[] =>
      outlineRights ? [{ subject: 'outline', title: `${title}, ${name}`, rights: outlineRights }] : [],
    ),
    ...techniques
      .filter(({ id }) => steps.some(({ technique }) => technique?.useId === id))
      .map((use): Righted => ({ subject: 'technique', title: `${title}, ${use.name}`, rights: use.rights })),
    ...pictures
      .filter(({ id }) => shown.has(id))
      .map((picture): Righted => ({
        subject: 'picture',
        title: `${title}, ${picture.name}`,
        rights: picture.rights,
      })),
  ];
}

/** A word at least: a dot or a dash tells nobody later why it went on. */
const isReason = (text: string): boolean => /\p{L}{2,}/u.test(text);

/** What stands in the way of a run: a permission that was not given, and no reason written down to go on without. */
export function checkRights(run: RunInput, designs: Designs): RunProblem[] {
  const open = rightsOfRun(run, designs).filter(({ state }) => state !== 'granted');
  if (open.length === 0 || isReason(run.rightsReason)) return [];
  return [
    {
      code: 'permission_missing',
      pointer: '/rightsReason',
      titles: open.map(({ title }) => title),
      what: neededPermission(run),
    },
  ];
}
