import { hasAllWords, searchWords } from '@lanakit/core/base';
import type Database from 'better-sqlite3';

/** So that SQL can search by what a person means: `has_words(title, 'pear small')`. */
export function registerHasWords(db: Database.Database): void {
  let [asked, words] = ['', [] as readonly string[]];
  db.function('has_words', { deterministic: true }, (text: unknown, search: unknown) => {
    if (search !== asked) [asked, words] = [String(search), searchWords(String(search))];
    return hasAllWords(String(text), words) ? 1 : 0;
  });
}
