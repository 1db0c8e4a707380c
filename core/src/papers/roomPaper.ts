import * as cells from './cell.ts';
import type { Skill } from '../needles/index.ts';
import type { Pattern } from '../pattern/index.ts';
import {
  designsOfPacks,
  designsOfSeats,
  isElsewhere,
  type Seat,
  seatName,
  seatsOf,
  toolsOfRun,
} from '../run/index.ts';
import { isSameToolName } from '../shelf/index.ts';
import {
  counted,
  FIBRE_FLAG_WORDS,
  needName,
  PROVISION_WORDS,
  sizedWords,
  SKILL_WORDS,
} from '../words/index.ts';
import { makesWords } from './makesWords.ts';
import {
  left,
  type Paper,
  type PaperRow,
  type PaperSection,
  type PaperSource,
  right,
  row,
  section,
  wide,
} from './paper.ts';

/** Who sits where and makes what, table by table; boxes have no room. */
export function roomPaper(source: PaperSource): Pick<Paper, 'title' | 'sections'> {
  const { input, toPack } = source;
  const title = 'The room';
  if (input.kind === 'kits' || toPack.groups.length === 0) return { title, sections: [] };
  return {
    title,
    sections: [...tableSections(source), ...toolSection(source), ...holderSection(source)],
  };
}

function tableSections({ input, toPack }: PaperSource): PaperSection[] {
  const designs = designsOfPacks(toPack.groups);
  const designOf = designsOfSeats(designs, input);
  const seats = seatsOf(input);
  const size = Math.max(1, input.seatsPerTable);
  const tables = Array.from({ length: Math.ceil(seats.length / size) }, (_, at) =>
    seats.slice(at * size, (at + 1) * size),
  );
  return tables.map((table, at) =>
    section(`Table ${at + 1}`, {
      aside: counted(table.length, 'seat'),
      columns: [left('Who'), wide('Makes'), left('Skill'), left('To think of')],
      rows: table.map((seat) => seatRow(seat, designOf(seat)?.[1] ?? null, designs.size > 1, input.skill)),
    }),
  );
}

function seatRow(seat: Seat, pattern: Pattern | null, isOneOfSeveral: boolean, usualSkill: Skill): PaperRow {
  const mind = [
    sizedWords(seat.sizeFraction),
    seat.isLeftHanded ? 'left-handed' : '',
    seat.avoids.length > 0 ? `no ${seat.avoids.map((flag) => FIBRE_FLAG_WORDS[flag]).join(', ')}` : '',
    seat.note,
  ].filter((word) => word !== '');
  const who = seat.name.trim() === '' ? seatName(seat) : `${seat.seat} ${seatName(seat)}`;
  const skill = SKILL_WORDS[seat.skill ?? usualSkill];
  const makes = pattern ? makesWords(seat, pattern, isOneOfSeveral) : '';
  return row([who, makes, skill, mind.join('; ')], { ticks: 1 });
}

/** Holders that a table or the room shares. */
function holderSection({ kit }: PaperSource): PaperSection[] {
  const shared = (kit?.holders ?? []).filter(({ per }) => per !== 'person');
  if (shared.length === 0) return [];
  const rows = shared.map(({ needles, tool, per, total, short }) =>
    row(
      [
        tool?.name ?? `a holder of ${needles}`,
        PROVISION_WORDS[per],
        cells.count(total),
        tool === null ? 'not on the shelf' : onHandCell(tool.onHand),
        shortCell(short),
      ],
      { ticks: 1 },
    ),
  );
  return [section('Holders', { columns: TOOL_COLUMNS, rows })];
}

/** What is on the shelf; null was never counted. */
const onHandCell = (onHand: number | null) => (onHand === null ? 'not counted' : cells.count(onHand));

/** Nobody knows, nothing, or so many. */
const shortCell = (short: number | null) => (short === null ? '?' : short === 0 ? '–' : cells.count(short));

const TOOL_COLUMNS = [wide('What'), left('For each'), right('In all'), right('On hand'), right('Short')];

/** Tools of everybody, each multiplied by those it is for, and held against the shelf. */
function toolSection({ toPack, tools, input, promised }: PaperSource): PaperSection[] {
  const rows = toolsOfRun(toPack, input, tools, promised).map((tool) => {
    const names = tool.tools.map(({ name }) => name).join(', ');
    const note = isSameToolName(names, needName(tool)) ? '' : names;
    return row(
      [
        needName(tool),
        PROVISION_WORDS[tool.per],
        cells.count(tool.total),
        isElsewhere(tool) ? 'not on the shelf' : tool.tools.length === 0 ? '' : onHandCell(tool.onHand),
        tool.tools.length === 0 ? '' : shortCell(tool.short),
      ],
      { ticks: 1, ...(note !== '' && { note }) },
    );
  });
  return rows.length === 0
    ? []
    : [
        section('Tools', {
          columns: TOOL_COLUMNS,
          rows,
        }),
      ];
}
