/** Where the problem is: a JSON pointer (RFC 6901) into the document that was checked. */
export interface At {
  readonly pointer: string;
}

/** What may be wrong with any name, number or day. Data only; words are added at the edge. */
export type BaseProblem = At &
  (
    | { readonly code: 'title_empty' }
    | {
        readonly code: 'number_out_of_range';
        readonly value: number;
        readonly min: number;
        readonly max: number;
      }
    | { readonly code: 'not_whole'; readonly value: number }
    | { readonly code: 'size_not_positive'; readonly valueMm: number }
    | { readonly code: 'size_too_large'; readonly valueMm: number; readonly limitMm: number }
    | { readonly code: 'date_not_read'; readonly text: string }
  );
