import { describe, expect, test } from '@jest/globals';
import { resolveBuild } from '../../src/build/index.ts';
import { NO_CHOICES, type Pattern, UPRIGHT } from '../../src/pattern/index.ts';
import { type Remark, remarksOf } from '../../src/review/index.ts';
import { mm, part, pattern, shapes, use } from '../support/make.ts';
import { reviewWool, say } from '../support/reviewed.ts';
import { joined } from '../support/writing.ts';

const spot = (aroundDeg: number, heightFraction: number, leanUpDeg = 0) => ({
  rule: 'each' as const,
  spanDeg: 360,
  heldBy: 'base' as const,
  places: [{ aroundDeg, heightFraction, leanUpDeg, leanAsideDeg: 0, twistDeg: 0 }],
});

/** A ball with a hat on top and, if chosen, a tall tuft on that or a heavy head out to one side. */
function withExtra(extraId: 'hat' | 'head', more: Partial<Pattern> = {}): Pattern {
  const extra =
    extraId === 'hat'
      ? { ...part('hat', shapes.limb(60, 14)), name: 'Hat' }
      : { ...part('head', shapes.ball(55)), name: 'Head', firmness: 'solid' as const };
  const at = extraId === 'hat' ? spot(0, 1, 90) : spot(90, 0.6);
  return pattern(
    [
      { ...part('body', shapes.ball(50), { coat: 'coat' }), name: 'Body' },
      { ...part('foot', shapes.ball(30)), name: 'Foot' },
      extra,
    ],
    {
      stance: { ...UPRIGHT, rests: 'lies' },
      sidesSeen: 'figure',
      joins: [
        joined('foot', 'body', { looseEnd: null, placement: spot(0, 0.5) }),
        joined(extraId, 'body', { looseEnd: null, placement: at }),
      ],
      steps: [
        say('body', 'make', ['body', 'foot', extraId], 'Roll the wool tight and felt it.'),
        say('on', 'join', ['body', 'foot', extraId], 'Stab them on.', { stage: 'join' }),
      ],
      options: [
        {
          id: 'more',
          name: 'something more',
          kind: 'extra',
          defaultValueId: 'no',
          values: [
            { id: 'yes', name: 'yes', things: [{ kind: 'part', id: extraId }] },
            { id: 'no', name: 'no', things: [] },
          ],
        },
      ],
      ...more,
    },
  );
}

const jar = (sizeMm: number) => ({
  id: 'jar',
  name: 'jar',
  shape: 'round' as const,
  findingId: null,
  across: mm(sizeMm),
  depth: null,
  height: mm(sizeMm),
  openingAcross: null,
  openingDepth: null,
});

const CODES = ['enclosure_too_small', 'figure_falls', 'fine_work_hidden', 'feature_does_not_fit'];
const ofFigure = (remarks: readonly Remark[]) => remarks.filter(({ code }) => CODES.includes(code));

describe('the figure put together in a build one choice away', () => {
  test.each<[what: string, figure: Pattern, codes: readonly string[]]>([
    ['with its hat too high for the jar', withExtra('hat', { enclosures: [jar(95)] }), ['enclosure_too_small']],
    ['with its hat, and the jar is high enough', withExtra('hat', { enclosures: [jar(200)] }), []],
    ['of what nobody has placed no word', withExtra('hat', { stance: null }), []],
    [
      'with its head over a dot that is seen without',
      withExtra('head', {
        parts: withExtra('head').parts.map((each) =>
          each.id === 'body'
            ? { ...each, uses: [...each.uses, use('dot', 'spot', 'coat', { diameter: mm(3), count: 1, placement: spot(90, 0.6) })] }
            : each,
        ),
      }),
      ['fine_work_hidden'],
    ],
  ])('%s', (_what, figure, codes) => {
    const found = ofFigure(remarksOf(figure, reviewWool));
    expect(found.map(({ code }) => code)).toEqual(codes);
    // Told of the choice that brings it about, and the same as is told of that build by itself.
    for (const { inBuild } of found) expect(inBuild).toEqual({ optionId: 'more', valueId: 'yes' });
    const build = resolveBuild(figure, { ...NO_CHOICES, values: { more: 'yes' } });
    const alone = ofFigure(remarksOf({ ...build, options: [] }, reviewWool));
    expect(found.map(({ inBuild: _inBuild, ...told }) => told)).toEqual(alone);
  });

  test('asked again after words were changed it says the same, and after the figure was it says what is so now', () => {
    const figure = withExtra('hat', { enclosures: [jar(95)] });
    const steps = figure.steps.map((step) => ({ ...step, text: `${step.text} Slowly.` }));
    for (const _again of [1, 2]) {
      expect(ofFigure(remarksOf({ ...figure, steps }, reviewWool))).toHaveLength(1);
    }
    const shorter = figure.parts.map((each) =>
      each.id === 'hat' ? { ...each, shape: shapes.limb(12, 14) } : each,
    );
    expect(ofFigure(remarksOf({ ...figure, parts: shorter }, reviewWool))).toEqual([]);
  });
}); // prettier-ignore
