import { Type, type TSchema, type TUnsafe } from '@sinclair/typebox';

/** One of a few words, so that a list is written once for schema, type and screen. */
export const oneOf = <T extends string>(values: readonly T[]): TUnsafe<T> =>
  Type.Unsafe<T>({ type: 'string', enum: [...values] });

/** A value, or null for unknown. */
export const orUnknown = <T extends TSchema>(schema: T) => Type.Union([schema, Type.Null()]);
