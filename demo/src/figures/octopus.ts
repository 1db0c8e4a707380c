import type { Pattern, TechniqueUse } from '@lanakit/core/pattern';
import { byGauge } from '@lanakit/core/shelf';
import { insertTechnique } from '@lanakit/core/writing';
import { DRAWINGS } from '../drawings.ts';
import {
  at,
  extra,
  fitting,
  idOf,
  join,
  part,
  pattern,
  shapes,
  sits,
  size,
  step,
  swap,
  thing,
  use,
  useId,
  type DemoShelf,
} from '../write.ts';

/** Eight matched arms; a blend; arms by a technique. */
export function octopus(shelf: DemoShelf): Pattern {
  const limb = shelf.technique('Rolled limb');
  const arms: TechniqueUse = {
    id: 'arms',
    techniqueId: limb.id,
    name: limb.name,
    version: limb.version,
    partIds: [idOf('Arm')],
    values: [
      { key: 'length', value: '92 mm' },
      { key: 'thick', value: '15 mm' },
    ],
    rights: limb.rights,
  };
  const written = insertTechnique(withoutArms(shelf), limb, arms, 'head-on');
  return {
    ...written,
    steps: written.steps.map((step) =>
      step.technique ? { ...step, repeat: { times: null, notes: [] } } : step,
    ),
  };
}

const withoutArms = ({ fibre, finding }: DemoShelf): Pattern =>
  pattern(
    { title: 'Tide-pool octopus', heightMm: 84 },
    [
      part('Mantle', shapes.egg(64, 54, 0.45), fibre('oat-core'), {
        coat: fibre('tide-pool'),
        uses: [
          use('insert', null, { findingId: finding('Wooden bead 12 mm'), count: 3 }),
          use('dot', fibre('plum'), { diameter: size(4), count: 9, words: 'spots, larger toward the top', ...sits('ring', [at(15, 0.74)]) }),
        ],
      }),
      part('Head', shapes.ellipsoid(36, 44, 40), fibre('oat-core'), { coat: fibre('tide-pool') }),
      part('Arm', shapes.taper(92, 15, 4), fibre('plum'), {
        count: 8,
        amount: { form: 'shared', sharedId: 'arms' },
        words: '9.4 g of plum for all the arms and both bumps',
        uses: [
          use('coat', fibre('tide-pool'), {
            cover: { kind: 'share', fraction: 0.3 },
            thickness: { by: 'shading', passes: 2 },
            words: 'a veil over the upper third',
          }),
        ],
      }),
      part('Eye bump', shapes.ball(9), fibre('plum'), { count: 2, amount: { form: 'shared', sharedId: 'arms' } }),
      part('Eye', shapes.patch(6, 4, 'Eye bump'), fibre('butter'), {
        count: 2,
        ...sits('each', [at(0, 0.94)], { heldBy: 'side' }),
        uses: [use('line', fibre('soot'), { length: size(4), words: 'a bar for the pupil', ...sits('each', [at(0, 0.94)]) })],
      }),
      part('Sucker', shapes.byCount(), fibre('shell'), {
        count: { low: 24, high: 32 },
        amount: { form: 'relative', fraction: 0.5, ofUseId: useId('Eye', 1) },
        words: 'half of an eye each; as many as you have patience for',
      }),
      part('Plug', shapes.dome(null, 8), fibre('odds-core'), {
        derived: [{ from: 'finding', size: 'diameter', findingId: finding('Limpet shell'), clearance: size(2) }],
      }),
    ],
    [
      step('mantle', 'Roll the mantle round the three beads, so that they sit low: they are its ballast. Felt it; springy is enough.', ['Mantle'], 'make', 'core', null, 22, {
        place: 'on-surface', stroke: 'toward-centre', depth: 'half', holder: 3, cue: 'it springs back, and you cannot feel the beads',
        checks: [{ look: 'where it rolls to', how: 'put it down on its side', pass: 'it rights itself', remedy: 'open the wide end, push the beads down, close it with a wisp', returnToStepId: 'mantle' }],
        drawing: ['draw-roll', 'The beads go in with the first turn.'],
      }),
      step('head', 'Felt the head, as firm as the mantle.', ['Head'], 'make', 'core', null, 14, {
        place: 'on-surface', stroke: 'toward-centre', depth: 'half', cue: 'a thumb leaves only a small dent',
      }),
      step('head-on', 'Join the head under the mantle, deep and all round.', ['Head', 'Mantle'], 'join', 'join', null, 8, {
        place: 'in-place', stroke: 'toward-centre', depth: 'through', on: [['Head', 'Mantle']],
        drawing: ['draw-join', 'Through the small one into the large.'],
      }),
      step('sort', 'Sort the arms longest to shortest; the odd one goes at the back, where it does least harm.', ['Arm'], 'check', 'shape', 0, 4, {
        checks: [{ look: 'all eight side by side', how: 'laid on a ruler, weighed', pass: 'within 5 mm and 0.1 g of each other', remedy: 'add to the shortest; a long one is felted shorter from its tip', returnToStepId: 'arms-2' }],
      }),
      step('splay', 'Splay the eight loose ends under the head like the spokes of a wheel, tack all of them, then felt them in a ring.', ['Arm', 'Head'], 'join', 'join', 36, 25, {
        place: 'in-place', stroke: 'straight-down', depth: 'through', on: [['Arm', 'Head']],
        checks: [{ look: 'the spokes, after tacking', how: 'from below', pass: 'even gaps all round', remedy: 'pull off the one that crowds, and tack it again', returnToStepId: 'splay' }],
        drawing: ['draw-splay', 'Tack all before you felt any.'],
      }),
      step('coat', 'Coat mantle and head over the joins in one thin layer, and draw a veil over the upper third of each arm.', ['Mantle', 'Head', 'Arm'], 'wrap', 'coat', 38, 24, {
        place: 'on-surface', stroke: 'at-a-slant', depth: 'light', on: [['Head', 'Mantle']],
        drawing: ['draw-coat', 'Pulled thin.'],
      }),
      step('bumps', 'Two eye bumps, alike, low on the mantle where it meets the head.', ['Eye bump'], 'make', 'detail', 40, 6, {
        place: 'in-hand', stroke: 'toward-centre', depth: 'half',
        repeat: { times: null, notes: ['the figure’s left', 'the figure’s right'] },
      }),
      step('bumps-on', 'Set the bumps on, level.', ['Eye bump', 'Mantle'], 'join', 'detail', 40, 6, {
        place: 'in-place', stroke: 'edges-first', depth: 'half', on: [['Eye bump', 'Mantle']],
        checks: [{ look: 'both bumps', how: 'a needle laid across them', pass: 'the needle lies level', remedy: 'lift the higher one while it is only tacked' }],
      }),
      step('eyes', 'An eye of butter on each bump, thin, then a bar of soot across for the pupil. Dark on pale last.', ['Eye', 'Eye bump'], 'wrap', 'detail', 42, 8, {
        place: 'on-surface', stroke: 'edges-first', depth: 'light',
      }),
      step('spots', 'Nine plum spots, larger toward the top of the mantle.', ['Mantle'], 'felt', 'detail', 42, 6, {
        place: 'on-surface', stroke: 'straight-down', depth: 'light', cue: 'they lie flush; more stabs and they vanish',
      }),
      step('suckers', 'Suckers in two rows inside each arm, as many as you have patience for.', ['Sucker', 'Arm'], 'felt', 'detail', 42, { low: 25, high: 50 }, {
        place: 'on-surface', stroke: 'straight-down', depth: 'light',
        repeat: { times: 8, notes: [] },
      }),
      step('plug', 'Felt the plug to the inside of your own shell: measure it, no two are alike.', ['Plug'], 'make', 'mount', 36, 8, {
        place: 'in-hand', stroke: 'straight-down', depth: 'half',
        checks: [{ look: 'the fit', how: 'push it in', pass: 'it holds when you turn the shell over', remedy: 'wrap a little more on, or felt it smaller', returnToStepId: 'plug' }],
      }),
      step('plug-in', 'Glue the plug into the shell.', ['Plug'], 'glue', 'mount', 0, 3, { waiting: 120 }),
      step('curl', 'Curl each arm tip round a pencil and felt the inside of the curl.', ['Arm'], 'felt', 'finish', 40, 16, {
        place: 'in-hand', stroke: 'toward-centre', depth: 'half', cue: 'the curl stays when the pencil is gone',
        repeat: { times: null, notes: [] },
        drawing: ['draw-curl', 'Only the inside of the curl.'],
      }),
    ],
    DRAWINGS,
    {
      joins: [
        join('Head', 'Mantle', { looseEnd: null, cover: fibre('tide-pool'), across: size(30), ...sits('each', [at(0, 0)], { heldBy: 'middle' }) }),
        join('Arm', 'Head', sits('ring', [at(22.5, 0.72, { up: -22 })])),
        join('Eye bump', 'Mantle', { looseEnd: null, ...sits('mirror', [at(36, 0.3)]) }),
      ],
      findings: [fitting(finding('Limpet shell'), 1, null, 'shell')],
      shared: [{ id: 'arms', name: 'plum for the arms', massG: 9.4, highG: null, isWeighed: true }],
      stageNeedles: [
        { stage: 'core', needle: byGauge(36) },
        { stage: 'shape', needle: byGauge(38) },
        { stage: 'join', needle: byGauge(36) },
      ],
      options: [
        extra('suckers', true, thing('part', 'sucker'), thing('step', 'suckers')),
        extra('a shell to sit on', true, thing('part', 'plug'), thing('finding', 'shell'), thing('step', 'plug'), thing('step', 'plug-in')),
      ],
      slots: [
        { id: 'skin', name: 'skin', places: [{ kind: 'use', id: 'mantle-2' }, { kind: 'use', id: 'head-2' }, { kind: 'use', id: 'arm-2' }, { kind: 'join', id: 'head-mantle' }], rule: null },
      ],
      colourways: [{ id: 'rockpool', name: 'rockweed', fills: [{ slotId: 'skin', fibreId: fibre('rockweed') }] }],
      swaps: [swap('shiny', { kind: 'use', id: 'mantle-2' }, { kind: 'fibre', fibreId: fibre('wet-tide-pool') }, 'a wet mantle, with glint in it')],
      prerequisites: 'You have made one long limb before, or have the patience to make eight.',
      sidesSeen: 'figure',
    },
  ); // prettier-ignore
