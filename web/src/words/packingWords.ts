import type { PackGroup, PackLine, PackPaper } from '@lanakit/core/run';
import { type FibreLookup } from '@lanakit/core/engine';
import { type Finding, needleName } from '@lanakit/core/shelf';
import { bagWords, joinWords, needName, pieceNames, piecesLine, wantedName } from '@lanakit/core/words';
import { PREPARATION_WORDS, showWeighed } from './show.ts';
import { showAmount } from './shelfWords.ts';

const PAPER_WORDS: Readonly<Record<PackPaper, string>> = {
  pattern: 'the pattern, printed',
  contents: 'the contents card',
  homework: 'the homework sheet',
};

const WHERE_WORDS = {
  'inner-bag': 'in an inner bag, they are easily lost',
  loose: '',
  packaging: 'packaging',
} as const;

/** What the words of a line are made with. */
export interface PackingNames {
  readonly fibres: FibreLookup;
  readonly findings: ReadonlyMap<string, Finding>;
  readonly group: PackGroup | undefined;
  readonly stepG: number;
}

/** What the scale does not show is never told as nought. */
const shareWords = (massG: number, stepG: number): string =>
  massG < stepG / 2 ? `under ${showWeighed(stepG, stepG)}` : showWeighed(massG, stepG);

/** A thing that is laid into a pack: what it is, how much of it, and what to think of. */
export interface PackLineWords {
  readonly title: string;
  readonly amount: string;
  readonly notes: readonly string[];
}

export function packLineWords(line: PackLine, names: PackingNames): PackLineWords {
  const { fibres, findings, group, stepG } = names;
  const fibreName = (id: string) => fibres.get(id)?.name ?? 'a fibre';
  switch (line.kind) {
    case 'bag': {
      const title = (group && bagWords(line.bag, group, fibreName)) || 'the figure’s bag';
      const open = line.wool.filter(({ isWeighed }) => !isWeighed);
      const colours = line.wool.map(({ fibreId }) => fibreName(fibreId));
      // Two of one name are told apart by how they were prepared.
      const colour = (fibreId: string): string => {
        const [name, fibre] = [fibreName(fibreId), fibres.get(fibreId)];
        const isTwice = colours.filter((each) => each === name).length > 1;
        return isTwice && fibre ? `${name} ${PREPARATION_WORDS[fibre.preparation]}` : name;
      };
      return {
        title,
        amount: line.massG === null ? 'amount unknown' : showWeighed(line.massG, stepG),
        notes: [
          joinWords(line.wool.map(({ fibreId, massG }) => `${colour(fibreId)} ${shareWords(massG, stepG)}`)),
          ...(open.length === 0
            ? []
            : open.length === line.wool.length
              ? ['not weighed yet']
              : [`not weighed yet: ${joinWords(open.map(({ fibreId }) => colour(fibreId)))}`]),
          ...line.wool.flatMap(({ fibreId, offG, lotNotes }) => [
            ...(offG === 0
              ? []
              : [
                  `${colour(fibreId)}: ${showWeighed(Math.abs(offG), stepG)} ${offG > 0 ? 'more' : 'less'} than wanted`,
                ]),
            ...lotNotes.map((note) => `${colour(fibreId)}, ${note}`),
          ]),
        ],
      };
    }
    case 'finding': {
      const finding = findings.get(line.findingId);
      const [amount, spare] = [showAmount(line.amount, line.unit), showAmount(line.spare, line.unit)];
      return {
        title: finding?.name ?? 'a finding no longer on the shelf',
        amount:
          line.unknownCount > 0
            ? `at least ${amount}`
            : line.pieces.length > 0
              ? piecesLine(line.pieces)
              : line.spare > 0
                ? `${amount} + ${spare} spare`
                : amount,
        notes: [WHERE_WORDS[line.where], line.pieces.length > 0 ? pieceNames(line.pieces) : ''].filter(
          (word) => word !== '',
        ),
      };
    }
    case 'needles':
      return {
        title: line.needle ? needleName(line.needle) : wantedName(line.wanted),
        amount: String(line.count),
        notes: ['pinned into foam, points covered'],
      };
    case 'tool':
      return {
        title: needName(line.need),
        amount: String(line.count),
        notes: line.need.wanted ? ['pinned into foam, points covered'] : [],
      };
    case 'paper':
      return { title: PAPER_WORDS[line.paper], amount: '1', notes: [] };
  }
}
