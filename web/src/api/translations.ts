import type { TranslationLine } from '@lanakit/core/api';
import type { Translation } from '@lanakit/core/translation';
import useSWR from 'swr';
import { get } from './client.ts';
import type { Items, Resource } from './queries.ts';

/** Languages a pattern is translated into. */
export const useTranslations = (patternId: string): Resource<Items<TranslationLine>> =>
  useSWR(`/patterns/${patternId}/translations`, get<Items<TranslationLine>>);

/** Read once: it is written on from there. */
export const useTranslation = (patternId: string, language: string): Resource<Translation> =>
  useSWR(
    `/patterns/${patternId}/translations/${language}#write`,
    () => get<Translation>(`/patterns/${patternId}/translations/${language}`),
    {
      revalidateOnFocus: false,
      revalidateIfStale: true,
    },
  );
