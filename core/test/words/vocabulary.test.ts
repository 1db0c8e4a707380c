import { describe, expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const ROOT = fileURLToPath(new URL('../../..', import.meta.url));
const ROW = /^\|\s*(?<trade>[^|]+?)\s*\|\s*`(?<name>\w+)`\s*\|\s*`(?<room>\w+)`\s*\|\s*(?<what>[^|]+?)\s*\|$/;

const rows = readFileSync(join(ROOT, 'docs/words.md'), 'utf8')
  .split('\n')
  .flatMap((line) => {
    const groups = ROW.exec(line)?.groups;
    return groups
      ? [{ trade: groups['trade'] ?? '', name: groups['name'] ?? '', room: groups['room'] ?? '' }]
      : [];
  });

/** Every name that a room shows at its door, itself or of a room within it. */
function shownBy(folder: string): string {
  const door = readFileSync(join(folder, 'index.ts'), 'utf8');
  const inner = [...door.matchAll(/export \* from '\.\/([\w/]+)\/index\.ts'/g)].map(([, path = '']) =>
    shownBy(join(folder, path)),
  );
  return [door, ...inner].join('\n');
}

describe('the words of docs/words.md', () => {
  test('are many, and each is said once', () => {
    expect(rows.length).toBeGreaterThan(30);
    for (const key of ['trade', 'name'] as const)
      expect(new Set(rows.map((row) => row[key])).size).toBe(rows.length);
  });
  test.each(rows)('$trade: $name is shown by $room', ({ name, room }) => {
    expect(shownBy(join(ROOT, 'core/src', room))).toMatch(new RegExp(`\\b${name}\\b`));
  });
  test('a room of the core is no word of the trade that means another', () => {
    const rooms = readdirSync(join(ROOT, 'core/src'));
    expect(rooms).not.toContain('index.ts');
    for (const { room } of rows) expect(rooms).toContain(room);
  });
});
