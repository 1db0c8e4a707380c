import { needleCounts } from '../../needles/index.ts';
import { needlesOfBox, type PackGroup } from '../../run/index.ts';
import { counted } from '../../words/index.ts';
import { FIRST_AID } from '../firstAid.ts';
import type { PaperSource } from '../paper.ts';
import { type Block, type Booklet, plain, quiet, say, strong } from '../booklet/model.ts';
import { cardOf } from './card.ts';

const BEFORE = [
  'Guards of leather or rubber on the thumb and the finger that hold the work. They slow a needle down; they do not stop it.',
  'A pad as thick as the needle is long, never the knee or the hand.',
  'Eyes on the point. Straight in, out by the same line: sideways it snaps.',
] as const;

const AFTER = [
  'Out of use the needle stands in its tube or a cork, never in the work, a cushion or a sleeve.',
  'One has snapped: stop, and find the tip before you go on; a magnet over the pad, and fingers last.',
  'Bent, blunt and broken needles go into a hard box with a lid, taped shut and marked “sharps”. Where that box may go your local rules say; never loose into the bin.',
  'Children and animals are somewhere else while needles are out.',
] as const;

/** Guards and sharps; null: nothing of it takes a needle. */
export function sharpsCard(group: PackGroup, { needles }: PaperSource): Booklet | null {
  if (group.makes.every(({ build }) => needleCounts(build).length === 0)) return null;
  const inBox = needlesOfBox(group, needles).reduce((sum, { count }) => sum + count, 0);
  const list = (items: readonly string[]): Block => ({ is: 'list', isNumbered: false, items: items.map((words) => plain(words)) });
  return cardOf('Needles and fingers', [inBox > 0 ? `${counted(inBox, 'needle')} in this box: count them when you begin, and when you stop` : ''], [
    list(BEFORE),
    list(AFTER),
    { is: 'heading', text: 'If it happens', anchor: null },
    ...(FIRST_AID.needle ?? []).map(([what, first]) => say(strong(`${what}: `), first)),
    quiet('What is usual, and no medical advice: whoever is qualified, and the rules of your place, go before it.'),
  ]);
} // prettier-ignore
