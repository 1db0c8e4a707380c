import type { HandSample } from '../learning/index.ts';
import type { Making } from './making.ts';
import { tookOfLine } from './took.ts';

/** What wisps, pinches and tufts weighed when the studio’s own maker took them. */
export const handSamplesOf = (making: Making): HandSample[] =>
  making.madeBy !== ''
    ? []
    : making.lines.flatMap(({ id, hand, ...line }) => {
        const massG = tookOfLine({ id, hand, ...line });
        if (!hand || massG === null || massG <= 0) return [];
        return [{ id: `${making.id}:${id}-hand`, name: hand.name, count: hand.count, massG }];
      });
