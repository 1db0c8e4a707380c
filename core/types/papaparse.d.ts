/** What is used of it. Its own types ask for those of Node, and the core is to know nothing of Node. */
declare module 'papaparse' {
  interface ParseOptions {
    readonly delimiter?: string;
    readonly delimitersToGuess?: string[];
    readonly header?: boolean;
    readonly skipEmptyLines?: boolean | 'greedy';
  }
  interface UnparseOptions {
    readonly newline?: string;
  }
  const Papa: {
    parse<T>(text: string, options: ParseOptions): { readonly data: T[] };
    unparse(rows: readonly (readonly string[])[], options: UnparseOptions): string;
  };
  export default Papa;
}
