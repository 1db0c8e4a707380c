import { isRefusal, type Outcome, type Services } from '@lanakit/server/services';

/** The studio’s services as they were at a moment: what is written is dated so. */
export type Clock = (at: Date) => Services;

/** What came of it; the demo is never refused. */
export function done<T>(outcome: Outcome<T>): T {
  if (isRefusal(outcome)) throw new Error(`the demo was refused: ${JSON.stringify(outcome.reason)}`);
  return outcome;
}
