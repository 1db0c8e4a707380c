import { ladderOf } from '../../needles/index.ts';
import type { PackGroup } from '../../run/index.ts';
import type { PaperSource } from '../paper.ts';
import { type Block, type Booklet, quiet } from '../booklet/model.ts';
import { BY_FEEL, narrowNeedleTable } from '../booklet/needlesPart.ts';
import { cardOf } from './card.ts';

/** Which needle at which stage; null: nothing of it takes one. */
export function needlesCard({ key, makes }: PackGroup, { toPack, wool, needles }: PaperSource): Booklet | null {
  const estimates = toPack.estimates.get(key)?.makes ?? [];
  const blocks = makes.flatMap(({ build, pattern }, at): Block[] => {
    const estimate = estimates[at];
    const table = estimate ? narrowNeedleTable(ladderOf(build, estimate, wool, needles)) : null;
    if (!table) return [];
    return makes.length > 1 ? [{ is: 'heading', text: pattern.title, anchor: null }, table] : [table];
  });
  return blocks.length === 0 ? null : cardOf('Needles', ['Stage by stage, and when to change'], [...blocks, quiet(BY_FEEL)]);
} // prettier-ignore
