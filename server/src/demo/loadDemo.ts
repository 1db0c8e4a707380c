import { createHash } from 'node:crypto';
import type { Pile } from '@lanakit/core/needles';
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
import { sanitizeDrawing } from '../pictures.ts';
import { freezeNow } from '../runBook.ts';
import { todayOf, type StoreDeps } from '../routes/deps.ts';
import { kitOfRun } from '../routes/trays.ts';
import { DRAWINGS } from './drawings.ts';
import { balloon, beetle, beetleBeingChanged, octopus, pear, puffin } from './patterns.ts';
import { loadShelf } from './loadShelf.ts';
import { DEMO_TECHNIQUES, ROLLED_LIMB_NEXT } from './techniques.ts';
import type { DemoShelf } from './write.ts';

/** Fills an empty studio with the demo: shelf, five figures, three classes ahead. Call it inside a transaction. */
export function loadDemo({ store, now, newId }: StoreDeps): void {
  const at = now().toISOString();
  const shelf: DemoShelf = {
    ...loadShelf({ store, now, newId }),
    technique: putTechniques({ store, now, newId }),
  };
  putDrawings({ store, now, newId });
  // Each a minute after the one before, so that lists have an order: the pear was changed last.
  let minutesOn = -10;
  const write = (document: Pattern) => {
    const id = newId();
    minutesOn += 1;
    store.patterns.insert(id, document, new Date(now().getTime() + minutesOn * 60_000).toISOString());
    return id;
  };
  const publish = (patternId: string, document: Pattern, note = 'the first') => {
    const id = newId();
    store.patterns.publish(id, patternId, document, at, note);
    return id;
  };

  publish(write(balloon(shelf)), balloon(shelf));
  publish(write(beetleBeingChanged(shelf)), beetle(shelf));
  const octopusRevision = publish(write(octopus(shelf)), octopus(shelf));
  const puffinRevision = publish(write(puffin(shelf)), puffin(shelf));
  const pearId = write(pear(shelf));
  publish(pearId, withoutBlush(pear(shelf)));
  const pearRevision = publish(pearId, pear(shelf), 'a blush on one cheek, for those who want it');

  const plan = (
    run: Pick<RunInput, 'name' | 'date' | 'seats' | 'sparePacks' | 'revisionId'> & Partial<RunInput>,
  ): string => {
    const id = newId();
    store.runs.insert(id, { ...RUN_DEFAULTS, ...run }, at);
    return id;
  };
  const saturday = (weeks: number) => todayOf(saturdayAfter(now(), weeks));
  const past = plan({
    name: 'Autumn pears',
    date: saturday(-3),
    seats: 9,
    sparePacks: 1,
    revisionId: pearRevision,
    skill: 'first-timer',
  });
  countNeedles({ store, now, newId }, past, shelf.needle(38, 'triangular'));
  hasBeen({ store, now, newId }, past);
  plan({
    name: 'Saturday pears',
    date: saturday(0),
    seats: 11,
    sparePacks: 2,
    revisionId: pearRevision,
    skill: 'some',
    roster: SATURDAY_ROSTER,
    chooseBy: todayOf(new Date(now().getTime() + 24 * 3_600_000)),
    cost: { ...COST_DEFAULTS, hourlyWageMinor: 1800 },
  });
  plan({
    name: 'Puffin weekend',
    date: saturday(2),
    seats: 8,
    sparePacks: 1,
    revisionId: puffinRevision,
    bagging: 'session',
    demonstrations: 1,
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

/** A class that is over: frozen as it was, its day behind it; the shelf was counted after it. */
function hasBeen({ store, now }: StoreDeps, runId: string): void {
  const at = now().toISOString();
  const run = store.runs.find(runId);
  if (!run) return;
  const frozen = freezeNow(store, run, todayOf(now()), at);
  store.runs.setState(runId, run.version, { state: 'done', frozen }, at);
}

/** A class that has been: its needles counted out and in, two broken, one not found yet. */
function countNeedles({ store, now, newId }: StoreDeps, runId: string, needleId: string): void {
  const at = now().toISOString();
  const tap = (pile: Pile, amount: number) =>
    store.trays.tap(newId(), runId, { needleId, pile, amount }, '', at);
  tap('out', 14);
  tap('in', 11);
  tap('broken', 2);
  tap('missing', 1);
  const run = store.runs.find(runId);
  const line = run && kitOfRun(store, run).lines.find(({ needle }) => needle?.id === needleId);
  store.trays.close(runId, needleId, line?.exposureMinutes ?? 0, at);
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
function putTechniques({ store, now, newId }: StoreDeps): DemoShelf['technique'] {
  const at = now().toISOString();
  const ids = new Map(
    DEMO_TECHNIQUES.map((technique) => {
      const id = newId();
      store.techniques.insert(id, technique, at);
      return [technique.name, id] as const;
    }),
  );
  store.techniques.update(ids.get(ROLLED_LIMB_NEXT.name) ?? '', 1, ROLLED_LIMB_NEXT, at);
  return (name) => {
    const technique = store.techniques.findVersion(ids.get(name) ?? '', 1);
    if (!technique) throw new Error(`the demo has no technique ${name}`);
    return technique;
  };
}

function putDrawings({ store, now }: StoreDeps): void {
  for (const [id, { svg, width, height }] of Object.entries(DRAWINGS)) {
    const bytes = Buffer.from(sanitizeDrawing(svg));
    const sha256 = createHash('sha256').update(bytes).digest('hex');
    store.pictures.keep(
      id,
      { sha256, mime: 'image/svg+xml', width, height, large: bytes, small: bytes },
      now().toISOString(),
    );
  }
}
