import { lookOfBuild } from '../../figure/index.ts';
import type { PackGroup } from '../../run/index.ts';
import { grantsWords, joinWords, LEVEL_WORDS, showPace } from '../../words/index.ts';
import { stepTotals } from '../../pattern/index.ts';
import { proposeLevel } from '../../writing/index.ts';
import { atHandLine } from '../contentsPaper.ts';
import { figureSvg } from '../figureSvg.ts';
import type { PaperSource } from '../paper.ts';
import { creditsOfGroup, makesLine, sizeLines } from '../shown.ts';
import { type Booklet, plain, quiet, say, strong } from '../booklet/model.ts';
import { cardOf, FIGURE } from './card.ts';

const CARD_LINE = 1 / 160;

/** What whoever opens it reads first: what it becomes, and how to begin. */
export function insertCard(group: PackGroup, source: PaperSource): Booklet {
  const estimates = source.toPack.estimates.get(group.key)?.makes ?? [];
  const looks = group.makes.flatMap(({ build, pattern }, at) => {
    const estimate = estimates[at];
    return estimate ? [lookOfBuild(build, estimate, source.wool, pattern)] : [];
  });
  const figure = figureSvg(looks, CARD_LINE);
  const titles = [...new Set(group.makes.map(({ pattern }) => pattern.title))];
  const facts = group.makes.map(({ build, pattern }, at) => {
    const estimate = estimates[at];
    const level = build.level ?? (estimate ? proposeLevel(build, estimate).level : null);
    return say(
      strong(`${pattern.title}: `),
      [level && LEVEL_WORDS[level], showPace(build, stepTotals(build).minutes)].filter(Boolean).join(' · '),
    );
  });
  const rights = [...new Set(group.makes.flatMap(({ build }) => (build.grants.length > 0 ? [grantsWords(build.grants)] : [])))];
  return cardOf(
    joinWords(titles),
    [makesLine(group, source)],
    [
      ...facts,
      ...sizeLines(group).map((line) => say(line)),
      { is: 'heading', text: 'How to begin', anchor: null },
      { is: 'list', isNumbered: true, items: steps(atHandLine(group, source)).map((words) => plain(words)) },
      ...rights.map((words) => quiet(words)),
      ...creditsOfGroup(group).map((words) => quiet(words)),
      quiet(NOT_A_TOY),
    ],
    figure ? { [FIGURE]: { from: 'drawing', svg: figure.svg, aspect: figure.aspect } } : {},
  );
} // prettier-ignore

const steps = (atHand: string): string[] => [
  'Lay everything out and tick it off on the contents card. Keep small things in their bag until their step.',
  ...(atHand === '' ? [] : [atHand]),
  'Sit in good light, a thick pad under the work. Read the card about needles and fingers before the first stab.',
  'Read the whole pattern once. Then go step by step, and hold each piece against its size before the next.',
  'Stop five minutes in every thirty. Needles are counted when you stop.',
];

const NOT_A_TOY =
  'A kit for adults, and for the young with an adult beside them. Needles are sharp, parts are small; the figure is no toy for small children. Local rules on age and on labels of fibre go before this.';
