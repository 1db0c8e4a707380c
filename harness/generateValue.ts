import type { Chance } from './random.ts';

/** As much of JSON Schema as our documents use. */
export interface Schema {
  readonly type?: string;
  readonly const?: unknown;
  readonly enum?: readonly unknown[];
  readonly anyOf?: readonly Schema[];
  readonly oneOf?: readonly Schema[];
  readonly allOf?: readonly Schema[];
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly required?: readonly string[];
  readonly items?: Schema;
  readonly minItems?: number;
  readonly maxItems?: number;
  readonly minLength?: number;
  readonly maxLength?: number;
  readonly minimum?: number;
  readonly maximum?: number;
}

/** So often something stands where the schema wants something else. */
const ODD = 0.012;
const ODD_VALUES: readonly unknown[] = [
  null,
  0,
  -1,
  1e308,
  '',
  'x',
  [],
  {},
  true,
  0.5,
  '__proto__',
  '\u0000',
];

/** Something of that form, most of the time. @param ids of things there are, for what names one */
export function generateValue(schema: Schema, chance: Chance, ids: readonly string[], depth = 0): unknown {
  if (chance.is(ODD)) return chance.pick(ODD_VALUES);
  if (schema.const !== undefined) return schema.const;
  if (schema.enum) return chance.pick(schema.enum);
  const alternatives = schema.anyOf ?? schema.oneOf;
  if (alternatives) return generateValue(chance.pick(alternatives), chance, ids, depth + 1);
  if (schema.allOf)
    return Object.assign(
      {},
      ...schema.allOf.map((part) => generateValue(part, chance, ids, depth + 1)),
    ) as unknown;
  switch (schema.type) {
    case 'object':
      return objectOf(schema, chance, ids, depth);
    case 'array': {
      const most = Math.min(schema.maxItems ?? 3, depth > 6 ? 1 : 3);
      const length = chance.whole(schema.minItems ?? 0, Math.max(schema.minItems ?? 0, most));
      return Array.from({ length }, () => generateValue(schema.items ?? {}, chance, ids, depth + 1));
    }
    case 'string':
      return textOf(schema, chance, ids);
    case 'integer':
      return Math.round(numberOf(schema, chance));
    case 'number':
      return numberOf(schema, chance);
    case 'boolean':
      return chance.is(0.5);
    case 'null':
      return null;
    default:
      return chance.pick(ODD_VALUES);
  }
}

function objectOf(
  { properties = {}, required = [] }: Schema,
  chance: Chance,
  ids: readonly string[],
  depth: number,
) {
  return Object.fromEntries(
    Object.entries(properties).flatMap(([key, inner]) => {
      const isThere = required.includes(key) ? !chance.is(ODD / 4) : chance.is(0.5);
      return isThere ? [[key, generateValue(inner, chance, ids, depth + 1)] as const] : [];
    }),
  );
}

function textOf({ minLength = 0, maxLength = 40 }: Schema, chance: Chance, ids: readonly string[]): string {
  const text = chance.pick([
    chance.pick(ids),
    `n${chance.whole(1, 9999)}`,
    'Moss',
    '2026-12-05',
    '#8a9a5b',
    ' ',
    '',
    'ÄÖ 💚',
  ]);
  const long = chance.is(0.01) ? text.padEnd(Math.min(maxLength, 5000), 'x') : text;
  return long.slice(0, maxLength).padEnd(minLength, 'x');
}

function numberOf({ minimum = -10, maximum = 1000 }: Schema, chance: Chance): number {
  const between = minimum + chance.real() * (maximum - minimum);
  return chance.pick([minimum, maximum, 0, 1, 2, Math.round(between), between]);
}
