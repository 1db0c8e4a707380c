import { describe, expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';

const SRC = fileURLToPath(new URL('../../src', import.meta.url));

const sources = (ending: string): { name: string; text: string }[] =>
  readdirSync(SRC, { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith(ending))
    .map((name) => ({ name, text: readFileSync(join(SRC, name), 'utf8') }));

/** Where the text breaks the rule: `file: what`. */
const breaches = (ending: string, rule: RegExp, excuse = /^$/): string[] =>
  sources(ending)
    .filter(({ name }) => !excuse.test(name))
    .flatMap(({ name, text }) => [...text.matchAll(rule)].map(([what]) => `${relative('.', name)}: ${what}`));

const TOKENS = /look\/tokens\.css$/;
const FONT_SIZE = /font-size: (?!var\(--(?:type|print)-)[^;]+/g;
const SPACE = /(?<![-\w])(?:gap|padding|margin)(?:-[a-z-]+)?: [^;]*?(?<![\d.])(?!1px)\d+(?:\.\d+)?px[^;]*/g;
/** An object of nothing but numbers and words: it could stand in a class. */
const FIXED_STYLE = /style=\{\{(?:\s*\w+: (?:'[^']*'|-?[\d.]+),?)+\s*\}\}/g;

describe('one look', () => {
  test('type has the sizes of the tokens, on the screen and on paper', () => {
    expect(breaches('.css', FONT_SIZE, TOKENS)).toEqual([]);
  });
  test('room between things comes in the steps of the tokens; hairlines and a hanging line apart', () => {
    expect(breaches('.css', SPACE, TOKENS)).toEqual(['shelf/ImportPage.module.css: padding-left: 80px']);
  });
  test('a style stands in a class; what stands in the markup is reckoned', () => {
    expect(breaches('.tsx', FIXED_STYLE)).toEqual([]);
  });
  test.each([
    ['a size of its own', FONT_SIZE, 'b { font-size: 13px; }'],
    ['a step of its own', SPACE, 'b { margin: 0 7px; }'],
    ['a fixed style', FIXED_STYLE, "<p style={{ margin: 0, color: 'red' }}>"],
  ])('%s would be found', (_name, rule, text) => expect([...text.matchAll(rule)]).toHaveLength(1));
  test('every token that is used is there, and every one that is there is used', () => {
    const tokens = readFileSync(join(SRC, 'ui/look/tokens.css'), 'utf8');
    const defined = new Set([...tokens.matchAll(/^ {2,4}(--[\w-]+):/gm)].map(([, name]) => name));
    const all = [...sources('.css'), ...sources('.tsx'), ...sources('.ts')]
      .map(({ text }) => text)
      .join('\n');
    const used = new Set([...all.matchAll(/var\((--[\w-]+)[),]/g)].map(([, name]) => name));
    // --rung is set by the row that it places, --lane-name by the strip of a day, a page's size by the page, the table's height by the shell.
    expect([...used].filter((name) => !defined.has(name))).toEqual([
      '--page-width',
      '--page-height',
      '--table-height',
      '--demo-slip',
      '--tour-slip',
      '--unread-slip',
      '--slips',
      '--lane-name',
      '--rung',
    ]);
    expect([...defined].filter((name) => !used.has(name))).toEqual([]);
  });
});
