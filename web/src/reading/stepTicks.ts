import { createContext } from 'react';

/** Ticking along at the figure: which steps are done, on this device. Null: it is read, and not ticked. */
export interface StepTicks {
  readonly isDone: (stepId: string) => boolean;
  readonly toggle: (stepId: string) => void;
}

export const StepTicksContext = createContext<StepTicks | null>(null);
