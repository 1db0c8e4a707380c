import { describe, expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { allTerms, termOfLabel } from '../../src/words/index.ts';

const WEB = join(import.meta.dirname, '../../../web/src');

const sources = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    return entry.isDirectory()
      ? sources(path)
      : /\.tsx?$/.test(entry.name)
        ? [readFileSync(path, 'utf8')]
        : [];
  });

describe('the glossary', () => {
  const interfaceText = sources(WEB).join('\n');

  test.each(allTerms().flatMap(([id, { labels = [] }]) => labels.map((label) => [label, id] as const)))(
    'a field is labelled “%s”, and leads to %s',
    (label, id) => {
      expect(interfaceText).toContain(label);
      expect(termOfLabel(label)).toBe(id);
    },
  );

  test('no label leads to two words', () => {
    const labels = allTerms().flatMap(([, term]) => term.labels ?? []);
    expect(new Set(labels).size).toBe(labels.length);
  });

  test.each(allTerms())(
    '%s is explained by a sentence of its own, short enough to be read where it stands',
    (_, term) => {
      expect(term.words).toMatch(/^[A-Z].{20,280}\.$/s);
    },
  );

  test('a label that says it all leads nowhere', () => {
    expect(termOfLabel('Name')).toBeNull();
  });
});
