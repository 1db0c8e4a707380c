import type { Pattern } from '@lanakit/core/pattern';
import { byGauge } from '@lanakit/core/shelf';
import { DRAWINGS } from '../drawings.ts';
import {
  at,
  extra,
  join,
  part,
  pattern,
  shapes,
  sits,
  size,
  step,
  thing,
  use,
  type DemoShelf,
} from '../write.ts';

/** Absolute beginners, two hours. */
export const pear = ({ fibre }: DemoShelf): Pattern =>
  pattern(
    { title: 'Pear with two leaves', heightMm: 96 },
    [
      part('Body', shapes.egg(74, 56, 0.38), fibre('chalk-core'), {
        coat: fibre('pear'),
        sample: { rolled: size(75), felted: size(54), massG: null, sizeFraction: 1 },
        uses: [
          use('dot', fibre('walnut'), { diameter: size(1.5), count: 5, words: 'a few freckles near the stalk', ...sits('ring', [at(-25, 0.86)], { spanDeg: 130 }) }),
          use('added', fibre('pear'), {
            amount: { form: 'hand', measure: 'pinch', count: 1 },
            words: 'where the core still shows',
            isIfNeeded: true,
          }),
        ],
      }),
      part('Stalk', shapes.limb(22, 6), fibre('walnut'), { firmness: 'solid' }),
      part('Leaf', shapes.flat(38, 20, 3), fibre('moss'), {
        count: 2,
        uses: [use('line', fibre('pear'), { length: size(30), words: 'one vein down the middle', ...sits('each', [at(0, 0.5, { twist: 90 })]) })],
      }),
      part('Blush', shapes.patch(26, 18, 'Body'), fibre('coral'), {
        amount: { form: 'hand', measure: 'pinch', count: 1 },
        words: 'a breath; less than you think',
        ...sits('each', [at(48, 0.5)], { heldBy: 'side' }),
      }),
    ],
    [
      step('roll', 'Roll the core **as tight as it goes** into an egg, folding both ends in as you roll. Tight now is ten minutes of stabbing saved.', ['Body'], 'make', 'core', 0, 4, {
        place: 'in-hand',
        readers: { kit: 'It is the large cream bag.', pattern: 'Weigh the chalk core first; the rest of the bag stays shut.' },
        cue: 'it holds its shape on the table and lies just inside the dashed outline',
        drawing: ['draw-roll', 'Both sides folded in, rolled from one end.'],
      }),
      step('felt', 'Felt all round. Turn it after every few stabs, so that no side goes flat.', ['Body'], 'felt', 'core', null, { low: 20, high: 30 }, {
        place: 'on-surface', stroke: 'toward-centre', depth: 'half',
        cue: 'it springs back when you squeeze it',
        checks: [{ look: 'the size', how: 'laid on the printed guide', pass: 'it fills the solid outline', remedy: 'too big: keep felting; too small: wrap a little more core on', returnToStepId: 'felt' }],
        drawing: ['draw-outline', 'Dashed: rolled. Solid: felted.'],
      }),
      step('neck', 'Draw in the pointed end with a ring of stabs a third of the way down. That is the pear’s neck; go round three times rather than deep once.', ['Body'], 'felt', 'shape', null, 8, {
        place: 'on-surface', stroke: 'toward-centre', depth: 'half',
        drawing: ['draw-neck', 'Straight at the middle, all the way round.'],
      }),
      step('coat', 'Lay the green over in two thin layers, the second **across** the first, and felt it on.', ['Body'], 'wrap', 'coat', null, 15, {
        place: 'on-surface', stroke: 'at-a-slant', depth: 'light',
        checks: [{ look: 'for cream between the green', how: 'in daylight, turning it', pass: 'no core shows', remedy: 'a wisp more there, not a handful' }],
        drawing: ['draw-coat', 'Second layer across the first.'],
      }),
      step('leaves', 'Lay out a leaf with a finger’s width to spare, felt it flat, fold the edges in along the dashed line, turn it over and felt again.', ['Leaf'], 'make', 'shape', null, 16, {
        place: 'on-template', stroke: 'edges-first', depth: 'through',
        repeat: { times: null, notes: ['first leaf', 'second: hold it against the first as you go'] },
        cue: 'it stands up by itself when you hold it at one end',
        drawing: ['draw-leaf', 'Edges in, then the middle.'],
      }),
      step('match', 'Lay the leaves on each other.', ['Leaf'], 'check', 'shape', 0, 1, {
        checks: [{ look: 'both leaves', how: 'one on the other', pass: 'they are alike to a needle’s width', remedy: 'add a wisp to the smaller; the larger one goes at the back', returnToStepId: 'leaves' }],
      }),
      step('stalk', 'Wind the tops tight and roll the stalk between damp palms, then felt it firm. **Leave one end loose**, as long as your thumbnail.', ['Stalk'], 'make', 'shape', null, 6, {
        place: 'in-hand', stroke: 'one-direction', depth: 'half', cue: 'it no longer bends',
        drawing: ['draw-tail', 'The loose end is what joins it.'],
      }),
      step('join', 'Spread the loose end of the stalk on top of the pear and stab it deep in, all round. Set the leaves at its foot and stab straight through their ends.', ['Stalk', 'Leaf', 'Body'], 'join', 'join', null, 10, {
        place: 'in-place', stroke: 'straight-down', depth: 'through', on: [['Stalk', 'Body'], ['Leaf', 'Stalk']],
        checks: [{ look: 'the stalk', how: 'pull it gently', pass: 'it does not lift', remedy: 'felt deeper from three sides, aiming under the stalk', returnToStepId: 'join' }],
      }),
      step('blush', 'A thin breath of coral on one cheek. Less than you think.', ['Blush', 'Body'], 'wrap', 'detail', null, 5, {
        place: 'on-surface', stroke: 'at-a-slant', depth: 'light',
        readers: { kit: '', pattern: 'As much as a coin would hide, pulled so thin that you see through it.' },
      }),
      step('finish', 'Fine needle all over. Snip what still stands off with scissors; *never* pull it.', ['Body'], 'felt', 'finish', null, 8, {
        place: 'on-surface', stroke: 'at-a-slant', depth: 'light', cue: 'no poke marks show at arm’s length',
        cautions: { added: ['blade'], dismissed: [] },
      }),
    ],
    DRAWINGS,
    {
      joins: [
        join('Stalk', 'Body', { sink: size(8), ...sits('each', [at(0, 1)]) }),
        join('Leaf', 'Stalk', { looseEnd: null, ...sits('mirror', [at(82, 0.6, { up: 16 })]) }),
      ],
      school: { kind: 'one', needle: byGauge(38, 'triangular') },
      options: [extra('a blush', true, thing('part', 'blush'), thing('step', 'blush'))],
      slots: [
        { id: 'skin', name: 'skin', places: [{ kind: 'use', id: 'body-2' }], rule: null },
        { id: 'leaf', name: 'leaf', places: [{ kind: 'use', id: 'leaf-1' }], rule: { is: 'darker', thanSlotId: 'skin' } },
      ],
      colourways: [
        { id: 'ripe', name: 'ripe', fills: [{ slotId: 'skin', fibreId: fibre('butter') }, { slotId: 'leaf', fibreId: fibre('moss') }] },
        { id: 'russet', name: 'russet', fills: [{ slotId: 'skin', fibreId: fibre('rust') }, { slotId: 'leaf', fibreId: fibre('walnut') }] },
      ],
      tools: [{ id: 'scissors', needKey: 'scissors', name: 'scissors', per: 'table', count: 1, isLeftOut: false }],
      levelReason: '',
      prerequisites: 'Nothing at all: this is the first thing you make.',
    },
  ); // prettier-ignore
