import { firstSlice } from './001-first-slice.ts';
import { shelf } from './002-shelf.ts';

/** In order; the position in this list, from 1, is the database's version. Never edit one that has shipped. */
export const MIGRATIONS: readonly string[] = [firstSlice, shelf];
