import { summariseBuilds } from '@lanakit/core/build';
import { onlyFibres } from '@lanakit/core/engine';
import { BLANK_STEP, checkPattern, type Option, type Pattern, patternChanges } from '@lanakit/core/pattern';
import { byGauge } from '@lanakit/core/shelf';
import { readReview } from '@lanakit/core/words';
import { cautionsOf, lifeLines, placeStep, readSteps, recognise } from '@lanakit/core/writing';
import { benchFibres, figureOf } from './core.ts';
import { time, type Row } from './measure.ts';

const EXTRAS = 12;
const STEPS = 200;

/** 60 parts, 200 steps with checks, 12 extras of one part each: what the writing is measured on. */
export function writtenFigure(title = 'A long one'): Pattern {
  const figure = figureOf(60, title);
  return {
    ...figure,
    stageNeedles: [{ stage: 'core', needle: byGauge(38) }],
    steps: Array.from({ length: STEPS }, (_, at) => ({
      ...BLANK_STEP,
      id: `s${at}`,
      text: `Felt part ${at % 60} all round, straight down and shallow, until it springs back; then turn it and go on.`,
      act: { kind: at % 4 === 3 && at % 60 > 0 ? ('join' as const) : ('make' as const) },
      partIds: at % 4 === 3 && at % 60 > 0 ? [`p${at % 60}`, `p${(at % 60) - 1}`] : [`p${at % 60}`],
      minutes: { low: 3, high: 6 },
      stroke: 'straight-down' as const,
      depth: 'light' as const,
      checks: [
        { id: `c${at}`, look: 'it', how: '', pass: 'it springs back', remedy: 'go on', returnToStepId: null },
      ],
    })),
    // Every fourth of the last parts, so that the extras neither meet nor hang from one another.
    options: Array.from({ length: EXTRAS }, (_, at): Option => ({
      id: `o${at}`,
      name: `extra ${at}`,
      kind: 'extra',
      defaultValueId: 'yes',
      values: [
        { id: 'yes', name: 'yes', things: [{ kind: 'use', id: `d${at * 5}` }] },
        { id: 'no', name: 'no', things: [] },
      ],
    })),
  };
}

let keys = 0;
const oneKeyMore = (pattern: Pattern): Pattern => ({
  ...pattern,
  steps: pattern.steps.map((step, at) =>
    at === 100 ? { ...step, text: `${step.text}${(keys += 1)}` } : step,
  ),
});

export async function benchWriting(): Promise<Row[]> {
  const pattern = writtenFigure();
  const shelf = onlyFibres(new Map(benchFibres.map((fibre) => [fibre.id, fibre])));
  const later = {
    ...pattern,
    steps: [...pattern.steps].reverse(),
    parts: pattern.parts.map((part) => ({ ...part, count: 2 })),
  };
  const long = Array.from({ length: 1100 }, (_, at) => `${at + 1}. Roll part ${at % 60} tight, 38 needle, 5-8 min, 5 g of fibre 3.`).join('\n').slice(0, 100_000); // prettier-ignore
  const names = { parts: pattern.parts, fibres: benchFibres, findings: [] };
  const size = '60 parts, 200 steps, 12 options';
  return [
    await time('all builds summed up', `${2 ** EXTRAS} builds; ${size}`, () => summariseBuilds(pattern, shelf), 5),
    await time('what changed, in words', size, () => patternChanges(pattern, later), 20),
    await time('may a step go there', size, () => placeStep(pattern, 's150', 10), 20),
    await time('life of every part', size, () => lifeLines(pattern), 50),
    await time('cautions of every step', size, () => cautionsOf(pattern, shelf), 50),
    // Another shelf each time, or the figure of the last would be kept.
    await time('the whole review, in words', size, () => readReview(pattern, { ...shelf }), 20),
    await time('the review after a key in a step', size, () => readReview(oneKeyMore(pattern), shelf), 20),
    await time('may it be stored', size, () => checkPattern(pattern), 50),
    await time('a pasted text read', '100 000 signs', () => readSteps(long).steps.map(({ text }) => recognise(text, names)), 5),
  ]; // prettier-ignore
}
