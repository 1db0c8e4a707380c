import { cellWords } from '../cell.ts';
import { contentsCard } from '../contentsPaper.ts';
import type { LotNotes } from '../lotNotes.ts';
import type { PackGroup } from '../../run/index.ts';
import type { PaperSource } from '../paper.ts';
import { type Block, type Booklet, plain, quiet, strong } from '../booklet/model.ts';
import { unbroken } from '../booklet/looks.ts';
import { cardOf } from './card.ts';

/** What is in it, to be ticked off: the contents sheet in the size of a card. @param packIds whose lots are told */
export function contentsCardOf(group: PackGroup, source: PaperSource, lotNotes: LotNotes, packIds: readonly string[]): Booklet {
  const { columns, rows, notes } = contentsCard(group, source, lotNotes, packIds);
  const [bagAt, whatAt, muchAt, forAt] = [0, 1, 2, 3];
  const table: Block = {
    is: 'table',
    about: 'What is in it',
    columns: [whatAt, muchAt].map((at) => ({
      title: columns[at]?.title ?? '',
      isNumber: at === muchAt,
    })),
    rows: rows.map(({ cells, swatch, note }) => {
      const wordsAt = (at: number): string => {
        const found = cells[at];
        return found ? unbroken(cellWords(found)) : '';
      };
      const [bag, whose] = [wordsAt(bagAt), wordsAt(forAt)];
      const where = [bag === 'figure' ? '' : `in: ${bag}`, whose === '' ? '' : `for: ${whose}`].filter((words) => words !== '');
      const more = [where.join('; '), note ?? ''].filter((words) => words !== '');
      return {
        hasBox: true,
        cells: [
          { words: [{ text: wordsAt(whatAt) }, ...plain(more.map((words) => `
${words}`).join(''))], swatch },
          { words: [strong(wordsAt(muchAt))], swatch: null },
        ],
      };
    }),
  };
  return cardOf('What is in it', [], [table, ...notes.map((line) => quiet(line))]);
} // prettier-ignore

/** What lots say of everything in these packs: where it is the same, so are the cards. */
export const lotsTold = ({ key }: PackGroup, { plan }: PaperSource, lotNotes: LotNotes, packIds: readonly string[]): string[][] =>
  (plan.groups.find((each) => each.key === key)?.plan.fibres ?? []).map(({ bag, fibreId }) => lotNotes(packIds, bag, fibreId)); // prettier-ignore
