import { describe, expect, test } from '@jest/globals';
import { termOf } from '@lanakit/core/words';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { helpAt } from '../../src/shell/help/placeHelp.ts';

/** Every place there is, with something in the place of what it is of. */
const PLACES = [
  '/',
  ...[
    ...readFileSync(join(import.meta.dirname, '../../src/routes.tsx'), 'utf8').matchAll(/path: '([^'*]+)'/g),
  ].flatMap(([, path = '']) => {
    const whole = `/${path.replaceAll(/:\w+\??/g, 'x1')}`;
    return path.endsWith('?') ? [whole, whole.slice(0, -3)] : [whole];
  }),
];

describe('help on a place', () => {
  test('there are places', () => {
    expect(PLACES.length).toBeGreaterThan(20);
    expect(PLACES).toContain('/shelf');
  });
  test.each(PLACES)('%s says what it answers, and its words are explained', (path) => {
    const { title, answers, ways, terms } = helpAt(path);
    expect(title).not.toBe('Here');
    expect(answers).toMatch(/\?$/);
    expect(ways.length).toBeGreaterThan(0);
    for (const id of terms) expect(termOf(id).words).not.toBe('');
  });
  test.each([
    ['/runs/x1/needles', 'Needles'],
    ['/runs/x1/guide', 'Guide at true size'],
    ['/patterns/x1', 'Work table'],
    ['/shelf/import', 'Bring in'],
    ['/shelf/tools', 'Shelf'],
    ['/nowhere', 'Here'],
  ])('%s is “%s”', (path, title) => {
    expect(helpAt(path).title).toBe(title);
  });
});
