import { BOOKLET_TERMS, BookletTerms } from '@lanakit/core/papers';
import { type Choices, NO_CHOICES } from '@lanakit/core/pattern';
import { RESIZE_BOUNDS } from '@lanakit/core/resize';
import { SeatChoices } from '@lanakit/core/run';
import type { TSchema } from '@sinclair/typebox';
import { OWNER } from '../access/caller.ts';
import { filed } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import { BOOKLET_FORMS } from '../papers/setBooklet.ts';
import type { BookletBuild, BookletService } from '../services/bookletService.ts';
import { formCheck } from '../services/formCheck.ts';
import { Refusal } from '../services/refusal.ts';

/** A pattern as a booklet: as PDF, as one file of HTML, and as EPUB. */
export const bookletRoutes = (booklets: BookletService): Route[] => [
  route({
    method: 'get',
    path: '/patterns/:id/booklet/:form',
    summary:
      'A pattern as a booklet: `pdf`, `html` or `epub`; `terms` (JSON) how it is set and what is in it, of a `revision`, with `choices` (JSON) in a `size` (1 as written), for the `left` hand',
    roles: OWNER,
    query: ['terms', 'revision', 'choices', 'size', 'left'],
    answers: [200],
    handle: async ({ params: { id, form }, query, signal }) => {
      const known = BOOKLET_FORMS.find((each) => each === form);
      if (!known) return new Refusal({ code: 'not_found' });
      const terms = read(query.terms, BookletTerms, BOOKLET_TERMS.sell);
      if (!terms) return new Refusal({ code: 'query_invalid', field: 'terms' });
      const choices = read<Choices>(query.choices, SeatChoices, NO_CHOICES);
      if (!choices) return new Refusal({ code: 'query_invalid', field: 'choices' });
      const sizeFraction = Number(query.size ?? 1);
      if (!(sizeFraction >= RESIZE_BOUNDS.min && sizeFraction <= RESIZE_BOUNDS.max))
        return new Refusal({ code: 'query_invalid', field: 'size', ...RESIZE_BOUNDS });
      const asked: BookletBuild = {
        revisionId: query.revision ?? null,
        choices,
        sizeFraction,
        isLeftHanded: query.left === 'true',
      };
      return filed(await booklets.ofPattern(id, asked, terms, known, signal));
    },
  }),
];

/** What is said in JSON; null where it is none, or has another form. */
function read<T>(text: string | undefined, schema: TSchema, usual: T): T | null {
  if (text === undefined) return usual;
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return null;
  }
  return formCheck(schema)(value).length === 0 ? (value as T) : null;
}
