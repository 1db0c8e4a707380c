import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { PAPER_NAMES } from '../../src/papers/index.ts';
import { papersOfRun } from '../../src/words/index.ts';

const routes = readFileSync(join(import.meta.dirname, '../../../web/src/routes.tsx'), 'utf8');

describe('papers of a run, by name', () => {
  test.each(['class', 'kits'] as const)(
    'of %s: each leads to a paper or a place there is, none twice',
    (kind) => {
      const papers = papersOfRun(kind);
      expect(new Set(papers.flatMap(({ path, name }) => [path, name])).size).toBe(2 * papers.length);
      for (const { path } of papers) {
        const [place, paper] = path.split('/');
        if (place === 'papers') expect(PAPER_NAMES).toContain(paper);
        else expect(routes).toContain(`path: 'runs/:id/${path}'`);
      }
    },
  );
  test('every paper that is set is offered to a class', () => {
    const offered = papersOfRun('class').map(({ path }) => path);
    for (const name of PAPER_NAMES) expect(offered).toContain(`papers/${name}`);
  });
  test('boxes have no room and bring no needles back', () => {
    const paths = papersOfRun('kits').map(({ path }) => path);
    for (const path of ['papers/room', 'needles', 'tray']) expect(paths).not.toContain(path);
    expect(papersOfRun('kits')[0]?.name).toBe('Box lists');
  });
});
