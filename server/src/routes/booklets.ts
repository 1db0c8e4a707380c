import {
  BOOKLET_TERMS,
  BookletTerms,
  CARD_TERMS,
  CardTerms,
  type RunBookletsAsked,
} from '@lanakit/core/papers';
import { type Choices, NO_CHOICES } from '@lanakit/core/pattern';
import { RESIZE_BOUNDS } from '@lanakit/core/resize';
import { SeatChoices } from '@lanakit/core/run';
import type { TSchema } from '@sinclair/typebox';
import { OWNER } from '../access/caller.ts';
import { filed } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import { BOOKLET_FORMS } from '../papers/booklet/bookletForms.ts';
import type { PaperProgress } from '../papers/setBooklet.ts';
import type { BookletBuild, BookletService } from '../services/bookletService.ts';
import type { PaperProgressBoard } from '../services/paperProgress.ts';
import type { CardService } from '../services/cardService.ts';
import { formCheck } from '../services/formCheck.ts';
import { Refusal } from '../services/refusal.ts';

/** A pattern as a booklet: as PDF, as one file of HTML, and as EPUB; those of a run in one PDF. */
export const bookletRoutes = (
  booklets: BookletService,
  cards: CardService,
  progress: PaperProgressBoard,
): Route[] => [
  route({
    method: 'get',
    path: '/runs/:id/cards/pdf',
    summary:
      'Cards that lie in the packs of a run, in their size with marks where to cut and fold; `terms` (JSON) which, and for which box',
    roles: OWNER,
    query: ['terms'],
    answers: [200],
    handle: async ({ params: { id }, query, signal }) => {
      const terms = read(query.terms, CardTerms, CARD_TERMS.kits);
      if (!terms) return new Refusal({ code: 'query_invalid', field: 'terms' });
      return filed(await cards.ofRun(id, terms, signal));
    },
  }),
  route({
    method: 'get',
    path: '/runs/:id/booklets/pdf',
    summary:
      'Booklets of a run in one PDF: `of` its `packs`, each of its `kinds` once, or the number of one pack; `terms` (JSON) how they are set; `job`: a name of 12 signs or more that how far it has come can be watched under',
    roles: OWNER,
    query: ['terms', 'of', 'job'],
    answers: [200],
    handle: async ({ params: { id }, query, signal }) => {
      const terms = read(query.terms, BookletTerms, BOOKLET_TERMS.teach);
      if (!terms) return new Refusal({ code: 'query_invalid', field: 'terms' });
      const asked = askedOf(query.of ?? 'packs');
      if (!asked) return new Refusal({ code: 'query_invalid', field: 'of' });
      const { job } = query;
      const tell = (told: PaperProgress) => {
        if (job !== undefined) progress.tell(job, told);
      };
      return filed(await booklets.ofRun(id, asked, terms, { signal, tell }));
    },
  }),
  route({
    method: 'get',
    path: '/paper-progress/:job',
    summary: 'How far a paper has come that was asked for under this name, as it happens',
    isWatched: true,
    roles: OWNER,
    answers: [200],
    handle: ({ params: { job } }) =>
      JOB_NAME.test(job)
        ? { status: 200, events: (send) => progress.watch(job, send) }
        : new Refusal({ code: 'not_found' }),
  }),
  route({
    method: 'get',
    path: '/patterns/:id/booklet/:form',
    summary:
      'A pattern as a booklet: `pdf`, `html` or `epub`; as a listing of a shop: `listing-text`, `listing-html`; `terms` (JSON) how it is set and what is in it, of a `revision`, with `choices` (JSON) in a `size` (1 as written), for the `left` hand, in a `language` it is translated into',
    roles: OWNER,
    query: ['terms', 'revision', 'choices', 'size', 'left', 'language'],
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
        language: query.language ?? null,
      };
      return filed(await booklets.ofPattern(id, asked, terms, known, signal));
    },
  }),
];

/** Made up by whoever asks, and hit upon by nobody else. */
const JOB_NAME = /^[\w-]{12,40}$/;

function askedOf(of: string): RunBookletsAsked | null {
  if (of === 'packs' || of === 'kinds') return { of };
  const number = Number(of);
  return Number.isSafeInteger(number) && number > 0 ? { of: 'pack', number } : null;
}

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
