import { Type, type Static } from '@sinclair/typebox';
import { oneOf, strict } from '../base/index.ts';
import { CountInput } from '../shelf/index.ts';

/** Kinds of things an import may make or change. */
const IMPORTED_KINDS = ['fibre', 'finding', 'needle', 'supplier'] as const;
export type ImportedKind = (typeof IMPORTED_KINDS)[number];

/** What an import does, all of it or nothing. `input` is checked by the schema of its kind. */
export const ImportInput = Type.Object(
  {
    fileName: Type.String({ maxLength: 200 }),
    creates: Type.Array(Type.Object({ kind: oneOf(IMPORTED_KINDS), input: Type.Unknown() }, strict), {
      maxItems: 20_000,
    }),
    updates: Type.Array(
      Type.Object(
        {
          kind: oneOf(IMPORTED_KINDS),
          id: Type.String({ minLength: 1, maxLength: 40 }),
          version: Type.Integer(),
          input: Type.Unknown(),
        },
        strict,
      ),
      { maxItems: 20_000 },
    ),
    counts: Type.Array(CountInput, { maxItems: 20_000 }),
  },
  strict,
);
export type ImportInput = Static<typeof ImportInput>;

/** An import that was done. */
export interface ImportRecord {
  readonly id: string;
  readonly fileName: string;
  readonly at: string;
  readonly created: number;
  readonly updated: number;
  readonly counted: number;
  /** Null while it stands. */
  readonly undoneAt: string | null;
}
