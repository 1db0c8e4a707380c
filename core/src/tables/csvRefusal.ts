import type { ListKind } from './listKind.ts';

/** Why a file is not read as a list at all. */
export type CsvRefusal =
  | { readonly code: 'file_too_large'; readonly sizeBytes: number; readonly limitBytes: number }
  | { readonly code: 'file_empty' }
  | { readonly code: 'not_text' }
  | { readonly code: 'too_many_rows'; readonly rows: number; readonly limit: number }
  | {
      readonly code: 'columns_missing';
      readonly kind: ListKind;
      readonly missing: readonly string[];
      readonly looksLike: ListKind | null;
      readonly header: readonly string[];
    };
