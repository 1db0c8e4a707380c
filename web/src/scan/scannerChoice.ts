import { create } from 'zustand';
import { keptAs } from '../api/studio.ts';

interface ScannerChoice {
  /** The scanner this device hears; null: none but one that types. */
  readonly scannerId: string | null;
  /** It is listened to: what it says from now on is heard. */
  readonly isHeard: boolean;
}

const KEY = keptAs('scanner');

function kept(): ScannerChoice {
  try {
    return { scannerId: localStorage.getItem(KEY), isHeard: false };
  } catch {
    return { scannerId: null, isHeard: false };
  }
}

/** Which scanner this device hears: each device for itself, and again tomorrow. */
export const useScannerChoice = create<ScannerChoice>(kept);

export function chooseScanner(scannerId: string | null): void {
  useScannerChoice.setState({ scannerId, isHeard: false });
  try {
    if (scannerId === null) localStorage.removeItem(KEY);
    else localStorage.setItem(KEY, scannerId);
  } catch {
    // Chosen anew where the browser keeps nothing.
  }
}
