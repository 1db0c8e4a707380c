import { OWNER } from '../access/caller.ts';
import { type Choices, NO_CHOICES } from '@lanakit/core/pattern';
import { RESIZE_BOUNDS } from '@lanakit/core/resize';
import { filed } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { GuideBuildAsked, GuideService, GuideSetting } from '../services/guideService.ts';
import { Refusal } from '../services/refusal.ts';

/** The guide at true size as PDF, or one page of it as SVG. */
export const guideRoutes = (guides: GuideService): Route[] => [
  route({
    method: 'get',
    path: '/patterns/:id/guide/:form',
    summary:
      'The guide at true size: `pdf`, or `svg` of one `sheet`; on `page` a4 or letter, of a `revision`, with `choices` (JSON) in a `size` (1 as written)',
    roles: OWNER,
    query: ['page', 'sheet', 'revision', 'choices', 'size'],
    answers: [200],
    handle: async ({ params: { id, form }, query, signal }) => {
      const setting = settingOf(form, query);
      if (setting instanceof Refusal) return setting;
      const asked = buildOf(query);
      if (asked instanceof Refusal) return asked;
      return filed(await guides.ofPattern(id, asked, setting, signal));
    },
  }),
  route({
    method: 'get',
    path: '/patterns/:id/drawing/:which',
    summary:
      'The `figure` together, or all its `pieces`, as one SVG at true size; of a `revision`, with `choices` (JSON) in a `size` (1 as written)',
    roles: OWNER,
    query: ['revision', 'choices', 'size'],
    answers: [200],
    handle: ({ params: { id, which }, query }) => {
      if (which !== 'figure' && which !== 'pieces') return new Refusal({ code: 'not_found' });
      const asked = buildOf(query);
      return asked instanceof Refusal ? asked : filed(guides.drawing(id, which, asked));
    },
  }),
  route({
    method: 'get',
    path: '/runs/:id/guide/:form',
    summary: 'The guide of all packs of a run, or of one `pack`: `pdf`, or `svg` of one `sheet`',
    roles: OWNER,
    query: ['page', 'sheet', 'pack'],
    answers: [200],
    handle: async ({ params: { id, form }, query, signal }) => {
      const setting = settingOf(form, query);
      if (setting instanceof Refusal) return setting;
      const pack = query.pack === undefined ? null : Number(query.pack);
      if (pack !== null && !Number.isInteger(pack))
        return new Refusal({ code: 'query_invalid', field: 'pack' });
      return filed(await guides.ofRun(id, pack, setting, signal));
    },
  }),
];

function buildOf({ revision, choices: text, size }: Readonly<Partial<Record<'revision' | 'choices' | 'size', string | undefined>>>): GuideBuildAsked | Refusal {
  const choices = readChoices(text);
  if (!choices) return new Refusal({ code: 'query_invalid', field: 'choices' });
  const sizeFraction = Number(size ?? 1);
  if (!(sizeFraction >= RESIZE_BOUNDS.min && sizeFraction <= RESIZE_BOUNDS.max))
    return new Refusal({ code: 'query_invalid', field: 'size', ...RESIZE_BOUNDS });
  return { revisionId: revision ?? null, choices, sizeFraction };
} // prettier-ignore

function settingOf(
  form: string,
  { page, sheet = '1' }: { readonly page?: string | undefined; readonly sheet?: string | undefined },
): GuideSetting | Refusal {
  const size = page === 'letter' ? 'letter' : 'a4';
  if (form === 'pdf') return { page: size, sheet: null };
  if (form !== 'svg') return new Refusal({ code: 'not_found' });
  const number = Number(sheet);
  return Number.isInteger(number) && number >= 1
    ? { page: size, sheet: number }
    : new Refusal({ code: 'query_invalid', field: 'sheet', min: 1 });
}

/** What is chosen, as JSON; null where it is none. */
function readChoices(text: string | undefined): Choices | null {
  if (text === undefined) return NO_CHOICES;
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return null;
  }
  if (typeof value !== 'object' || value === null) return null;
  const { values = {}, colourwayId = null, swapIds = [] } = value as Partial<Record<keyof Choices, unknown>>;
  const areChoices = typeof values === 'object' && values !== null && Object.values(values).every(isText);
  const isSound = areChoices && (colourwayId === null || isText(colourwayId)) && Array.isArray(swapIds);
  return isSound && swapIds.every(isText)
    ? { values: values as Record<string, string>, colourwayId, swapIds }
    : null;
}

const isText = (value: unknown): value is string => typeof value === 'string';
