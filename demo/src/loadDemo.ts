import { daysAfter } from '@lanakit/core/base';
import { type Pattern, withoutPart } from '@lanakit/core/pattern';
import {
  blankRecipe,
  blankSeat,
  type BoxDesign,
  type BoxRecipe,
  COST_DEFAULTS,
  RUN_DEFAULTS,
  type RunInput,
  type Seat,
  usualTerms,
  withBoxesCounted,
} from '@lanakit/core/run';
import { type Services, todayOf } from '@lanakit/server/services';
import { DRAWINGS } from './drawings.ts';
import { balloon, beetle, beetleBeingChanged, octopus, pear, puffin } from './patterns.ts';
import { AFTERNOON_PLAN, SATURDAY_PLAN, weekendPlan } from './classDays.ts';
import { loadAsked } from './loadAsked.ts';
import { loadBuying } from './loadBuying.ts';
import { loadLogbook } from './loadLogbook.ts';
import { loadShelf } from './loadShelf.ts';
import { DEMO_TECHNIQUES, ROLLED_LIMB_NEXT } from './techniques.ts';
import { type Clock, done } from './studio.ts';
import type { DemoShelf } from './write.ts';

/** Fills an empty studio with the demo: shelf, five figures, runs behind and ahead. Call it inside a transaction. */
export function loadDemo(servicesAt: Clock, now: Date): void {
  const services = servicesAt(now);
  const shelf: DemoShelf = { ...loadShelf(servicesAt, now), technique: putTechniques(services) };
  for (const [id, { svg, width, height }] of Object.entries(DRAWINGS))
    done(services.pictures.putDrawing(id, svg, { width, height }));
  const revisions = putFigures(servicesAt, now, shelf);
  planRuns(services, now, shelf, revisions);
  done(services.stock.count(shelf.needlesCounted));
  loadBuying(servicesAt, now, shelf);
  loadLogbook(servicesAt, now);
  loadAsked(servicesAt, now);
}

/** Revisions that runs make. */
interface FigureRevisions {
  readonly pear: string;
  readonly puffin: string;
  readonly octopus: string;
}

/** A minute apart, so that lists have an order: the pear was changed last. */
function putFigures(servicesAt: Clock, now: Date, shelf: DemoShelf): FigureRevisions {
  const { patterns } = servicesAt(now);
  const put = (minutesOn: number, published: Pattern, draft: Pattern | null = null) => {
    const then = servicesAt(new Date(now.getTime() + minutesOn * 60_000)).patterns;
    const { id, version } = done(then.begin(withDrawnSteps(published)));
    const revision = done(patterns.publish(id, version, 'the first'));
    if (draft) done(then.save(id, version, withDrawnSteps(draft)));
    return { id, revisionId: revision.id };
  };
  const pearIn = put(-5, withoutBlush(pear(shelf)), pear(shelf));
  put(-9, balloon(shelf));
  put(-8, beetle(shelf), beetleBeingChanged(shelf));
  const octopusIn = put(-7, { ...octopus(shelf), series: bySea(2) });
  const puffinIn = put(-6, {
    ...puffin(shelf),
    series: bySea(1),
    related: [
      { id: 'pear', relation: 'before', patternId: pearIn.id, title: 'Pear with two leaves', where: '' },
    ],
  });
  const { version } = done(patterns.find(pearIn.id));
  const news = 'a blush on one cheek, for those who want it';
  const { id: pearRevision } = done(patterns.publish(pearIn.id, version, news));
  return { pear: pearRevision, puffin: puffinIn.revisionId, octopus: octopusIn.revisionId };
}

const bySea = (number: number): Pattern['series'] => ({ name: 'By the sea', number });

/** Nobody in this studio had a camera: what has no drawing shows the figure as far as it is. */
const withDrawnSteps = (pattern: Pattern): Pattern => ({
  ...pattern,
  drawnStepIds: pattern.steps
    .filter(({ pictures, partIds }) => pictures.length === 0 && partIds.length > 0)
    .map(({ id }) => id),
});

/** A class of last year, one of this autumn, and five runs ahead. */
function planRuns(services: Services, now: Date, shelf: DemoShelf, made: FigureRevisions): void {
  const { pear: pearRevision, puffin: puffinRevision, octopus: octopusRevision } = made;
  const plan = (
    run: Pick<RunInput, 'name' | 'date' | 'seats' | 'sparePacks' | 'revisionId'> & Partial<RunInput>,
  ): string => done(services.runs.plan({ ...RUN_DEFAULTS, ...run })).id;
  const saturday = (weeks: number) => todayOf(saturdayAfter(now, weeks));
  const past = plan({
    name: 'Autumn pears',
    date: saturday(-3),
    seats: 9,
    sparePacks: 1,
    revisionId: pearRevision,
    skill: 'first-timer',
    plan: AFTERNOON_PLAN,
  });
  countNeedles(services, past, shelf.needle(38, 'triangular'));
  sayInClass(services, past, pearRevision, now);
  done(services.runs.recordDone(past));
  done(services.year.setTakings(past, 9 * 3800));
  const lastYear = plan({
    name: 'December pears',
    date: saturday(-52),
    seats: 8,
    sparePacks: 1,
    revisionId: pearRevision,
    skill: 'some',
    plan: AFTERNOON_PLAN,
  });
  done(services.runs.recordDone(lastYear));
  plan({
    name: 'Saturday pears',
    date: saturday(0),
    seats: 11,
    sparePacks: 2,
    revisionId: pearRevision,
    skill: 'some',
    roster: SATURDAY_ROSTER,
    chooseBy: todayOf(new Date(now.getTime() + 24 * 3_600_000)),
    cost: { ...COST_DEFAULTS, hourlyWageMinor: 1800 },
    plan: SATURDAY_PLAN,
  });
  plan({
    name: 'Puffin weekend',
    date: saturday(2),
    seats: 8,
    sparePacks: 1,
    revisionId: puffinRevision,
    bagging: 'session',
    demonstrations: 1,
    plan: weekendPlan(daysAfter(saturday(2), 1)),
    ...usualTerms('class'),
  });
  plan({
    ...kitsOf([
      {
        ...blankRecipe('coast-trio', puffinRevision),
        name: 'Coast trio',
        boxes: 24,
        spares: 1,
        designs: [puffinRevision, octopusRevision, pearRevision].map(inBox(1)),
        packaging: [shelf.finding('Kit box 140 × 100 mm'), shelf.finding('Tissue sheet')].map(oneEach),
      },
    ]),
    name: 'Coast trio boxes',
    date: saturday(5),
  });
  plan({
    ...kitsOf([
      {
        ...blankRecipe('three-pears', pearRevision),
        name: 'Three pears',
        boxes: 6,
        designs: [inBox(3)(pearRevision)],
        packaging: [oneEach(shelf.finding('Kit box 90 × 90 mm'))],
      },
    ]),
    name: 'Pears by the three',
    date: saturday(4),
  });
  plan({
    name: 'Tide-pool evening',
    date: saturday(3),
    seats: 6,
    sparePacks: 1,
    revisionId: octopusRevision,
  });
}

const inBox =
  (copies: number) =>
  (revisionId: string): BoxDesign => ({
    revisionId,
    copies,
    choices: { values: {}, colourwayId: null, swapIds: [] },
  });

const oneEach = (findingId: string) => ({ findingId, count: 1 });

/** A batch of kits, its boxes counted. */
function kitsOf(recipes: readonly BoxRecipe[]): RunInput {
  return withBoxesCounted({
    ...RUN_DEFAULTS,
    kind: 'kits',
    name: 'Kits',
    date: '',
    revisionId: '',
    recipes: [...recipes],
    wantedChance: null,
    cost: { ...COST_DEFAULTS, hourlyWageMinor: 1800 },
  });
}

const choosing = (colourwayId: string | null, blush: 'yes' | 'no' = 'yes') => ({
  values: { 'a-blush': blush },
  colourwayId,
  swapIds: [],
});

type Told = Partial<Omit<Seat, 'seat' | 'name'>>;

/** Eleven made-up people: most have chosen, one is left-handed, two come for the first time, two have not said. */
const SATURDAY_ROSTER: Seat[] = (
  [
    ['Ines', { choices: choosing(null) }],
    ['Bram', { choices: choosing(null), skill: 'first-timer' }],
    ['Tove', { choices: choosing('russet') }],
    ['Lio', { choices: choosing(null, 'no') }],
    ['Oda', { choices: choosing(null) }],
    ['Mara', { choices: choosing('russet') }],
    ['Pim', { isLeftHanded: true }],
    ['Jun', { choices: choosing(null), skill: 'first-timer', avoids: ['mothproofed'] }],
    ['Sef', {}],
    ['Wil', { choices: choosing('russet') }],
    ['Ane', { choices: choosing(null), note: 'comes a quarter of an hour late' }],
  ] satisfies readonly (readonly [string, Told])[]
).map(([name, told], at) => ({ ...blankSeat(at + 1), name, ...told }));

/** From which device it is said to come. */
const DEVICE = 'this machine';

/** A class that has been: its needles counted out and in, two broken, one not found. */
function countNeedles({ trays }: Services, runId: string, needleId: string): void {
  done(trays.tap(runId, { key: 'demo-out', needleId, pile: 'out', amount: 14 }, DEVICE));
  done(trays.tap(runId, { key: 'demo-in', needleId, pile: 'in', amount: 11 }, DEVICE));
  done(trays.tap(runId, { key: 'demo-broken', needleId, pile: 'broken', amount: 2 }, DEVICE));
  done(trays.close(runId, DEVICE));
}

/** What was said in it, at which step: for the next revision to answer. */
function sayInClass({ classDays }: Services, runId: string, revisionId: string, now: Date): void {
  const notes = [
    ['trouble', 'coat', 'Green came off again on the needle: two of nine laid it too thick at once.'],
    ['question', 'leaves', 'How do I know that the leaf is felted through?'],
    ['idea', null, 'Show the finished stalk before the leaves.'],
  ] as const;
  notes.forEach(([sort, stepId, text], at) =>
    done(
      classDays.add(
        runId,
        {
          key: `demo-said-${at}`,
          at: now.toISOString(),
          from: 'demo',
          seen: 0,
          what: { act: 'said', sort, revisionId, stepId, partId: null, seatKey: null, text },
        },
        DEVICE,
      ),
    ),
  );
}

/** The first Saturday at least two days off, then `weeks` later. */
function saturdayAfter(today: Date, weeks: number): Date {
  const date = new Date(today);
  date.setDate(date.getDate() + 2);
  date.setDate(date.getDate() + ((6 - date.getDay() + 7) % 7) + 7 * weeks);
  return date;
}

/** How the pear was first published. */
function withoutBlush(document: Pattern): Pattern {
  const blush = document.parts.find((part) => part.name === 'Blush')?.id;
  if (blush === undefined) return document;
  const bare = withoutPart({ ...document, options: [] }, blush);
  return { ...bare, steps: bare.steps.filter(({ id }) => id !== 'blush') };
}

/** Techniques at their first version; the first of them has moved on since the octopus was written. */
function putTechniques({ techniques }: Services): DemoShelf['technique'] {
  const ids = new Map(
    DEMO_TECHNIQUES.map((technique) => [technique.name, done(techniques.begin(technique)).id] as const),
  );
  done(techniques.save(ids.get(ROLLED_LIMB_NEXT.name) ?? '', 1, ROLLED_LIMB_NEXT));
  return (name) => done(techniques.findVersion(ids.get(name) ?? '', 1));
}
