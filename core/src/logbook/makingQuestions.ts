import { roundToMicrogram } from '../base/index.ts';
import type { FibreLookup } from '../engine/index.ts';
import type { Evidence } from './evidence.ts';
import { unitSlip } from './learning.ts';
import type { Making, MakingInput } from './making.ts';
import { isClockBackwards, tookOfLine, tookOfMaking } from './took.ts';

/** Something in a making that can hardly be: it is asked about, and kept as it is. */
export type MakingQuestion =
  | {
      readonly code: 'below_nothing';
      readonly place: string;
      readonly tookG: number;
      readonly weighed: 'bag' | 'piece';
    }
  | { readonly code: 'unit_slip'; readonly place: string; readonly found: number; readonly times: number }
  | { readonly code: 'fibre_not_found'; readonly place: string }
  | { readonly code: 'clock_backwards'; readonly place: string }
  | {
      readonly code: 'whole_and_lines';
      readonly place: string;
      readonly wholeG: number;
      readonly linesG: number;
    }
  | {
      readonly code: 'same_twice';
      readonly place: string;
      readonly otherId: string;
      readonly otherTitle: string;
    };

/** How far the whole figure may be off its wool, as a fraction; eyes and wire make it heavier. */
const CONTRADICTION = 0.25;

/** What of a making is asked about. @param others of the same studio */
export function makingQuestions(
  making: Making,
  evidence: readonly Evidence[],
  fibres: FibreLookup,
  others: readonly Making[],
  nowMs: number,
): MakingQuestion[] {
  return [
    ...making.lines.flatMap((line): MakingQuestion[] => {
      const tookG = tookOfLine(line);
      const below =
        tookG !== null && tookG < 0
          ? [{ code: 'below_nothing', place: line.id, tookG, weighed: line.weighed } as const]
          : [];
      const gone =
        line.fibreId !== null && !fibres.has(line.fibreId)
          ? [{ code: 'fibre_not_found', place: line.id } as const]
          : [];
      return [...below, ...gone];
    }),
    ...evidence.flatMap(({ id, expected, found, kind }): MakingQuestion[] => {
      const times = kind === 'rolled' ? null : unitSlip({ expected, found });
      return times === null ? [] : [{ code: 'unit_slip', place: placeOf(id), found, times }];
    }),
    ...making.steps.flatMap((step): MakingQuestion[] =>
      isClockBackwards(step, nowMs) ? [{ code: 'clock_backwards', place: step.id }] : [],
    ),
    ...wholeAgainstLines(making),
    ...sameTwice(making, others),
  ];
}

const placeOf = (evidenceId: string): string => evidenceId.slice(evidenceId.indexOf(':') + 1);

function wholeAgainstLines(making: MakingInput): MakingQuestion[] {
  const { knownG, unknownCount } = tookOfMaking(making);
  const { wholeG } = making;
  if (wholeG === null || unknownCount > 0 || knownG <= 0) return [];
  // Of a whole figure that is lighter than its wool nobody knows where the rest went.
  const isOff = wholeG < knownG * (1 - CONTRADICTION);
  return isOff ? [{ code: 'whole_and_lines', place: 'whole', wholeG, linesG: knownG }] : [];
}

/** The same weighings, of the same day and hand: a page that was sent twice. */
function sameTwice(making: Making, others: readonly Making[]): MakingQuestion[] {
  const mine = weighings(making);
  if (mine.length < 2) return [];
  const twin = others.find(
    (other) =>
      other.id !== making.id &&
      other.date === making.date &&
      other.madeBy === making.madeBy &&
      weighings(other).join(' ') === mine.join(' '),
  );
  return twin ? [{ code: 'same_twice', place: 'whole', otherId: twin.id, otherTitle: twin.title }] : [];
}

const weighings = ({ lines, pieces, wholeG }: MakingInput): number[] =>
  [...lines.map(tookOfLine), ...pieces.map(({ massG }) => massG), wholeG]
    .filter((massG) => massG !== null)
    .map(roundToMicrogram);
