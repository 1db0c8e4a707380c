import { isRefusal } from '../../src/services/refusal.ts';
import type { Studio } from './studio.ts';

/** Every text of a pattern in another language, which is the same with some words after it. */
export function translateAll({ services: { translations } }: Pick<Studio, 'services'>, patternId: string, words: string) {
  const found = translations.find(patternId, 'de');
  if (isRefusal(found)) return found;
  const { id: _id, version, patternId: _patternId, ...input } = found;
  const texts = input.texts.map((each) => ({ ...each, text: `${each.source} ${words}` }));
  return translations.save(patternId, version, 'de', { ...input, texts });
} // prettier-ignore
