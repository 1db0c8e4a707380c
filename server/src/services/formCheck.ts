import type { Problem } from '@lanakit/core/problems';
import type { TSchema } from '@sinclair/typebox';
import { Ajv, type ErrorObject, type ValidateFunction } from 'ajv';

export type FormCheck = (value: unknown) => Problem[];

// Shortening the code it makes takes Ajv longer than all the rest, and saves nothing that can be measured here.
const ajv = new Ajv({
  allErrors: true,
  discriminator: true,
  strict: true,
  strictRequired: false,
  code: { optimize: false },
});

const compiled = new WeakMap<TSchema, ValidateFunction>();

function compiledOf(schema: TSchema): ValidateFunction {
  const isValid = compiled.get(schema) ?? ajv.compile(schema);
  compiled.set(schema, isValid);
  return isValid;
}

/**
 * A checker of one schema: what is wrong with the form, each with its place. Compiled when it is first asked, and
 * once: all of them together would keep a start waiting for seconds.
 */
export function formCheck(schema: TSchema): FormCheck {
  return (value) => {
    const isValid = compiledOf(schema);
    return isValid(value) ? [] : tellApart(isValid.errors ?? []);
  };
}

/**
 * Alternatives (a size or null) make Ajv complain of every branch at every depth: the deepest complaints are the
 * ones about what was sent, and those at one place are one problem.
 */
function tellApart(errors: readonly ErrorObject[]): Problem[] {
  const problems = errors.filter(({ keyword }) => keyword !== 'anyOf' && keyword !== 'oneOf').map(problemOf);
  const deepest = problems.filter(
    ({ pointer }) => !problems.some((other) => other.pointer.startsWith(`${pointer}/`)),
  );
  return deepest.filter(
    ({ pointer }, index) => deepest.findIndex((other) => other.pointer === pointer) === index,
  );
}

function problemOf(error: ErrorObject): Problem {
  const params = error.params as { additionalProperty?: string; missingProperty?: string };
  if (params.additionalProperty !== undefined) {
    const field = params.additionalProperty;
    return { code: 'field_not_known', pointer: `${error.instancePath}/${escapePointer(field)}`, field };
  }
  if (params.missingProperty !== undefined) {
    const field = params.missingProperty;
    return { code: 'field_missing', pointer: `${error.instancePath}/${escapePointer(field)}`, field };
  }
  return { code: 'field_wrong', pointer: error.instancePath, reason: error.message ?? 'is not as asked' };
}

const escapePointer = (name: string): string => name.replaceAll('~', '~0').replaceAll('/', '~1');
