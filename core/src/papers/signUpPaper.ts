import { designsOfPacks, designsOfSeats, seatsOf, type Seat } from '../run/index.ts';
import type { Pattern } from '../pattern/index.ts';
import { counted, FIBRE_FLAG_WORDS, joinWords } from '../words/index.ts';
import { makesWords } from './makesWords.ts';
import { left, type Paper, type PaperRow, type PaperSource, right, row, section, wide } from './paper.ts';

/** Who comes, to be filled in by pen: what is known of a seat stands there already. How to reach somebody is never kept, so it is only ever written here. */
export function signUpPaper({ input, toPack }: PaperSource): Pick<Paper, 'title' | 'sections'> {
  const title = 'Sign-up list';
  if (input.kind === 'kits') return { title, sections: [] };
  const designs = designsOfPacks(toPack.groups);
  const designOf = designsOfSeats(designs, input);
  const seats = seatsOf(input);
  const taken = seats.filter(({ name }) => name.trim() !== '').length;
  const rows = seats.map((seat) => seatRow(seat, designOf(seat)?.[1] ?? null, designs.size > 1));
  return {
    title,
    sections: [
      section('Who comes', {
        aside: `${taken} of ${counted(seats.length, 'seat')}`,
        notes: [
          'Names and how to reach somebody are theirs: keep this list out of sight, and destroy it after the class.',
        ],
        columns: [
          right('Seat'),
          wide('Name'),
          left('Makes'),
          left('Hand'),
          left('Must not touch'),
          wide('How to reach'),
        ],
        rows,
      }),
    ],
  };
}

/** Of a seat nobody has taken nothing is known: it is left to be written. */
function seatRow(seat: Seat, pattern: Pattern | null, isOneOfSeveral: boolean): PaperRow {
  const isTaken = seat.name.trim() !== '';
  const makes = pattern ? makesWords(seat, pattern, isOneOfSeveral) : '';
  const hand = seat.isLeftHanded ? 'left' : '';
  const avoids = joinWords(seat.avoids.map((flag) => FIBRE_FLAG_WORDS[flag]));
  return row([String(seat.seat), seat.name.trim(), isTaken ? makes : '', hand, avoids, '']);
}
