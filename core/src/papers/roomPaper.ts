import { choiceOfSeat, seatName, seatsOf } from '../run/index.ts';
import {
  choiceWords,
  FIBRE_FLAG_WORDS,
  PROVISION_WORDS,
  sizedWords,
  SKILL_WORDS,
  counted,
} from '../words/index.ts';
import type { Provision, Tool } from '../tools/index.ts';
import { needsOfGroup } from './packsPaper.ts';
import { left, right, row, section, wide, type Paper, type PaperSection, type PaperSource } from './paper.ts';

/** Who sits where and makes what, table by table; boxes have no room. */
export function roomPaper(source: PaperSource): Pick<Paper, 'title' | 'sections'> {
  const { input, toPack, kit } = source;
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
            return row(
              [
                seat.name.trim() === '' ? seatName(seat) : `${seat.seat} ${seatName(seat)}`,
                makes,
                skill,
                mind.join('; '),
              ],
              { ticks: 1 },
            );
          }),
        }),
      ),
      ...toolSection(source, tables.length),
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

/** Tools of everybody, each multiplied by those it is for, and held against the shelf where it is there by that name. */
function toolSection({ toPack, tools }: PaperSource, tables: number): PaperSection[] {
  const needs = new Map<string, { name: string; per: Provision; total: number }>();
  for (const group of toPack.groups.filter(({ sample }) => !sample)) {
    for (const { name, per, isNeedle, alone } of needsOfGroup(group)) {
      if (isNeedle) continue;
      const before = needs.get(name)?.total ?? 0;
      // Each has their own; what is shared is there once for all who want it, as many as whoever wants most.
      const shared = alone * (per === 'table' ? tables : 1);
      const total = per === 'person' ? before + alone * group.seats.length : Math.max(before, shared);
      needs.set(name, { name, per, total });
    }
  }
  const rows = [...needs.values()].map(({ name, per, total }) => {
    const shelf = toolNamed(name, tools);
    const onHand = shelf === null ? 'not on the shelf' : (shelf.onHand ?? 'not counted').toString();
    const short = shelf?.onHand == null ? '' : String(Math.max(0, total - shelf.onHand) || '–');
    return row([name, PROVISION_WORDS[per], String(total), onHand, short], { ticks: 1 });
  });
  return rows.length === 0
    ? []
    : [
        section('Tools', {
          columns: [wide('What'), left('For each'), right('In all'), right('On hand'), right('Short')],
          rows,
        }),
      ];
}

/** Words of a name as they are compared: whole ones, whether one or several are meant. */
const wordsOf = (name: string): string[] =>
  (name.toLowerCase().match(/\p{L}+/gu) ?? []).map((word) => word.replace(/s$/, ''));

/** The tool of the shelf that is called so: every word asked for is in its name, or its name, of two words or more, in what is asked. */
function toolNamed(name: string, tools: readonly Tool[]): Tool | null {
  const asked = wordsOf(name);
  const isCalled = (tool: Tool) => {
    const own = wordsOf(tool.name);
    return (
      asked.every((word) => own.includes(word)) ||
      (own.length > 1 && own.every((word) => asked.includes(word)))
    );
  };
  return tools.find((tool) => !tool.archived && isCalled(tool)) ?? null;
}
