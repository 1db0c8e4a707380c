import { keptAs } from '../api/studio.ts';

const KEY = keptAs('packCode');

/** The code a phone came with: in the address behind #, which is sent to nobody, or as it was typed here before. */
export function packCodeHere(): string {
  const inAddress = decodeURIComponent(window.location.hash.replace(/^#/, ''));
  if (inAddress !== '') return inAddress;
  try {
    return localStorage.getItem(KEY) ?? '';
  } catch {
    return '';
  }
}

export function rememberPackCode(code: string | null): void {
  try {
    if (code === null) localStorage.removeItem(KEY);
    else localStorage.setItem(KEY, code);
  } catch {
    // It is asked for again next time.
  }
}
