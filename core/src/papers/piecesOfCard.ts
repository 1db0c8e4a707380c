import { type Piece, piecesToMake } from '../reading/index.ts';
import type { Make, PackGroup } from '../run/index.ts';
import { type PieceLine, pieceLines, showCount } from '../words/index.ts';
import { left, type PaperRow, type PaperSection, type PaperSource, row, section, wide } from './paper.ts';

/** Every piece of every design in a pack: what one of it takes and what hands make of that, in a line of its own. */
export function piecesOfCard(group: PackGroup, source: PaperSource): PaperSection[] {
  const makes = source.toPack.estimates.get(group.key)?.makes ?? [];
  return group.makes.flatMap((make, at) => {
    const estimate = makes[at];
    if (!estimate || make.build.parts.length === 0) return [];
    return [
      section(group.makes.length > 1 ? `${make.pattern.title}, piece by piece` : 'Piece by piece', {
        notes: [
          `Grams are for one piece${make.copies > 1 ? ` of one make; it is in the box ${make.copies} times` : ''}. The pattern says the rest, step by step.`,
        ],
        columns: [left('Piece'), wide('Wool'), left('Roll to or lay out'), left('Felt to'), left('Begins')],
        rows: piecesToMake(make.build, make.pattern, estimate, source.wool).map((piece) =>
          pieceRow(piece, make, source),
        ),
      }),
    ];
  });
}

function pieceRow(piece: Piece, { build }: Make, { wool }: PaperSource): PaperRow {
  const lines = pieceLines(piece, build, wool);
  const textOf = (...labels: readonly string[]) =>
    lines
      .flatMap((line) => (line.kind === 'work' && labels.includes(line.label) ? [line.text] : []))
      .join('; ');
  const { part, number, beginsAt } = piece;
  return row([
    `${number} ${part.name || 'Unnamed'}${part.count === 1 ? '' : ` ×${part.count === null ? ' ?' : showCount(part.count)}`}`,
    lines.flatMap(woolWords).join('; ') || '–',
    textOf('Roll to', 'Lay out') || '–',
    textOf('Felt to') || textOf('Finished') || '–',
    beginsAt === null ? '–' : `step ${beginsAt}`,
  ]);
}

const woolWords = (line: PieceLine): string[] =>
  line.kind === 'wool'
    ? [
        [`${line.label} ${line.fibre} ${line.grams}`, line.how, line.words]
          .filter((words) => words !== '')
          .join(', '),
      ]
    : [];
