import { byCodePoint, showLengths } from '../base/index.ts';
import type { Caution, Pattern } from '../pattern/index.ts';
import {
  designsOfPacks,
  hasChoice,
  isElsewhere,
  minutesOfClock,
  needsOfGroup,
  type RoomTool,
  toolsOfRun,
} from '../run/index.ts';
import {
  CAUTION_NAMES,
  CAUTION_WORDS,
  clockWords,
  FIBRE_FLAG_WORDS,
  joinWords,
  lengthOfTime,
  LEVEL_WORDS,
  needName,
  orWords,
  showDay,
} from '../words/index.ts';
import { cautionsOf, proposeLevel } from '../writing/index.ts';
import { HURTS } from './hurts.ts';
import { left, type Paper, type PaperSection, type PaperSource, row, section, wide } from './paper.ts';

/** What everybody who comes is sent beforehand. Nobody is named in it, so that it can go to all of them. */
export function beforeClassPaper(source: PaperSource): Pick<Paper, 'title' | 'sections'> {
  const title = 'Before you come';
  if (source.input.kind === 'kits') return { title, sections: [] };
  return {
    title: source.input.plan.isRemote ? 'Before we begin' : title,
    sections: [whenSection(source), madeSection(source), needSection(source), sayBefore(source), careSection(source)],
  };
} // prettier-ignore

function whenSection({ input: { plan, date } }: PaperSource): PaperSection {
  const rows = plan.sessions.map(({ date: of, startsAt, minutes }) => {
    const from = minutesOfClock(startsAt);
    const clock = from === null ? startsAt : `${clockWords(from)} to ${clockWords(from + minutes)}`;
    return row([showDay(of ?? date, { year: true }), clock, lengthOfTime(minutes)]);
  });
  const notes =
    rows.length === 0
      ? [`${showDay(date, { year: true })}. The hours follow.`]
      : plan.isRemote
        ? []
        : ['Come a little before: everybody begins together.'];
  return section('When', { columns: [left('Day'), left('From'), wide('How long')], rows, notes });
}

const heightOf = ({ finishedHeight }: Pick<Pattern, 'finishedHeight'>): string =>
  finishedHeight ? `${showLengths([finishedHeight])} tall` : '';

function madeSection(source: PaperSource): PaperSection {
  const designs = [...designsOfPacks(source.toPack.groups)];
  return section(designs.length === 1 ? 'What you make' : 'What is made', {
    columns: [left('What'), wide('For whom'), left('How large')],
    rows: designs.map(([revisionId, pattern]) =>
      row([pattern.title, levelWords(source, revisionId), heightOf(pattern)], {
        note: pattern.prerequisites,
      }),
    ),
  });
}

/** As its author says; else what the first that is made of it asks for. */
function levelWords({ toPack }: PaperSource, revisionId: string): string {
  for (const { key, makes } of toPack.groups) {
    const at = makes.findIndex((make) => make.revisionId === revisionId);
    const build = makes[at]?.build;
    const estimate = toPack.estimates.get(key)?.makes[at];
    const level = build && (build.level ?? (estimate && proposeLevel(build, estimate).level));
    if (level) return LEVEL_WORDS[level];
  }
  return '';
}

/** In a room what is there and what of it there is too little of; at home every tool: they are not in the parcel, needles are. */
function needSection(source: PaperSource): PaperSection {
  const { input, toPack, tools, promised } = source;
  if (input.plan.isRemote) {
    const needs = new Map(
      toPack.groups
        .filter(({ sample }) => sample === null)
        .flatMap((group) => needsOfGroup(group).filter(({ wanted }) => wanted === null).map((need) => [needName(need), need] as const)),
    );
    return section('Have at hand', {
      notes: ['Your parcel has wool, needles and what is fixed to the figure. Look it through against its card when it comes.'],
      rows: [...needs].map(([name, { alone }]) => row([alone > 1 ? `${alone} × ${name}` : name], { ticks: 1 })),
      columns: [wide('What')],
    });
  }
  const wanted = toolsOfRun(toPack, input, tools, promised);
  const missing = wanted.filter(isWorthBringing);
  return section('What to bring', {
    notes: [
      'Wool, needles and what is fixed to the figure are there for you.',
      ...(missing.length === 0 ? ['Of tools everything is there.'] : ['Bring these if you have them: there are too few for everybody.']),
    ],
    columns: missing.length === 0 ? [] : [wide('What')],
    rows: missing.map((tool) => row([needName(tool)], { ticks: 1 })),
  });
} // prettier-ignore

/** Everybody’s own, and there are too few on the shelf, or nobody has counted them. */
const isWorthBringing = (tool: RoomTool): boolean =>
  tool.per === 'person' && tool.isKept && !isElsewhere(tool) && tool.short !== 0;

/** What has to be known before packs are weighed: what cannot be touched, which hand, what is chosen. */
function sayBefore({ toPack, plan, wool }: PaperSource): PaperSection {
  const flags = new Set(
    plan.groups.flatMap(({ plan: { fibres } }) =>
      fibres.flatMap(({ fibreId }) => wool.fibres.get(fibreId)?.flags ?? []),
    ),
  );
  const touched = ['wool', ...[...flags].map((flag) => FIBRE_FLAG_WORDS[flag]).sort(byCodePoint)];
  const chosen = [...designsOfPacks(toPack.groups).values()].filter(hasChoice);
  return section('Say so beforehand', {
    notes: ['Packs are weighed before the day; what is not known by then is packed as written.'],
    columns: [wide('What')],
    rows: [
      row([`If you must not touch any of this: ${joinWords(touched)}`], { ticks: 1 }),
      row(['If you work with the left hand'], { ticks: 1 }),
      ...chosen.map((pattern) =>
        row([`What you choose of ${pattern.title}: ${choicesOf(pattern)}`], { ticks: 1 }),
      ),
    ],
  });
}

/** `eyes (beads or dots); colourway (as written, Russet)` */
const choicesOf = ({ options, colourways }: Pick<Pattern, 'options' | 'colourways'>): string =>
  [
    ...options.map(({ name, values }) => `${name} (${orWords(values.map((value) => value.name))})`),
    ...(colourways.length === 0
      ? []
      : [`colours (${orWords(['as written', ...colourways.map(({ name }) => name)])})`]),
  ].join('; '); // prettier-ignore

/** What can hurt of what is made; what only the figure suffers from is not for here. */
function careSection({ toPack, wool }: PaperSource): PaperSection {
  const found = new Set<Caution>(
    toPack.groups.flatMap(({ makes }) =>
      makes.flatMap(({ build }) => [...cautionsOf(build, wool).values()].flat()),
    ),
  );
  return section('Take care', {
    notes: [
      'This is what is usual, and no medical advice: whoever cannot feel a prick, bleeds long or is pregnant asks a doctor, and says so beforehand.',
    ],
    columns: [left('What'), wide('The usual caution')],
    rows: HURTS.filter((caution) => found.has(caution)).map((caution) =>
      row([CAUTION_NAMES[caution], CAUTION_WORDS[caution]]),
    ),
  });
}
