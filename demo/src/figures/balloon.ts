import { type Pattern, UPRIGHT } from '@lanakit/core/pattern';
import { DRAWINGS } from '../drawings.ts';
import {
  at,
  cut,
  extra,
  fitting,
  join,
  part,
  pattern,
  seated,
  shapes,
  sits,
  size,
  step,
  thing,
  use,
  useId,
  type DemoShelf,
} from '../write.ts';

/** Hangs; sheet basket; cords. */
export const balloon = ({ fibre, finding }: DemoShelf): Pattern =>
  pattern(
    { title: 'Balloon mobile', heightMm: 170 },
    [
      part('Envelope', shapes.egg(96, 80, 0.58), fibre('chalk-core'), {
        coat: fibre('brine'),
        firmness: 'springy',
        packing: 'rolled',
        uses: [use('patch', fibre('buoy'), { length: size(92), width: size(12), count: 6, words: 'six stripes, crown to foot', ...sits('ring', [at(30, 0.5)]) })],
      }),
      part('Mouth ring', shapes.ring(null, 5), fibre('buoy'), {
        derived: [{ from: 'part', size: 'outer', partId: 'envelope', ofSize: 'diameter', ratio: 0.35 }],
      }),
      part('Pennant', shapes.fringe(60, 14), fibre('chalk-tops')),
      part('Cloud', shapes.ellipsoid(26, 52, 22), fibre('foam'), {
        count: 3,
        firmness: 'airy',
        amount: { form: 'equal-part', lotG: 2.8, parts: 3 },
        words: '2.8 g halved by eye into three',
        uses: [
          use('added', fibre('chalk-tops'), {
            amount: { form: 'trimmings', ofUseId: useId('Pennant', 1) },
            words: 'what was cut off the pennants, laid on loosely',
          }),
        ],
      }),
      part('Sandbag', shapes.byGrams(0.13), fibre('driftwood'), { count: 4, firmness: 'solid' }),
      part('Rope end', shapes.coil(70, 3, 1.5), fibre('walnut'), { firmness: 'solid' }),
    ],
    [
      step('hanger', 'Thread the hanging cord through the crown of a loose first roll, and knot it on a wisp inside: the coat will hide the hole.', ['Envelope'], 'sew', 'core', 0, 5, { leaves: 'rolled' }),
      step('envelope', 'Roll the rest round it and felt. **Springy, no more**: it is light because it is soft.', ['Envelope'], 'make', 'core', null, { low: 18, high: 26 }, {
        place: 'on-surface', stroke: 'toward-centre', depth: 'half', holder: 3, cue: 'it springs back and keeps its egg',
        drawing: ['draw-roll', 'Round the knotted cord.'],
      }),
      step('level', 'Hold it by the cord.', ['Envelope'], 'check', 'core', 0, 2, {
        checks: [{ look: 'the widest part', how: 'a needle half through at the crown, held up', pass: 'it hangs level', remedy: 'move the cord before you coat it', returnToStepId: 'hanger' }],
        drawing: ['draw-level', 'Before the coat, not after.'],
      }),
      step('coat', 'Coat it in brine, two thin layers.', ['Envelope'], 'wrap', 'coat', null, 22, {
        place: 'on-surface', stroke: 'at-a-slant', depth: 'light',
        drawing: ['draw-coat', 'Second layer across the first.'],
      }),
      step('stripes', 'Six stripes from crown to foot. **Tack all six before you felt any.**', ['Envelope'], 'felt', 'detail', null, 30, {
        place: 'on-surface', stroke: 'edges-first', depth: 'light',
        repeat: { times: 6, notes: [] },
        checks: [{ look: 'the gaps', how: 'from above', pass: 'they are even', remedy: 'move the tacked ones; nothing is felted yet', returnToStepId: 'stripes' }],
      }),
      step('ring', 'Roll the mouth ring thin and felt it firm; join its ends by felting them into each other.', ['Mouth ring'], 'make', 'shape', null, 10, {
        place: 'in-hand', stroke: 'toward-centre', depth: 'half',
      }),
      step('ring-on', 'Set the ring on the foot of the envelope, level, and cover the join with brine.', ['Mouth ring', 'Envelope'], 'join', 'join', null, 8, {
        place: 'in-place', stroke: 'straight-down', depth: 'half', on: [['Mouth ring', 'Envelope']],
        checks: [{ look: 'the ring', how: 'turn it under a lamp', pass: 'it does not wander', remedy: 'lift it where it is only tacked, and set it again' }],
      }),
      step('clouds', 'Three clouds, airy, hardly felted.', ['Cloud'], 'make', 'shape', null, 12, {
        place: 'on-surface', stroke: 'one-direction', depth: 'light', cue: 'they hold when you lift them',
        repeat: { times: null, notes: [] },
      }),
      step('sandbags', 'Four sandbags, solid.', ['Sandbag'], 'make', 'shape', null, 20, {
        place: 'in-hand', stroke: 'toward-centre', depth: 'half', cue: 'they do not dent',
        repeat: { times: null, notes: [] },
      }),
      step('sandbags-match', 'Weigh all four.', ['Sandbag'], 'check', 'shape', 0, 2, {
        checks: [{ look: 'their grams', how: 'on a scale to 0.01 g, or in your two hands', pass: 'they match', remedy: 'add a wisp to the lightest', returnToStepId: 'sandbags' }],
      }),
      step('basket', 'Bend the linen to a tube with its overlap inside, and sew the seam.', [], 'sew', 'mount', 0, 12),
      step('basket-hang', 'Hang the basket from four cords on the ring, all as long, and sew a sandbag where each is tied.', ['Sandbag', 'Mouth ring'], 'sew', 'mount', 0, 18, {
        checks: [{ look: 'the basket', how: 'hang it up', pass: 'it is level', remedy: 'shorten the cord on the low side by one knot' }],
      }),
      step('pennants', 'Pennants: lay them along a cord, fix one end, and trim them straight. **Keep what you cut off.**', ['Pennant'], 'cut', 'hair', { by: 'feel', feel: 'small' }, 12, {
        place: 'in-place', leaves: 'trimmed',
        checks: [{ look: 'the drop, before you cut', how: 'against the guide', pass: 'none is shorter than the line', remedy: 'pull the short ones out, lay others' }],
      }),
      step('trimmings', 'The trimmings go onto the clouds, laid on loosely.', ['Cloud'], 'wrap', 'detail', null, 5, {
        place: 'on-surface', stroke: 'at-a-slant', depth: 'light',
      }),
      step('clouds-on', 'Hang the clouds from the pennants’ cord with a stitch each, at three heights.', ['Cloud', 'Pennant'], 'sew', 'mount', 0, 6),
      step('rope', 'Coil the rope end and set it into the basket with three stabs.', ['Rope end'], 'make', 'detail', null, 5, {
        place: 'in-hand', stroke: 'along', depth: 'light', leaves: 'joined',
      }),
      step('bell', 'Sew the bell under the basket.', [], 'sew', 'mount', 0, 4),
      step('finish', 'Fine needle over the envelope, then hang it up and leave it until the cords have settled.', ['Envelope'], 'felt', 'finish', null, 8, {
        place: 'in-place', stroke: 'at-a-slant', depth: 'light', waiting: 60,
        checks: [{ look: 'the whole', how: 'from two sides, an hour later', pass: 'it hangs level', remedy: 'slide the hanging knot; snip nothing until it is right' }],
      }),
    ],
    DRAWINGS,
    {
      stance: { ...UPRIGHT, rests: 'hangs', hangAt: { partId: 'envelope', aroundDeg: 0, heightFraction: 1 } },
      joins: [
        join('Mouth ring', 'Envelope', { looseEnd: null, cover: fibre('brine'), across: size(28), band: 8, ...sits('each', [at(0, 0)], { heldBy: 'side' }) }),
      ],
      cuts: [
        cut('Basket cords', 'cord', finding('Waxed cord 1 mm'), { count: 4, drop: size(45), fold: size(6), knots: 2, ...seated('Mouth ring', 'down', sits('each', [at(90, 0.5), at(-90, 0.5), at(0, 0), at(0, 1)])) }),
        cut('Hanging cord', 'cord', finding('Waxed cord 1 mm'), { drop: size(300), knots: 1, ...seated('Envelope', 'up', sits('each', [at(0, 1)])) }),
        cut('Basket', 'tube-panel', finding('Basket linen'), { height: size(26), diameter: size(30), ...seated('Mouth ring', 'down', sits('each', [at(0, 0.5)]), 43) }),
        cut('Basket seam', 'binding', finding('Whisker thread'), { turns: 0, seam: size(26) }),
      ],
      findings: [fitting(finding('Bell 10 mm, brass'), 1, null, 'bell')],
      options: [extra('a bell', false, thing('finding', 'bell'), thing('step', 'bell'))],
      slots: [
        { id: 'sky', name: 'envelope', places: [{ kind: 'use', id: 'envelope-2' }, { kind: 'join', id: 'mouth-ring-envelope' }], rule: null },
        { id: 'stripe', name: 'stripes and ring', places: [{ kind: 'use', id: 'envelope-3' }, { kind: 'use', id: 'mouth-ring-1' }], rule: { is: 'darker', thanSlotId: 'sky' } },
      ],
      colourways: [
        { id: 'dawn', name: 'dawn', fills: [{ slotId: 'sky', fibreId: fibre('butter') }, { slotId: 'stripe', fibreId: fibre('coral') }] },
      ],
      links: [
        { id: 'hanger-first', beforeId: 'hanger', afterId: 'coat', strength: 'must', reason: 'the coat hides the hole' },
        { id: 'weigh-then-hang', beforeId: 'sandbags-match', afterId: 'basket-hang', strength: 'must', reason: 'unequal bags tip the basket' },
      ],
      school: { kind: 'by-feel' },
      prerequisites: 'You can sew a seam by hand.',
    },
  ); // prettier-ignore
