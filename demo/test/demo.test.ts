import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { defaultBuild, resolveBuild, summariseBuilds, sumsOf, unmetNeeds } from '@lanakit/core/build';
import {
  stepTotals,
  checkPattern,
  missingForPublishing,
  NO_CHOICES,
  type Pattern,
  upgradePattern,
} from '@lanakit/core/pattern';
import { guideOf } from '@lanakit/core/papers';
import { stepPicture } from '@lanakit/core/reading';
import { remarksOf } from '@lanakit/core/review';
import { remarkWords } from '@lanakit/core/words';
import { shelfOf } from '../../server/src/services/runSources.ts';
import { NOW, openStudio, type Studio } from '../../server/test/support/studio.ts';
import { loadDemo } from '../src/index.ts';

describe('the five figures of the demo, as published', () => {
  let studio: Studio;
  let figures: Pattern[];
  beforeAll(() => {
    studio = openStudio();
    loadDemo(studio.servicesAt, NOW);
    const newest = new Map(
      studio.deps.store.patterns.published().map((revision) => [revision.document.title, revision]),
    );
    for (const revision of studio.deps.store.patterns.published()) {
      const other = newest.get(revision.document.title);
      if (!other || revision.number > other.number) newest.set(revision.document.title, revision);
    }
    figures = [...newest.values()].map(({ document }) => document);
  });
  afterAll(() => studio.close());

  test('are all there, possible and complete', () => {
    expect(figures.map(({ title }) => title).sort()).toEqual([
      'Balloon mobile',
      'Harbour puffin',
      'Pear with two leaves',
      'Stag beetle brooch',
      'Tide-pool octopus',
    ]);
    for (const figure of figures) {
      expect([figure.title, ...checkPattern(figure), ...missingForPublishing(figure)]).toEqual([
        figure.title,
      ]);
      expect(upgradePattern(figure)).toBe(figure);
    }
  });
  test('take as long as their author timed them: steps of techniques too are timed whole', () => {
    const minutes = figures.map((figure) => [
      figure.title,
      Math.round(stepTotals(defaultBuild(figure)).minutes.known),
    ]);
    expect(Object.fromEntries(minutes)).toMatchObject({
      'Tide-pool octopus': 4 * 60 + 18,
      'Harbour puffin': 4 * 60 + 27,
      'Pear with two leaves': 98,
      'Balloon mobile': 3 * 60 + 19,
    });
  });
  test('leave nothing for a reader to stumble over', () => {
    const wool = shelfOf(studio.deps.store);
    const found = figures.flatMap((figure) =>
      remarksOf(figure, wool).map(
        (finding) => `${figure.title}: ${JSON.stringify(finding)} ${remarkWords(finding, figure)}`,
      ),
    );
    expect(found).toEqual([]);
  });
  test('leave nothing to stumble over in any build that may be chosen', () => {
    const wool = shelfOf(studio.deps.store);
    const CHOSEN = { options: [], limits: [], slots: [], colourways: [], swaps: [] };
    // Of the pattern as a whole: a tool or a picture for another build lies there all the same.
    const ofTheWhole = new Set(['tool_not_used', 'picture_never_shown']);
    const found = figures.flatMap((figure) =>
      (summariseBuilds(figure, wool) ?? []).flatMap(({ values }) =>
        remarksOf({ ...resolveBuild(figure, { ...NO_CHOICES, values }), ...CHOSEN }, wool)
          .filter(({ code }) => !ofTheWhole.has(code))
          .map((remark) => `${figure.title} ${JSON.stringify(values)}: ${JSON.stringify(remark)}`),
      ),
    );
    expect(found).toEqual([]);
  });
  test('hold together in every build that may be chosen', () => {
    const wool = shelfOf(studio.deps.store);
    for (const figure of figures) {
      for (const { values } of summariseBuilds(figure, wool) ?? []) {
        const build = resolveBuild(figure, { ...NO_CHOICES, values });
        expect([figure.title, values, ...checkPattern(build), ...unmetNeeds(figure, build)]).toEqual([
          figure.title,
          values,
        ]);
      }
    }
  });
  test('add up, build by build, to what each comes to by itself', () => {
    const wool = shelfOf(studio.deps.store);
    for (const figure of figures) {
      for (const { values, likelyG, minutes, pieces } of summariseBuilds(figure, wool) ?? []) {
        const chosenSums = sumsOf(resolveBuild(figure, { ...NO_CHOICES, values }), wool);
        expect(likelyG).toBeCloseTo(chosenSums.likelyG, 9);
        expect([figure.title, values, minutes, pieces]).toEqual([
          figure.title,
          values,
          chosenSums.minutes,
          chosenSums.pieces,
        ]);
      }
    }
  });
  test('have a picture of every step that works on something, a guide with every piece, and a place card', () => {
    const wool = shelfOf(studio.deps.store);
    for (const figure of figures) {
      const build = defaultBuild(figure);
      const unseen = build.drawnStepIds.filter((stepId) => stepPicture(build, stepId, wool) === null);
      expect([figure.title, unseen]).toEqual([figure.title, []]);
      const { pages, missing } = guideOf({ title: figure.title, builds: [{ build, whole: figure, forWhom: '' }] }, wool, 'a4');
      const words = pages.flatMap(({ items }) => items.flatMap((item) => (item.kind === 'text' ? [item.text] : []))).join('\n');
      for (const { name } of build.parts) expect([figure.title, words]).toEqual([figure.title, expect.stringContaining(name)]);
      expect([figure.title, words]).toEqual([figure.title, expect.stringContaining('Place card of')]);
      // What is only counted or weighed has no size of its own; everything else is drawn.
      expect(missing.filter((line) => !line.includes('no size of its own'))).toEqual([]);
    }
  }); // prettier-ignore
  test('say, between them, everything a step can say', () => {
    const steps = figures.flatMap((figure) => figure.steps);
    const acts = new Set(steps.map(({ act }) => act.kind));
    expect([...acts].sort()).toEqual([
      'check',
      'choose',
      'cut',
      'decide',
      'felt',
      'glue',
      'join',
      'make',
      'sew',
      'stand-in',
      'tack',
      'wait',
      'wrap',
    ]);
    expect(steps.some(({ technique }) => technique !== null)).toBe(true);
    expect(steps.some(({ pictures }) => pictures.length > 0)).toBe(true);
    expect(steps.some(({ recallsStepId }) => recallsStepId !== null)).toBe(true);
    expect(steps.some(({ readers }) => readers.kit !== '' && readers.pattern !== '')).toBe(true);
    expect(figures.some(({ sessions }) => sessions.length === 2)).toBe(true);
    for (const list of ['options', 'colourways', 'swaps', 'links', 'tools'] as const) {
      expect([list, figures.some((figure) => figure[list].length > 0)]).toEqual([list, true]);
    }
  });
});
