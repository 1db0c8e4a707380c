import { create } from 'zustand';

interface WhoComes {
  /** The studio asks who is there before it answers. */
  readonly isAsked: boolean;
}

/** A studio that is opened to a network asks for its passphrase when it does not know who is there. */
export const useWhoComes = create<WhoComes>(() => ({ isAsked: false }));

export const askWhoComes = (): void => useWhoComes.setState({ isAsked: true });
export const isKnownNow = (): void => useWhoComes.setState({ isAsked: false });
