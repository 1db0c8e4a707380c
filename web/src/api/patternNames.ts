import type { PatternNamed } from '@lanakit/core/pattern';
import useSWR from 'swr';
import { get } from './client.ts';
import type { Items, Resource } from './queries.ts';

/** Every pattern by its title, with its series and the patterns it names. */
export const usePatternNames = (): Resource<Items<PatternNamed>> =>
  useSWR('/pattern-names', get<Items<PatternNamed>>);
