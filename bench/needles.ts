import { estimatePattern, onlyFibres } from '@lanakit/core/engine';
import {
  factsOfNeedle,
  factsOfSteps,
  fewestChanges,
  judgeNeedle,
  KIT_DEFAULTS,
  ladderOf,
  needleKit,
  type OrderingTask,
  orderingTask,
} from '@lanakit/core/needles';
import { BLANK_STEP, type Pattern } from '@lanakit/core/pattern';
import { BLANK_NEEDLE, byGauge, type Needle } from '@lanakit/core/shelf';
import { benchFibres, figureOf } from './core.ts';
import { time, type Row } from './measure.ts';
import { writtenFigure } from './writing.ts';

const needles: readonly Needle[] = Array.from({ length: 12 }, (_, at) => ({
  ...BLANK_NEEDLE,
  id: `n${at}`,
  version: 1,
  gauge: 32 + (at % 11),
  profile: at % 2 === 0 ? 'triangular' : 'star',
  reachMm: 20,
  onHand: 10,
  peak: 10,
}));

const GAUGES = [36, 38, 40, 42];

/** Twenty pieces, each worked three times, with needles that change at every step as it is written. */
function manySteps(count: number): Pattern {
  return {
    ...figureOf(20, 'Many changes'),
    steps: Array.from({ length: count }, (_, at) => ({
      ...BLANK_STEP,
      id: `s${at}`,
      text: 'Felt it.',
      act: { kind: 'felt' as const },
      partIds: [`p${(at * 7) % 20}`],
      needle: byGauge(GAUGES[(at * 5 + Math.floor(at / 3)) % GAUGES.length] ?? 38),
      minutes: 5,
    })),
  };
}

export async function benchNeedles(): Promise<Row[]> {
  const pattern = writtenFigure();
  const wool = onlyFibres(new Map(benchFibres.map((fibre) => [fibre.id, fibre])));
  const estimate = estimatePattern(pattern, wool);
  const ladder = ladderOf(pattern, estimate, wool, needles);
  const setting = { ...KIT_DEFAULTS, evidence: [], tools: [] };
  const skills = Array.from({ length: 200 }, () => KIT_DEFAULTS.skill);
  const sixty = orderingTask(manySteps(60));
  const tangled = tangledTask();
  return [
    await time('suitability of every needle', '12 needles, 200 steps', () => {
      const facts = factsOfSteps(pattern, estimate, wool);
      return needles.flatMap((needle) => [...facts.values()].map((step) => judgeNeedle(step, factsOfNeedle(needle))));
    }, 50),
    await time('the whole ladder', '12 needles, 200 steps', () => ladderOf(pattern, estimate, wool, needles), 50),
    await time('the kit of a room, with spares', '200 seats, 200 steps', () => needleKit([{ build: pattern, ladder, skills }], setting), 50),
    await time('fewer changes of needle', '60 steps, 20 pieces, 4 needles', () => fewestChanges(sixty), 5),
    await time('fewer changes, tangled', '60 steps in 6 chains, 6 needles', () => fewestChanges(tangled), 5),
  ]; // prettier-ignore
}

/** Six pieces worked ten times each, with needles at random: more orders than can be searched through. */
function tangledTask(): OrderingTask {
  const [chains, per] = [6, 10];
  let state = chains;
  const random = () => (state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0) / 4_294_967_296;
  return {
    needles: Array.from({ length: chains * per }, () => String(Math.floor(random() * 6))),
    before: Array.from({ length: chains * (per - 1) }, (_, at): [number, number] => [at, at + chains]),
  };
}
