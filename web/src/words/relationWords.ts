import type { Relation } from '@lanakit/core/pattern';

export const RELATION_WORDS: Readonly<Record<Relation, string>> = {
  before: 'made before this',
  companion: 'goes with this',
};

export const RELATION_ADD_WORDS: Readonly<Record<Relation, string>> = {
  before: 'Add what is made before',
  companion: 'Add what goes with it',
};
