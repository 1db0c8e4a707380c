import type { Problem } from '@lanakit/core';
import type { TSchema } from '@sinclair/typebox';
import { Ajv, type ErrorObject } from 'ajv';

export type BodyCheck = (body: unknown) => Problem[];

const ajv = new Ajv({ allErrors: true, discriminator: true, strict: true, strictRequired: false });

/** A checker of one body schema, compiled once: what is wrong with the form, each with its place. */
export function bodyCheck(schema: TSchema): BodyCheck {
  const isValid = ajv.compile(schema);
  return (body) => (isValid(body) ? [] : tellApart(isValid.errors ?? []));
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
