import { dequal } from 'dequal/lite';

/** The same by value, whatever the order of fields. For plain data: objects, lists, strings, numbers, null. */
export const isEqual = (a: unknown, b: unknown): boolean => dequal(a, b);
