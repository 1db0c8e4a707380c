import { Type, type Static, type TObject, type TUnsafe } from '@sinclair/typebox';

/**
 * One of several objects told apart by one word. The discriminator is said, so that a checker names the one wrong field
 * and not every other kind.
 */
export function discriminated<const T extends TObject[]>(
  by: string,
  kinds: readonly [...T],
): TUnsafe<Static<T[number]>> {
  return Type.Unsafe<Static<T[number]>>({
    type: 'object',
    discriminator: { propertyName: by },
    required: [by],
    oneOf: kinds,
  });
}

export const strict = { additionalProperties: false } as const;

/** Ids are made by who writes the document; they need only be unlike each other. */
export const Id = Type.String({ minLength: 1, maxLength: 40, pattern: '^[A-Za-z0-9_-]+$' });
