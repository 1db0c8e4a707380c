import { create } from 'zustand';
import { keptAs } from '../api/studio.ts';

export const TOLD_BY = ['silent', 'sound', 'spoken'] as const;
export type ToldBy = (typeof TOLD_BY)[number];

interface ScaleChoice {
  /** The scale this device weighs with; null: by hand. */
  readonly scaleId: string | null;
  readonly toldBy: ToldBy;
  /** A bowl that was tared on it, grams: known again when it stands there; null: none. */
  readonly containerG: number | null;
}

const KEY = keptAs('scale');

function kept(): ScaleChoice {
  const none: ScaleChoice = { scaleId: null, toldBy: 'silent', containerG: null };
  try {
    return { ...none, ...(JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<ScaleChoice>) };
  } catch {
    return none;
  }
}

/** With which scale this device weighs, and how it tells: each device for itself, and again tomorrow. */
export const useScaleChoice = create<ScaleChoice>(kept);

export function chooseScale(change: Partial<ScaleChoice>): void {
  useScaleChoice.setState(change);
  try {
    localStorage.setItem(KEY, JSON.stringify(useScaleChoice.getState()));
  } catch {
    // Chosen anew where the browser keeps nothing.
  }
}
