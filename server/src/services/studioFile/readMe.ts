import { SHEETS } from '../../db/sheets.ts';

/** What a stranger, or the maker in twenty years, is told of what lies beside it. */
export const readMe = (madeAt: string): string => `A whole Lanakit studio as open files, made ${madeAt}.

Every table stands here twice: as JSON, and as CSV for a spreadsheet (UTF-8, commas, decimal points). Lanakit reads the
JSON; what is changed in a CSV changes nothing. schemas/ holds a JSON Schema (draft 2020-12) of every JSON file, with a
word on each of its values.

To bring it into Lanakit: Backups, “Bring a studio in”. An empty studio becomes the same as this one.

${SHEETS.map(({ name, about }) => `${name}.json, ${name}.csv\n  ${about}.`).join('\n')}

patterns/, runs/ and pictures/ hold what those tables name: a pattern, a plan or a picture in each file. A pattern can be
brought into Lanakit by itself as well.

Masses are grams, lengths say their unit, amounts in JSON are thousandths of the thing’s unit; money is whole cents, pence and the like.
studio.json says what format this is in, how many rows there are, and what could not be read.

What stands here may be private: names of learners, prices, notes.
`;
