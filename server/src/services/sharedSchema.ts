import type { TSchema } from '@sinclair/typebox';

type Schema = Readonly<Record<string, unknown>>;

/** Shorter ones are as short as a reference to them. */
const SHORTEST = 100;

/** Keywords that hold one schema, a list of them, or some by name. */
const ONE = ['items', 'additionalProperties', 'not', 'contains', 'if', 'then', 'else'];
const MANY = ['anyOf', 'oneOf', 'allOf', 'prefixItems'];
const NAMED = ['properties', 'patternProperties', '$defs'];

/**
 * The same schema with everything that stands in it more than once said once, under `$defs`: a length in each of a hundred
 * places makes a checker of four megabytes, and a second to make it.
 */
export function sharedSchema(schema: TSchema): TSchema {
  const texts = new Map<Schema, string>();
  const counts = new Map<string, number>();
  count(schema, texts, counts);
  const names = new Map<string, string>();
  const definitions: Record<string, unknown> = {};
  const share = (inner: Schema, isKept = false): unknown => {
    const text = texts.get(inner) ?? '';
    if (isKept || text.length < SHORTEST || (counts.get(text) ?? 0) < 2) return mapped(inner, share);
    const known = names.get(text);
    const name = known ?? `d${names.size + 1}`;
    if (known === undefined) {
      names.set(text, name);
      definitions[name] = mapped(inner, share);
    }
    return { $ref: `#/$defs/${name}` };
  };
  const shared = share(schema, true) as Record<string, unknown>;
  return (names.size === 0 ? shared : { ...shared, $defs: definitions }) as unknown as TSchema;
}

const isSchema = (value: unknown): value is Schema =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** @returns the schema as text, the same for the same */
function count(schema: Schema, texts: Map<Schema, string>, counts: Map<string, number>): void {
  const text = JSON.stringify(schema);
  texts.set(schema, text);
  counts.set(text, (counts.get(text) ?? 0) + 1);
  // What stands in one that stood before is said there.
  if ((counts.get(text) ?? 0) > 1 && text.length >= SHORTEST) {
    noteTexts(schema, texts);
    return;
  }
  for (const inner of innerOf(schema)) count(inner, texts, counts);
}

function noteTexts(schema: Schema, texts: Map<Schema, string>): void {
  for (const inner of innerOf(schema)) {
    if (texts.has(inner)) continue;
    texts.set(inner, JSON.stringify(inner));
    noteTexts(inner, texts);
  }
}

function innerOf(schema: Schema): Schema[] {
  return [
    ...ONE.map((key) => schema[key]),
    ...MANY.flatMap((key) => (schema[key] as unknown[] | undefined) ?? []),
    ...NAMED.flatMap((key) => Object.values((schema[key] as object | undefined) ?? {}) as unknown[]),
  ].filter(isSchema);
}

function mapped(schema: Schema, share: (inner: Schema, isKept?: boolean) => unknown): Schema {
  // Told apart by a word in them, alternatives are looked into before one is chosen.
  const isTold = 'discriminator' in schema;
  const sharedOr = (value: unknown, isKept = false) => (isSchema(value) ? share(value, isKept) : value);
  return Object.fromEntries(
    Object.entries(schema).map(([key, value]): [string, unknown] => {
      if (ONE.includes(key)) return [key, sharedOr(value)];
      if (MANY.includes(key)) return [key, (value as unknown[]).map((inner) => sharedOr(inner, isTold))];
      if (NAMED.includes(key)) {
        const inner = Object.entries(value as object).map(([name, each]) => [name, sharedOr(each)]);
        return [key, Object.fromEntries(inner)];
      }
      return [key, value];
    }),
  );
}
