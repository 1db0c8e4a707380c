import { describe, expect, test } from '@jest/globals';
import {
  afterAsked,
  afterLine,
  answerG,
  JUST_ASKED,
  NO_SCALE,
  type ScaleState,
  simulatedScale,
} from '../../src/scale/index.ts';

const says = (massG: number | null, isStable = true): ScaleState => ({
  ...NO_SCALE,
  isHere: true,
  massG,
  isStable,
});
const answerTo = (lines: readonly ScaleState[]) => answerG(lines.reduce(afterAsked, JUST_ASKED));

describe('a scale asked what lies there', () => {
  test.each<[string, readonly ScaleState[], number | null]>([
    ['said once it may be of before', [says(12.3)], null],
    ['said over and over it is sure', [says(12.3), says(12.3), says(12.3), says(12.3)], 12.3],
    ['another mass begins anew', [says(12.3), says(12.3), says(12.3), says(12.4)], null],
    ['what moves begins anew', [says(12.3), says(12.3), says(9, false), says(12.3), says(12.3)], null],
    ['nothing is no answer', [says(0), says(0), says(0), says(0), says(0)], null],
    ['less than nothing neither', [says(-1), says(-1), says(-1), says(-1)], null],
    ['unplugged it says nothing', [NO_SCALE, NO_SCALE, NO_SCALE, NO_SCALE], null],
    ['what it cannot weigh neither', [says(null), says(null), says(null), says(null)], null],
  ])('%s', (_what, lines, massG) => {
    expect(answerTo(lines)).toBe(massG);
  });

  test.each([1, 2, 3, 4, 5, 6])(
    'asked the moment another load is laid on, it never answers with the one before (noise %i)',
    (seed) => {
      const scale = simulatedScale(seed);
      let state: ScaleState = NO_SCALE;
      const hear = () => {
        for (const line of scale.after(0.1)) state = afterLine(state, line);
      };
      for (const [before, after] of [
        [12.3, 4],
        [4, 12.3],
        [2, 3],
        [60, 59],
      ] as const) {
        scale.do({ act: 'clear' });
        scale.do({ act: 'put', massG: before });
        for (let tenth = 0; tenth < 40; tenth++) hear();
        scale.do({ act: 'clear' });
        scale.do({ act: 'put', massG: after });
        // What stood there is told first, as to every page that begins to listen.
        let asking = afterAsked(JUST_ASKED, state);
        for (let tenth = 0; tenth < 60 && answerG(asking) === null; tenth++) {
          hear();
          asking = afterAsked(asking, state);
        }
        expect(Math.abs((answerG(asking) ?? 0) - after)).toBeLessThanOrEqual(0.2 + 1e-9);
      }
    },
  );
});
