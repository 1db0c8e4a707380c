import { describe, expect, test } from '@jest/globals';
import { PatternFile } from '@lanakit/core/files';
import { blankPart, blankPattern, Pattern } from '@lanakit/core/pattern';
import { RUN_DEFAULTS, RunInput } from '@lanakit/core/run';
import { type TSchema, Type } from '@sinclair/typebox';
import { Ajv } from 'ajv';
import fc from 'fast-check';
import { sharedSchema } from '../../src/services/sharedSchema.ts';

const ajv = () => new Ajv({ discriminator: true, strict: true, strictRequired: false, allErrors: true });

/** The judge: every reference put in the place of what it names again. */
function spelledOut(schema: unknown, definitions: Readonly<Record<string, unknown>>): unknown {
  if (Array.isArray(schema)) return schema.map((inner) => spelledOut(inner, definitions));
  if (typeof schema !== 'object' || schema === null) return schema;
  const { $ref } = schema as { $ref?: string };
  if ($ref !== undefined) return spelledOut(definitions[$ref.replace('#/$defs/', '')], definitions);
  return Object.fromEntries(
    Object.entries(schema)
      .filter(([key]) => key !== '$defs')
      .map(([key, inner]) => [key, spelledOut(inner, definitions)]),
  );
}

const plain = (schema: unknown): unknown => JSON.parse(JSON.stringify(schema));
const definitionsOf = (schema: TSchema) => (schema as { $defs?: Record<string, unknown> }).$defs ?? {};

describe('a schema in which nothing is said twice', () => {
  test.each([
    ['pattern', Pattern],
    ['pattern file', PatternFile],
    ['run', RunInput],
    ['a list', Type.Array(Type.Object({ a: Pattern.properties.parts, b: Pattern.properties.parts }))],
  ])('of a %s says what the whole says, in less', (_name, schema: TSchema) => {
    const shared = sharedSchema(schema);
    expect(spelledOut(plain(shared), plain(definitionsOf(shared)) as Record<string, unknown>)).toEqual(
      plain(schema),
    );
    expect(JSON.stringify(shared).length).toBeLessThan(JSON.stringify(schema).length);
  });

  test('finds the same wrong, in the same places', () => {
    const [whole, less] = [ajv().compile(Pattern), ajv().compile(sharedSchema(Pattern))];
    const sound = { ...blankPattern('Wren'), parts: [blankPart('p', 'Body')] };
    const places = (errors: typeof whole.errors) =>
      [...new Set((errors ?? []).map(({ instancePath, keyword }) => `${instancePath} ${keyword}`))].sort();
    fc.assert(
      fc.property(
        fc.constantFrom(
          ...Object.keys(sound),
          ...Object.keys(sound.parts[0] ?? {}).map((key) => `part ${key}`),
        ),
        fc.jsonValue({ maxDepth: 2 }),
        (key, value) => {
          const broken = key.startsWith('part ')
            ? { ...sound, parts: [{ ...sound.parts[0], [key.slice(5)]: value }] }
            : { ...sound, [key]: value };
          expect(less(broken)).toBe(whole(broken));
          expect(places(less.errors)).toEqual(places(whole.errors));
        },
      ),
    );
    expect(less(sound)).toBe(true);
  });

  test('leaves alone what is short or stands once', () => {
    const schema = Type.Object({ a: Type.String(), b: Type.String() });
    expect(sharedSchema(schema)).toEqual(plain(schema));
    expect(
      ajv().compile(sharedSchema(RunInput))({
        ...RUN_DEFAULTS,
        name: '',
        date: '',
        revisionId: 'r',
        cost: null,
      }),
    ).toBe(false);
  });
});
