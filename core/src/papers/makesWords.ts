import type { Pattern } from '../pattern/index.ts';
import { choiceOfSeat, hasChoice, type Seat } from '../run/index.ts';
import { choiceWords } from '../words/index.ts';

/** What is chosen; of several designs in one room the title first. */
export function makesWords(seat: Seat, pattern: Pattern, isOneOfSeveral: boolean): string {
  const choice = choiceOfSeat(pattern, seat);
  const isOpen = choice.kind !== 'chosen' && hasChoice(pattern);
  const chosen = isOpen
    ? 'not chosen yet'
    : (choice.kind === 'chosen' && choiceWords(pattern, choice.choices)) || 'as written';
  return isOneOfSeveral ? `${pattern.title}: ${chosen}` : chosen;
}
