import { createContext, useContext, type ReactNode } from 'react';
import { createPortal } from 'react-dom';

const TopSlotContext = createContext<HTMLElement | null>(null);

export const TopSlotProvider = TopSlotContext.Provider;

/** Puts what a page has to say about saving at the right end of the top bar. */
export function InTopBar({ children }: { children: ReactNode }) {
  const slot = useContext(TopSlotContext);
  return slot ? createPortal(children, slot) : null;
}
