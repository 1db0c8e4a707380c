import { TranslationInput } from '@lanakit/core/translation';
import { OWNER } from '../access/caller.ts';
import { filed, gone, listed, versioned } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import { Refusal } from '../services/refusal.ts';
import type { TranslationService } from '../services/translationService.ts';

const LANGUAGE = new RegExp(TranslationInput.properties.language.pattern ?? '');

/** Texts of a pattern in other languages. */
export const translationRoutes = (translations: TranslationService): Route[] => [
  route({
    method: 'get',
    path: '/patterns/:id/translations',
    summary: 'Languages a pattern is translated into, and how much of it is missing or was changed since',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => listed(translations.list(id)),
  }),
  route({
    method: 'get',
    path: '/patterns/:id/translations/:language',
    summary: 'Every text of a pattern beside what it is in a language; nothing kept yet is version 0',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id, language } }) =>
      LANGUAGE.test(language)
        ? versioned(translations.find(id, language))
        : new Refusal({ code: 'not_found' }),
  }),
  route({
    method: 'put',
    path: '/patterns/:id/translations/:language',
    summary: 'Keep a translation',
    roles: OWNER,
    body: TranslationInput,
    ifMatch: true,
    largestBody: '8mb',
    answers: [200],
    handle: ({ params: { id, language }, body, version }) =>
      versioned(translations.save(id, version, language, body)),
  }),
  route({
    method: 'delete',
    path: '/patterns/:id/translations/:language',
    summary: 'Remove a translation',
    roles: OWNER,
    answers: [204],
    handle: ({ params: { id, language } }) => gone(translations.remove(id, language)),
  }),
  route({
    method: 'get',
    path: '/patterns/:id/translations/:language/file',
    summary: 'A translation as a file (JSON), to be translated anywhere and brought in again',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id, language } }) =>
      LANGUAGE.test(language) ? filed(translations.file(id, language)) : new Refusal({ code: 'not_found' }),
  }),
];
