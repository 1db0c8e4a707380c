import type { Problem } from '@lanakit/core/problems';
import type { TSchema } from '@sinclair/typebox';
import { Ajv, type ErrorObject, type ValidateFunction } from 'ajv';

import { sharedSchema } from './sharedSchema.ts';

export type FormCheck = (value: unknown) => Problem[];

// Shortening the code it makes takes Ajv longer than all the rest, and saves nothing that can be measured here.
const OPTIONS = {
  discriminator: true,
  strict: true,
  strictRequired: false,
  // What is said once is made once.
  inlineRefs: false,
  code: { optimize: false },
} as const;
const tellsAll = new Ajv({ ...OPTIONS, allErrors: true });
const tellsFirst = new Ajv(OPTIONS);

/**
 * So many values a document may have that everything wrong with it is told at once; of more only the first is. No pattern
 * has as many, and no run.
 */
const MOST_VALUES = 200_000;

const compiledByAll = new WeakMap<TSchema, ValidateFunction>();
const compiledByFirst = new WeakMap<TSchema, ValidateFunction>();

function compiledOf(schema: TSchema, isSmall: boolean): ValidateFunction {
  const compiled = isSmall ? compiledByAll : compiledByFirst;
  const isValid = compiled.get(schema) ?? (isSmall ? tellsAll : tellsFirst).compile(sharedSchema(schema));
  compiled.set(schema, isValid);
  return isValid;
}

/**
 * A checker of one schema: what is wrong with the form, each with its place. Compiled when it is first asked, and
 * once: all of them together would keep a start waiting for seconds. Takes time and room by what it is given, however
 * much of that is wrong.
 */
export function formCheck(schema: TSchema): FormCheck {
  return (value) => {
    const isValid = compiledOf(schema, !isBeyondTelling(value));
    return isValid(value) ? [] : tellApart(isValid.errors ?? []);
  };
}

/** Whether there is more in a value than everything wrong with it could be told of. Stops counting there. */
export const isBeyondTelling = (value: unknown): boolean => !hasAtMost(value, MOST_VALUES);

function hasAtMost(value: unknown, most: number): boolean {
  const open: unknown[] = [value];
  let seen = 0;
  while (open.length > 0) {
    const next = open.pop();
    seen += 1;
    if (seen > most) return false;
    if (typeof next !== 'object' || next === null) continue;
    const inside: unknown[] = Array.isArray(next) ? next : Object.values(next);
    if (seen + inside.length > most) return false;
    for (const inner of inside) open.push(inner);
  }
  return true;
}

/**
 * Alternatives (a size or null) make Ajv complain of every branch at every depth: the deepest complaints are the
 * ones about what was sent, and those at one place are one problem.
 */
function tellApart(errors: readonly ErrorObject[]): Problem[] {
  const problems = new Map<string, Problem>();
  const shallower = new Set<string>();
  for (const error of errors) {
    if (error.keyword === 'anyOf' || error.keyword === 'oneOf') continue;
    const problem = problemOf(error);
    if (problems.has(problem.pointer)) continue;
    problems.set(problem.pointer, problem);
    // Pointers are as deep as the schemas are, whatever was sent.
    for (let at = problem.pointer.lastIndexOf('/'); at >= 0; at = problem.pointer.lastIndexOf('/', at - 1)) {
      shallower.add(problem.pointer.slice(0, at));
      if (at === 0) break;
    }
  }
  const deepest = [...problems.values()].filter(({ pointer }) => !shallower.has(pointer));
  return deepest.length > 0 ? deepest : [...problems.values()];
}

function problemOf(error: ErrorObject): Problem {
  const params = error.params as { additionalProperty?: string; missingProperty?: string };
  if (params.additionalProperty !== undefined) {
    const field = params.additionalProperty.slice(0, LONGEST_NAME);
    return { code: 'field_not_known', pointer: `${error.instancePath}/${escapePointer(field)}`, field };
  }
  if (params.missingProperty !== undefined) {
    const field = params.missingProperty;
    return { code: 'field_missing', pointer: `${error.instancePath}/${escapePointer(field)}`, field };
  }
  return { code: 'field_wrong', pointer: error.instancePath, reason: error.message ?? 'is not as asked' };
}

/** Of a name that somebody made up so much is told. */
const LONGEST_NAME = 60;

const escapePointer = (name: string): string => name.replaceAll('~', '~0').replaceAll('/', '~1');
