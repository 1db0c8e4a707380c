import { daysAfter, normalFrom, seededRandom } from '@lanakit/core/base';
import { defaultBuild } from '@lanakit/core/build';
import { estimatePattern, type UseEstimate, type Wool, woolOnShelf } from '@lanakit/core/engine';
import { figureLook } from '@lanakit/core/figure';
import { onlyOne } from '@lanakit/core/learning';
import { makingOf, type MakingInput, type MakingLine } from '@lanakit/core/logbook';
import { type Pattern, workMinutes } from '@lanakit/core/pattern';
import type { Blend, Fibre, Finding } from '@lanakit/core/shelf';
import { figureSvg } from '@lanakit/core/papers';
import { PACE } from '@lanakit/core/timetable';
import { type Services, todayOf } from '@lanakit/server/services';
import { type Clock, done } from './studio.ts';

/** The hands of this studio, against what anybody would expect: a little firmer, and generous with coats. */
const FIRMER = 1.1;
const THICKER_COAT = 1.18;
const SLOWER = 1.12;
/** What each piece strays by, and each step’s minutes. */
const STRAYS = 0.1;
const MINUTES_STRAY = 0.28;
/** What a full bag weighs on the scale, grams. */
const BAG_G = 180;

/** One figure that was made. */
interface Made {
  readonly title: string;
  readonly daysAgo: number;
  readonly madeBy?: string;
  readonly words?: string;
  readonly tried?: readonly [failed: string, instead: string];
  /** Only its wool was weighed. */
  readonly isWoolOnly?: boolean;
  /** In its first bag the point slipped by a place. */
  readonly isSlip?: boolean;
  /** A page that is still being written. */
  readonly isOpen?: boolean;
}

const MADE: readonly Made[] = [
  {
    title: 'Pear with two leaves',
    daysAgo: 61,
    words: 'First one with the new core batt. Took longer to get firm than I thought.',
  },
  { title: 'Pear with two leaves', daysAgo: 54, isWoolOnly: true },
  {
    title: 'Harbour puffin',
    daysAgo: 52,
    words: 'Belly first, then the back: less bleeding of black into white.',
    tried: ['The beak split when I cut it after felting.', 'Fold it over a pin and stab along the fold.'],
  },
  { title: 'Tide-pool octopus', daysAgo: 47 },
  { title: 'Pear with two leaves', daysAgo: 43, madeBy: 'Ilse', words: 'Made from the printed sheet alone.' },
  { title: 'Stag beetle brooch', daysAgo: 38, isWoolOnly: true },
  { title: 'Harbour puffin', daysAgo: 33, isWoolOnly: true },
  { title: 'Balloon mobile', daysAgo: 30 },
  { title: 'Tide-pool octopus', daysAgo: 24, isWoolOnly: true },
  { title: 'Pear with two leaves', daysAgo: 19, isSlip: true, words: 'The blush is easier with a 40.' },
  { title: 'Harbour puffin', daysAgo: 12, madeBy: 'Ilse', isWoolOnly: true },
  { title: 'Tide-pool octopus', daysAgo: 9 },
  { title: 'Harbour puffin', daysAgo: 4, isOpen: true },
];

/** Two months of a studio’s logbook: figures as they were made and weighed. */
export function loadLogbook(servicesAt: Clock, now: Date): void {
  const services = servicesAt(now);
  const wool = woolOf(services);
  const random = seededRandom(20_261_130);
  const patterns = done(services.patterns.page(null, 50, false));
  MADE.forEach((made, at) => {
    const pattern = patterns.find(({ document: { title } }) => title === made.title);
    if (!pattern) return;
    const build = defaultBuild(pattern.document);
    const page = pageOf(made, build, wool, todayOf(now), random, at);
    const pictures = page.isDone && made.isWoolOnly !== true ? drawn(services, build, wool, at) : [];
    done(services.makings.begin({ ...page, patternId: pattern.id, pictures }));
  });
}

const FINE_LINE = 1 / 260;

/** Nobody here had a camera: the finished figure as it is drawn. */
function drawn(services: Services, build: Pattern, wool: Wool, at: number): MakingInput['pictures'] {
  const picture = figureSvg([figureLook(build, wool)], FINE_LINE);
  if (!picture) return [];
  // The same figure is the same drawing.
  const pictureId = `made-${build.title.toLowerCase().replaceAll(' ', '-')}`;
  const width = 400;
  const size = { width, height: Math.round(width / picture.aspect) };
  done(services.pictures.putDrawing(pictureId, picture.svg, size));
  return [{ id: `p${at}`, pictureId, words: 'the finished figure, drawn' }];
}

function woolOf({ items }: Services): Wool {
  const [fibres, findings] = [done(items.fibre.all()) as Fibre[], done(items.finding.all()) as Finding[]];
  return {
    fibres: woolOnShelf(fibres, done(items.blend.all()) as Blend[]),
    findings: new Map(findings.map((finding) => [finding.id, finding])),
    handMeasures: [],
    learnt: null,
  };
}

/** As these hands felt and lay, known exactly. */
function inTheseHands(wool: Wool): Wool {
  const is = (times: number) => ({ ln: Math.log(times), sigma: 0, samples: 0 });
  const learnt = {
    ...onlyOne({ kind: 'maker', who: '' }, Math.log(FIRMER)),
    hiding: [...wool.fibres.keys()].map((fibreId) => ({ fibreId, ...is(THICKER_COAT) })),
  };
  return { ...wool, learnt };
}

function pageOf(
  made: Made,
  build: Pattern,
  wool: Wool,
  today: string,
  random: () => number,
  at: number,
): MakingInput {
  let ids = 0;
  const blank = makingOf(build, wool, daysAfter(today, -made.daysAgo), () => `m${at}-${++ids}`);
  const { uses } = estimatePattern(build, inTheseHands(wool));
  const lines = blank.lines.map((line, place) =>
    made.isOpen && place > 1
      ? line
      : weighed(line, uses, random, made.isSlip === true && place === 0 ? 0.1 : 1),
  );
  const steps = blank.steps.map((step, place) => {
    const of = build.steps[place];
    const minutes = of ? (workMinutes(of, build)?.likely ?? null) : null;
    if (minutes === null || minutes === 0 || made.isWoolOnly === true || made.isOpen === true) return step;
    const took = Math.max(
      1,
      Math.round(
        minutes *
          (made.madeBy === undefined ? SLOWER : PACE.some) *
          Math.exp(MINUTES_STRAY * normalFrom(random)),
      ),
    );
    return { ...step, minutes: took, broken: at === 2 && place === 3 ? 1 : 0 };
  });
  const [failed, instead] = made.tried ?? [];
  return {
    ...blank,
    title: made.title,
    madeBy: made.madeBy ?? '',
    skill: made.madeBy === undefined ? 'practised' : 'some',
    isDone: made.isOpen !== true,
    words: made.words ?? '',
    tried: failed !== undefined && instead !== undefined ? [{ id: `t${at}`, failed, instead }] : [],
    lines,
    steps,
  };
}

/** The bag before and after, to the tenth of a gram, as this studio’s scale shows them. */
function weighed(
  line: MakingLine,
  uses: readonly UseEstimate[],
  random: () => number,
  slip: number,
): MakingLine {
  const tookG = uses.reduce(
    (sum, use) =>
      use.kind === 'known' && use.fibreId === line.fibreId && !use.isIfNeeded
        ? sum + use.pieceG * use.count.likely * Math.exp(STRAYS * normalFrom(random))
        : sum,
    0,
  );
  const beforeG = tenth(BAG_G * (0.3 + 0.7 * random()));
  return { ...line, beforeG: tenth(beforeG * slip), afterG: tenth((beforeG - tookG) * slip) };
}

const tenth = (massG: number): number => Math.round(massG * 10) / 10;
