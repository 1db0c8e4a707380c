import { onlyFibres } from '@lanakit/core/engine';
import { guideOf, guideSvg } from '@lanakit/core/papers';
import { benchFibres } from './core.ts';
import { placedFigure } from './figure.ts';
import { type Row, time } from './measure.ts';

export async function benchGuide(): Promise<Row[]> {
  const wool = onlyFibres(new Map(benchFibres.map((fibre) => [fibre.id, fibre])));
  const build = placedFigure(40);
  const request = { title: 'Bench', builds: [{ build, whole: build, forWhom: '' }] };
  const guide = guideOf(request, wool, 'a4');
  return [
    await time('a guide laid out', '40 pieces placed, A4', () => guideOf(request, wool, 'a4'), 20),
    await time(
      'its pages as SVG',
      `${guide.pages.length} pages`,
      () => guide.pages.map((page) => guideSvg(page, 'a4')),
      20,
    ),
  ];
}
