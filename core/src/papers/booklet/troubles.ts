import type { Pattern } from '../../pattern/index.ts';

/** Something that may go wrong with a figure, what it comes from and what helps. */
interface Trouble {
  readonly id: string;
  readonly name: string;
  readonly cause: string;
  readonly remedy: string;
  /** It can happen to this figure. */
  readonly holds: (build: Pattern) => boolean;
}

const hasRole = (role: string) => (build: Pattern) =>
  build.parts.some(({ uses }) => uses.some((use) => use.role === role));
const hasCoat = hasRole('coat');
const isFlat = (build: Pattern) =>
  build.parts.some(({ shape }) => shape?.kind === 'plate' || shape?.kind.startsWith('flat-') === true);
const stands = ({ stance, joins }: Pattern) =>
  joins.length > 0 && (stance?.rests === 'stands' || stance?.rests === 'sits');
const hasFace = ({ findings, parts }: Pattern) =>
  findings.length > 0 || parts.some(({ uses }) => uses.some(({ role }) => role === 'dot' || role === 'line'));

/** The trade’s causes and remedies, in the order a figure is made in. */
const TROUBLES: readonly Trouble[] = [
  {
    id: 'thin',
    name: 'It came out thin',
    cause: 'Less wool was rolled up than the size takes, or it was felted further than firm.',
    remedy:
      'Wrap on a thin layer of the same wool, fibres across those beneath, and felt it in all round. Hold it against the outline after each layer.',
    holds: () => true,
  },
  {
    id: 'baggy',
    name: 'Its skin is loose and its middle soft',
    cause: 'The stabs stayed at the outside: the skin felted before the middle did.',
    remedy:
      'Go in deep, toward the middle, with a coarser needle, turning it all the time. Where the skin already folds, pull it apart a little first.',
    holds: () => true,
  },
  {
    id: 'ridges',
    name: 'Ridges and seams show',
    cause: 'Wool was wrapped in bands, or one edge was left lying on another.',
    remedy:
      'Tease the edge out thin before it is felted. One that is there: slant the needle along it, then lay a thin web over and felt it light.',
    holds: () => true,
  },
  {
    id: 'dents',
    name: 'Dents',
    cause: 'One place was worked while the rest waited.',
    remedy:
      'Turn it with every few stabs. Fill a dent with a pinch of core wool, felt that firm, and only then cover it.',
    holds: () => true,
  },
  {
    id: 'bare',
    name: 'What is beneath shows through',
    cause: 'The coat was laid too thin there, or stabbed too deep: the needle took it inside.',
    remedy:
      'Lay on a thin web larger than the bare place, fibres the other way, and felt it light with a fine needle, at a slant.',
    holds: hasCoat,
  },
  {
    id: 'curls',
    name: 'A flat piece curls or thins in the middle',
    cause: 'One side was worked more than the other.',
    remedy:
      'Peel it off the pad and turn it after every few rows. Work from the edge inward; fold loose fibres back over the edge.',
    holds: isFlat,
  },
  {
    id: 'wobbles',
    name: 'It wobbles, or its legs are of different length',
    cause: 'A leg was set on at another height, or its join is not felted through.',
    remedy:
      'Stand it up and look from the side before joins are felted all round. A short foot gets a thin layer beneath; a loose join is felted straight through, deep, all round.',
    holds: stands,
  },
  {
    id: 'crooked',
    name: 'Its face is crooked',
    cause: 'One eye was fixed before the other was tried.',
    remedy:
      'Pin both first, and look from the front, from above, and in a mirror. What is felted on lifts off again with a fine needle beneath it while it is not worked deep.',
    holds: hasFace,
  },
];

export const troublesOf = (build: Pattern): readonly Trouble[] =>
  TROUBLES.filter(({ holds }) => holds(build));
