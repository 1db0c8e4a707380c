import { estimatePattern, onlyFibres } from '@lanakit/core/engine';
import { drawnFigure, putTogether, whatItTells } from '@lanakit/core/figure';
import { type Pattern, straightOut } from '@lanakit/core/pattern';
import { benchFibres, figureOf } from './core.ts';
import { type Row, time } from './measure.ts';

/** So many pieces: a body, and the others on it all round, each with its own place and details. */
export function placedFigure(parts: number): Pattern {
  const figure = figureOf(parts);
  return {
    ...figure,
    parts: figure.parts.map((part, at) => ({
      ...part,
      count: 1,
      ...(at === 0 && { shape: { kind: 'ball', diameter: { value: 200, unit: 'mm' } } }),
    })),
    joins: figure.joins.map((join, at) => ({
      ...join,
      ontoId: 'p0',
      placement: {
        rule: 'each',
        spanDeg: 360,
        heldBy: 'base',
        places: [straightOut((at * 137.5) % 360, 0.1 + (0.8 * at) / parts)],
      },
    })),
  };
}

export async function benchFigure(): Promise<Row[]> {
  const { fibres, findings, ...wool } = onlyFibres(new Map(benchFibres.map((fibre) => [fibre.id, fibre])));
  const build = placedFigure(60);
  const estimate = estimatePattern(build, { fibres, findings, ...wool });
  const together = putTogether(build, estimate, findings);
  let turnDeg = 0;
  return [
    await time(
      'the figure put together',
      '60 parts placed',
      () => putTogether(build, estimate, findings),
      100,
    ),
    await time(
      'the figure drawn, turned by 15° each time',
      '60 parts, 180 details',
      () => drawnFigure(together, build.parts, { kind: 'round', turnDeg: (turnDeg += 15) }),
      100,
    ),
    await time(
      'size, balance, hanging',
      '60 parts',
      () => whatItTells(together, build, estimate, findings),
      100,
    ),
  ];
}
