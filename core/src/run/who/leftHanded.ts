import type { Pattern, Step } from '../../pattern/index.ts';

/** Words that mean the other way round for the other hand. */
const PAIRS: readonly (readonly [string, string])[] = [
  ['anticlockwise', 'clockwise'],
  ['counterclockwise', 'clockwise'],
  ['left', 'right'],
  ['leftmost', 'rightmost'],
  ['leftward', 'rightward'],
  ['leftwards', 'rightwards'],
];

const OTHER = new Map<string, string>([
  ...PAIRS.map(([a, b]) => [a, b] as const),
  ...PAIRS.map(([a, b]) => [b, a] as const),
  // Of the two words for it, ours.
  ['clockwise', 'anticlockwise'],
]);

const DIRECTION = new RegExp(
  `\\b(${[...OTHER.keys()].sort((a, b) => b.length - a.length).join('|')})\\b`,
  'gi',
);

/** “Right away”, “the right size” and “what is left” are no sides. */
const MAY_BE_NO_SIDE = /^(left|right)$/i;
const SIDE_AFTER = /^[\s-]+(hand|side|over|to left|to the left|edge|end|leg|wing|arm|eye|half|turn)/i;
const SIDE_BEFORE = /(to the|on the|from the|your|its|the)\s+$/i;

/** The same instruction for the other hand: left and right, and which way something turns, changed about. */
export const mirrored = (text: string): string =>
  text.replace(DIRECTION, (word: string, _all: string, at: number) => {
    if (MAY_BE_NO_SIDE.test(word) && !isSide(text, at, word.length)) return word;
    const other = OTHER.get(word.toLowerCase()) ?? word;
    const [first = ''] = word;
    return first === first.toUpperCase() ? other.charAt(0).toUpperCase() + other.slice(1) : other;
  });

function isSide(text: string, at: number, length: number): boolean {
  const after = text.slice(at + length);
  if (SIDE_AFTER.test(after)) return true;
  return SIDE_BEFORE.test(text.slice(0, at)) && /^(\s*[.,;:)]|\s*$|\s+(and|then|until|of)\b)/i.test(after);
}

/** A step that reads otherwise for somebody than it is written. */
export interface OtherStep {
  /** From 1, as in the build. */
  readonly number: number;
  readonly text: string;
  readonly why: 'left-handed' | 'swap';
}

/**
 * Winding runs the other way for the left hand even where nothing is said of it. To wrap is the act of coating too, and
 * a coat that is laid on is the same for both hands: it winds only round a skeleton, or where its words say so.
 */
const wraps = ({ act, stage, text }: Step): boolean =>
  (act.kind === 'wrap' && stage === 'skeleton') || /\b(?:wrap|wind|wound|coil|spiral)/i.test(text);

/** Steps that read otherwise for a left-handed person: mirrored where they name a side, or told to run the other way. */
export function leftHandedSteps({ steps }: Pick<Pattern, 'steps'>): OtherStep[] {
  return steps.flatMap((step, at): OtherStep[] => {
    const text = mirrored(step.text);
    if (text !== step.text) return [{ number: at + 1, text, why: 'left-handed' }];
    if (!wraps(step)) return [];
    const end = /[.!?]$/.test(step.text.trim()) ? '' : '.';
    return [
      {
        number: at + 1,
        text: `${step.text.trim()}${end} Left-handed: hold it in the right hand and wrap the other way round, towards you.`,
        why: 'left-handed',
      },
    ];
  });
}

/** Steps that read otherwise because something is taken instead. */
export function swappedSteps(pattern: Pick<Pattern, 'steps'>, build: Pick<Pattern, 'steps'>): OtherStep[] {
  const written = new Map(pattern.steps.map(({ id, text }) => [id, text]));
  return build.steps.flatMap(({ id, text }, at): OtherStep[] =>
    text === written.get(id) ? [] : [{ number: at + 1, text, why: 'swap' }],
  );
}
