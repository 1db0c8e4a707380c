import { nanoid } from 'nanoid';
import { keptAs } from './studio.ts';

const KEY = keptAs('device-key');
let made: string | null = null;

/** What this browser calls itself, made once and kept: whoever it belongs to, nobody is named by it. */
export function deviceKey(): string {
  made ??= kept() ?? keep(nanoid(12));
  return made;
}

function kept(): string | null {
  try {
    return localStorage.getItem(KEY);
  } catch {
    return null;
  }
}

/** Where the browser keeps nothing it is another device with every page. */
function keep(key: string): string {
  try {
    localStorage.setItem(KEY, key);
  } catch {
    // As said.
  }
  return key;
}
