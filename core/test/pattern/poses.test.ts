import { describe, expect, test } from '@jest/globals';
import { defaultBuild, posesChosen, resolveBuild } from '../../src/build/index.ts';
import { estimatePattern } from '../../src/engine/index.ts';
import { putTogether } from '../../src/figure/index.ts';
import {
  applyPose,
  blankPose,
  checkPattern,
  NO_CHOICES,
  type Pattern,
  placeInPose,
  type Pose,
  straightOut,
  UPRIGHT,
  withoutPart,
} from '../../src/pattern/index.ts';
import { resizePattern } from '../../src/resize/index.ts';
import { WOOL } from '../support/engine.ts';
import { mm, part, pattern, shapes } from '../support/make.ts';
import { placement } from '../support/places.ts';
import { joined } from '../support/writing.ts';

const standing = placement('each', [straightOut(0, 1)]);
const turned = placement('each', [straightOut(90, 0.5)]);
const sits: Pose = {
  id: 'sits',
  name: 'sits',
  stance: { ...UPRIGHT, rests: 'sits', pitchDeg: 20, flatAcross: mm(30) },
  places: [{ of: { kind: 'join', joinId: 'head-body' }, placement: turned }],
};
const value = (id: string, poseId?: string) => ({
  id,
  name: id,
  things: poseId === undefined ? [] : [{ kind: 'pose' as const, id: poseId }],
});
const figure = (more: Partial<Pattern> = {}): Pattern =>
  pattern([part('body', shapes.ball(60)), part('head', shapes.ball(40))], {
    joins: [joined('head', 'body', { looseEnd: null, sink: mm(5), placement: standing })],
    poses: [sits],
    options: [
      { id: 'how', name: 'how', kind: 'one-of', values: [value('up'), value('down', 'sits')], defaultValueId: 'up' },
    ],
    ...more,
  }); // prettier-ignore
const chosen = (valueId: string) => ({ ...NO_CHOICES, values: { how: valueId } });

describe('poses', () => {
  test('one is taken where the value that names it is chosen, and only there', () => {
    const build = figure();
    expect(checkPattern(build)).toEqual([]);
    expect(posesChosen(build, NO_CHOICES)).toEqual([]);
    expect(defaultBuild(build).joins[0]?.placement).toEqual(standing);
    const down = resolveBuild(build, chosen('down'));
    expect(down.joins[0]?.placement).toEqual(turned);
    expect(down.stance?.rests).toBe('sits');
  });
  test('one that no option names changes nothing', () => {
    const build = figure({ options: [] });
    expect(defaultBuild(build)).toEqual(build);
  });
  test('what it does not name stays, the wool too; the figure is another', () => {
    const build = figure();
    const [up, down] = ['up', 'down'].map((id) => resolveBuild(build, chosen(id)));
    if (!up || !down) throw new Error('two builds');
    const [upEstimate, downEstimate] = [up, down].map((each) => estimatePattern(each, WOOL));
    expect(downEstimate?.total).toEqual(upEstimate?.total);
    const headAt = (each: Pattern) =>
      putTogether(each, estimatePattern(each, WOOL), WOOL.findings).figure.pieces[1]?.frame.origin;
    expect(headAt(down)?.[0]).toBeGreaterThan(20);
    expect(headAt(up)?.[0]).toBeCloseTo(0, 9);
  });
  test('a pose leaves the pattern it is applied to as it was', () => {
    const build = figure();
    const before = structuredClone(build);
    applyPose(build, sits);
    expect(build).toEqual(before);
  });
  test('a place is kept once, the last one of it', () => {
    const pose = blankPose('p', 'p', null);
    placeInPose(pose, { kind: 'join', joinId: 'head-body' }, standing);
    placeInPose(pose, { kind: 'join', joinId: 'head-body' }, turned);
    expect(pose.places).toEqual(sits.places);
    expect(applyPose(figure(), pose).joins[0]?.placement).toEqual(turned);
  });
  test('with its part a place goes, and with another size its flat grows', () => {
    expect(withoutPart(figure(), 'head').poses[0]?.places).toEqual([]);
    expect(resizePattern(figure(), 2).poses[0]?.stance?.flatAcross).toEqual(mm(60));
  });
  test('a place of what is left out is passed over', () => {
    const lost: Pose = { ...sits, places: [{ of: { kind: 'join', joinId: 'gone' }, placement: turned }] };
    expect(applyPose(figure(), lost).joins).toEqual(figure().joins);
  });
});
