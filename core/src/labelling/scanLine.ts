/** What a scanner may say before a code: which sort of code it was (AIM symbology identifier, ISO/IEC 15424). */
const SORT = /^\][A-Za-z]\w/u;
const LONGEST_SCAN = 120;

/** A line of a scanner: one code. @returns null: nothing that could be one */
export function readScanLine(text: string): string | null {
  const code = text.replaceAll(/\p{C}/gu, '').trim().replace(SORT, '');
  return code === '' || code.length > LONGEST_SCAN ? null : code;
}

/** The same code again so soon is the same scan: a trigger that is held reads on and on. */
const AGAIN_MS = 700;

/** Lets each scan through once. */
export function scanFilter(): (code: string, atMs: number) => boolean {
  let last: { readonly code: string; readonly atMs: number } | null = null;
  return (code, atMs) => {
    const isAgain = last !== null && last.code === code && atMs - last.atMs < AGAIN_MS;
    last = { code, atMs };
    return !isAgain;
  };
}
