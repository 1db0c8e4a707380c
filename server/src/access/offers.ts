import type { PairingOffer } from '@lanakit/core/api';
import { codeInGroups, newCode, PAIRING_SIGNS, readCode } from './codes.ts';
import type { DeviceFacts } from './devices.ts';

/** Long enough to walk to the tablet. */
const OFFERED_MS = 10 * 60_000;
const MOST_OFFERS = 5;

type Offered = Omit<DeviceFacts, 'came'>;

/** Codes that let one device in each, for a few minutes. Times in ms. */
export function offers() {
  let open: readonly { readonly code: string; readonly facts: Offered; readonly endsAt: number }[] = [];
  const lasting = (now: number) => (open = open.filter(({ endsAt }) => now < endsAt));
  return {
    /** The oldest gives way where there are too many. */
    make(facts: Offered, now: number): void {
      const offer = { code: newCode(PAIRING_SIGNS), facts, endsAt: now + OFFERED_MS };
      open = [...lasting(now), offer].slice(-MOST_OFFERS);
    },
    /** Once. @returns null: there is no such offer, or it is over */
    take(text: string, now: number): Offered | null {
      const code = readCode(text, PAIRING_SIGNS);
      const found = lasting(now).find((offer) => offer.code === code);
      open = open.filter((offer) => offer !== found);
      return found?.facts ?? null;
    },
    withdraw: (): void => void (open = []),
    all: (now: number): PairingOffer[] =>
      lasting(now).map(({ code, facts, endsAt }) => ({
        code: codeInGroups(code),
        ...facts,
        endsAt: new Date(endsAt).toISOString(),
      })),
  };
}
