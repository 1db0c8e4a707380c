import type { Pattern } from '@lanakit/core/pattern';
import type { PortionLine } from '@lanakit/core/run';
import { ownerWords as ownerName } from '@lanakit/core/words';
import { timesWords } from './show.ts';

export { ownerName };

/** The part wool is on, with its number in the pattern and how many of it there are; else the join. */
export function ownerLine(owner: PortionLine['owner'], pattern: Pattern): string {
  const index = pattern.parts.findIndex(({ id }) => id === owner.id);
  const part = pattern.parts[index];
  return part ? `${index + 1} ${part.name}${timesWords(part.count)}` : ownerName(owner, pattern);
}
