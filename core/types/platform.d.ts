// What Node and every browser have alike: all the core knows of where it runs.
declare function structuredClone<T>(value: T): T;

declare class TextDecoder {
  constructor(encoding?: string, options?: { readonly fatal?: boolean });
  decode(bytes: Uint8Array): string;
}
