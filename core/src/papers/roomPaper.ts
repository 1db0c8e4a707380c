import { choiceOfSeat, seatName, seatsOf } from '../run/index.ts';
import { choiceWords, FIBRE_FLAG_WORDS, sizedWords, SKILL_WORDS, counted } from '../words/index.ts';
import { left, row, section, wide, type Paper, type PaperSource } from './paper.ts';

/** Who sits where and makes what, table by table; boxes have no room. */
export function roomPaper({ input, toPack, kit }: PaperSource): Pick<Paper, 'title' | 'sections'> {
  const title = 'The room';
  const pattern = toPack.groups[0]?.makes[0]?.pattern;
  if (input.kind === 'kits' || !pattern) return { title, sections: [] };
  const seats = seatsOf(input);
  const size = Math.max(1, input.seatsPerTable);
  const tables = Array.from({ length: Math.ceil(seats.length / size) }, (_, at) =>
    seats.slice(at * size, (at + 1) * size),
  );
  const shared = (kit?.holders ?? []).filter(({ per }) => per !== 'person');
  return {
    title,
    sections: [
      ...tables.map((own, at) =>
        section(`Table ${at + 1}`, {
          aside: counted(own.length, 'seat'),
          columns: [left('Who'), wide('Makes'), left('Skill'), left('To think of')],
          rows: own.map((seat) => {
            const choice = choiceOfSeat(pattern, seat);
            const makes =
              choice.kind === 'chosen'
                ? choiceWords(pattern, choice.choices) || 'as written'
                : 'not chosen yet';
            const mind = [
              sizedWords(seat.sizeFraction),
              seat.isLeftHanded ? 'left-handed' : '',
              seat.avoids.length > 0
                ? `no ${seat.avoids.map((flag) => FIBRE_FLAG_WORDS[flag]).join(', ')}`
                : '',
              seat.note,
            ].filter((word) => word !== '');
            const skill = SKILL_WORDS[seat.skill ?? input.skill];
            return row([`${seat.seat} ${seatName(seat)}`, makes, skill, mind.join('; ')], { ticks: 1 });
          }),
        }),
      ),
      ...(shared.length > 0
        ? [
            section('Holders', {
              columns: [wide('Holder'), left('For each'), left('In all')],
              rows: shared.map(({ needles, tool, per, total }) =>
                row([tool?.name ?? `a holder of ${needles}`, per, String(total)], { ticks: 1 }),
              ),
            }),
          ]
        : []),
    ],
  };
}
