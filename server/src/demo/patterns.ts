import type { Pattern } from '@lanakit/core';
import { cut, fitting, join, part, pattern, shapes, size, use, useId, type DemoShelf } from './write.ts';

/** The puffin’s wing, drawn by hand: rounded at the shoulder, pointed at the tip. */
const WING = 'M30 0C46 2 58 18 60 40C62 66 52 96 30 130C26 134 22 132 21 127C8 98 0 70 2 42C4 18 14 -2 30 0Z';

/** Absolute beginners, two hours. */
export const pear = ({ fibre }: DemoShelf): Pattern =>
  pattern(
    { title: 'Pear with two leaves', level: 'first-timer', heightMm: 96 },
    [
      part('Body', shapes.egg(74, 56, 0.38), fibre('chalk-core'), {
        coat: fibre('pear'),
        sample: { rolled: size(75), felted: size(54), massG: null },
        uses: [
          use('dot', fibre('walnut'), { diameter: size(1.5), count: 5, words: 'a few freckles near the stalk' }),
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
        uses: [use('line', fibre('pear'), { length: size(30), words: 'one vein down the middle' })],
      }),
      part('Blush', shapes.patch(26, 18, 'Body'), fibre('coral'), {
        amount: { form: 'hand', measure: 'pinch', count: 1 },
        words: 'a breath; less than you think',
      }),
    ],
    [
      ['Roll the core as tight as it goes into an egg, folding the ends in as you roll. Hold it against the dashed outline.', ['Body'], 'core', 38, 3],
      ['Felt all round, aiming at the centre, turning after every few stabs. Stop when it springs back and fits the solid outline.', ['Body'], 'core', 38, 25],
      ['Draw the pointed end in with a ring of stabs a third of the way down: that is the pear’s neck.', ['Body'], 'shape', 38, 8],
      ['Lay the green over in two thin layers, the second across the first, and felt it on at a slant, shallow.', ['Body'], 'coat', 38, 15],
      ['Lay out both leaves with a finger’s width to spare, felt flat on the pad, fold the edges in and felt again from the other side.', ['Leaf'], 'shape', 38, 16],
      ['Roll the stalk between wet palms, then felt it firm, leaving one end loose.', ['Stalk'], 'shape', 38, 6],
      ['Needle the loose end of the stalk deep into the top; set the leaves at its foot and stab straight through their ends.', ['Stalk', 'Leaf', 'Body'], 'join', 38, 10],
      ['A thin breath of coral on one cheek. Less than you think.', ['Blush', 'Body'], 'detail', 40, 5],
      ['Fine needle all over, shallow, at a slant. Snip what still stands off; never pull.', ['Body'], 'finish', 40, 8],
    ],
    { joins: [join('Stalk', 'Body', { sink: size(8) }), join('Leaf', 'Stalk', { looseEnd: null })] },
  ); // prettier-ignore

/** Stands; coat by contrast. */
export const puffin = ({ fibre, finding }: DemoShelf): Pattern =>
  pattern(
    { title: 'Harbour puffin', level: 'some-practice', heightMm: 118 },
    [
      part('Body', shapes.egg(82, 60), fibre('chalk-core'), {
        coat: fibre('slate'),
        uses: [
          use('coat', fibre('chalk-tops'), {
            cover: { kind: 'patch', length: size(56), width: size(38) },
            words: 'the belly, white last',
          }),
          use('hair', fibre('slate'), { line: size(16), drop: size(14), weight: 'medium', fixed: 'end', words: 'a stub of a tail' }),
        ],
      }),
      part('Head', shapes.ellipsoid(42, 40, 40), fibre('chalk-core'), { coat: fibre('slate') }),
      part('Wing', shapes.outline(WING, 52, 5), fibre('slate'), { count: 2 }),
      part('Leg', shapes.sleeve(30, 8, 1.2), fibre('marigold'), { count: 2, firmness: 'solid' }),
      part('Foot', shapes.flat(24, 18, 3), fibre('marigold'), { count: 2, firmness: 'solid' }),
      part('Beak', shapes.taper(24, 17, 5), fibre('chalk-core'), {
        coat: fibre('marigold'),
        firmness: 'solid',
        uses: [use('line', fibre('soot'), { length: size(34), count: 2, words: 'two grooves across' })],
      }),
      part('Cheek', shapes.patch(18, 16, 'Head'), fibre('foam'), { count: 2 }),
    ],
    [
      ['Roll the body core as tight as it goes into an egg. Fold the edges in as you roll.', ['Body'], 'core', 38, 4],
      ['Felt toward the centre until it springs back. Make it a little under size; the coat adds the rest.', ['Body'], 'core', 38, 35],
      ['Roll and felt the head, firmer than the body: it carries the face.', ['Head'], 'core', 38, 20],
      ['Flatten the underside so that it sits: straight down inside a scored ring.', ['Body'], 'shape', 38, 5],
      ['Set the head on, tack, look from the front and from above, then felt deep all round.', ['Head', 'Body'], 'join', 36, 10],
      ['Lay slate over back and head in two thin layers, a thumb’s width past the belly line.', ['Body', 'Head'], 'coat', 38, 25],
      ['Lay the belly in chalk, white last, so that no slate strays into it. Edges first.', ['Body'], 'coat', 40, 10],
      ['Make both wings together, folding the edges in. Compare them; weigh them.', ['Wing'], 'shape', 38, 22],
      ['Set the wings at the shoulder and felt the front edge only.', ['Wing', 'Body'], 'join', 38, 8],
      ['Fold the wire double, twist it, and wrap both legs, starting at the foot. Curl the ends back flat.', ['Leg'], 'skeleton', 38, 14],
      ['Felt both feet flat and notch two webs into the front.', ['Foot'], 'shape', 38, 12],
      ['Join feet to legs, then legs to body. Stand it up before you felt them deep.', ['Foot', 'Leg', 'Body'], 'join', 36, 15],
      ['Felt the beak solid, coat it, flatten its sides, and set it on.', ['Beak', 'Head'], 'detail', 40, 18],
      ['Cheeks, thin, edges first.', ['Cheek', 'Head'], 'detail', 40, 8],
      ['Eyes, level: sight across from the front before you sew the second.', ['Head'], 'detail', null, null],
      ['Fine needle all over. Tap the table: it should stay up.', ['Body', 'Head', 'Wing'], 'finish', 42, 15],
    ],
    {
      joinsApart: true,
      joins: [
        join('Head', 'Body', { looseEnd: null, cover: fibre('slate'), across: size(30), sink: size(5) }),
        join('Wing', 'Body', { looseEnd: { partId: 'wing', length: size(12) } }),
        join('Leg', 'Body', { method: 'wired', looseEnd: null, cover: fibre('slate') }),
        join('Foot', 'Leg', { looseEnd: null, cover: fibre('marigold') }),
        join('Beak', 'Head', { looseEnd: { partId: 'beak', length: size(8) }, sink: size(3) }),
      ],
      cuts: [
        cut('Leg wire', 'wire', finding('Wire 1.2 mm, annealed'), {
          segments: [
            { name: 'left leg', partId: 'leg', length: null, strands: 2, isTwisted: true },
            { name: 'through the body', partId: null, length: size(36), strands: 1, isTwisted: false },
            { name: 'right leg', partId: 'leg', length: null, strands: 2, isTwisted: true },
            { name: 'toes, three each', partId: null, length: size(14), strands: 6, isTwisted: false },
          ],
          endCurls: 2,
        }),
        cut('Leg covering', 'covering', finding('Fuzzy stem 6 mm, orange'), {
          count: 2,
          over: size(30),
          pitch: size(6),
          aroundDiameter: size(2.4),
        }),
      ],
      findings: [fitting(finding('Bead eye 4 mm, black'), 2, 'Head')],
    },
  ); // prettier-ignore

/** Eight matched arms; a blend. */
export const octopus = ({ fibre, finding }: DemoShelf): Pattern =>
  pattern(
    { title: 'Tide-pool octopus', level: 'practised', heightMm: 84 },
    [
      part('Mantle', shapes.egg(64, 54, 0.45), fibre('oat-core'), {
        coat: fibre('tide-pool'),
        uses: [
          use('insert', null, { findingId: finding('Wooden bead 12 mm'), count: 3 }),
          use('dot', fibre('plum'), { diameter: size(4), count: 9, words: 'spots, larger toward the top' }),
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
        uses: [use('line', fibre('soot'), { length: size(4), words: 'a bar for the pupil' })],
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
      ['Roll and felt the mantle; springy is enough.', ['Mantle'], 'core', 36, 22],
      ['Felt the head and join it under the mantle.', ['Head', 'Mantle'], 'join', 36, 18],
      ['Roll eight arms, one after another, weighing each. Leave the thick ends loose.', ['Arm'], 'shape', 38, 70],
      ['Sort the arms longest to shortest; the odd one goes at the back.', ['Arm'], 'shape', null, 4],
      ['Splay the loose ends under the head and felt them in a ring.', ['Arm', 'Head'], 'join', 36, 25],
      ['Coat mantle and head over the joins in one thin layer.', ['Mantle', 'Head'], 'coat', 38, 20],
      ['Eye bumps, then eyes, then a thin bar for each pupil.', ['Eye bump', 'Eye'], 'detail', 40, 14],
      ['Suckers in two rows inside each arm, as many as you have patience for.', ['Sucker', 'Arm'], 'detail', 40, 40],
      ['Felt the plug into the shell, so that the octopus can sit on it.', ['Plug'], 'mount', 36, 10],
      ['Curl the arm tips round a pencil and felt the inside of each curl.', ['Arm'], 'finish', 40, 16],
    ],
    {
      joins: [
        join('Head', 'Mantle', { looseEnd: null, cover: fibre('tide-pool'), across: size(30) }),
        join('Arm', 'Head'),
        join('Eye bump', 'Mantle', { looseEnd: null }),
      ],
      findings: [fitting(finding('Limpet shell'), 1)],
      shared: [{ id: 'arms', name: 'plum for the arms', massG: 9.4, isWeighed: true }],
    },
  ); // prettier-ignore

/** Flat on felt sheet, still being worked out. */
export const beetle = ({ fibre, finding }: DemoShelf): Pattern =>
  pattern(
    { title: 'Stag beetle brooch', level: 'some-practice', heightMm: 62 },
    [
      part('Wing cases', shapes.flat(36, 26, 7), fibre('odds-core'), {
        coat: fibre('rust'),
        uses: [use('line', fibre('soot'), { length: size(34), words: 'where the wing cases meet' })],
      }),
      part('Shield', shapes.flat(24, 13, 6), fibre('odds-core'), { coat: fibre('walnut') }),
      part('Head', shapes.flat(18, 11, 5), fibre('walnut')),
      part('Jaw', shapes.taper(22, 6, 2), null, { count: 2, firmness: 'solid' }),
      part('Leg', { kind: 'limb', length: { value: 20, unit: 'mm' }, diameter: null }, fibre('soot'), { count: 6 }),
    ],
    [
      ['Felt the wing cases onto the sheet, edges first, straight down and shallow.', ['Wing cases'], 'core', 38, 14],
      ['Rust over, then one dark line down the middle.', ['Wing cases'], 'coat', 40, 12],
      ['Shield and head, each overlapping the one behind.', ['Shield', 'Head'], 'shape', 38, 12],
      ['Jaws: bend while still soft.', ['Jaw'], 'detail', null, null],
    ],
    {
      joins: [join('Head', 'Shield', { looseEnd: null })],
      cuts: [
        cut('Feelers', 'whisker', finding('Wire 0.6 mm, black'), { count: 2, span: size(26), margin: size(20) }),
      ],
      findings: [fitting(finding('Pin back 25 mm'), 1)],
    },
  ); // prettier-ignore

/** Hangs. */
export const balloon = ({ fibre, finding }: DemoShelf): Pattern =>
  pattern(
    { title: 'Balloon mobile', level: 'practised', heightMm: 210 },
    [
      part('Envelope', shapes.egg(96, 80, 0.58), fibre('chalk-core'), {
        coat: fibre('brine'),
        firmness: 'springy',
        packing: 'rolled',
        uses: [use('patch', fibre('buoy'), { length: size(92), width: size(12), count: 6, words: 'six stripes, crown to foot' })],
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
      ['Roll the envelope springy, no more: it is light because it is soft.', ['Envelope'], 'core', 36, 20],
      ['Coat it, then needle half through at the guessed point and see that it hangs level.', ['Envelope'], 'coat', 38, 25],
      ['Six stripes from crown to foot; tack all before felting any.', ['Envelope'], 'detail', 40, 30],
      ['Three clouds, airy, hardly felted.', ['Cloud'], 'shape', 38, 12],
      ['Four sandbags, solid. Weigh them: they must match.', ['Sandbag'], 'shape', 38, 20],
      ['Bend the linen to a tube, sew it, set the ring on, and hang the basket from four cords.', ['Mouth ring'], 'mount', null, 35],
      ['Pennants last: lay them along a cord, fix one end, trim straight. Keep what you cut off.', ['Pennant'], 'hair', 40, 12],
      ['The trimmings go onto the clouds. Coil the rope end and set it into the basket.', ['Cloud', 'Rope end'], 'detail', 40, 10],
    ],
    {
      joins: [join('Mouth ring', 'Envelope', { looseEnd: null, cover: fibre('brine'), across: size(28), band: 8 })],
      cuts: [
        cut('Basket cords', 'cord', finding('Waxed cord 1 mm'), { count: 4, drop: size(45), fold: size(6), knots: 2 }),
        cut('Hanging cord', 'cord', finding('Waxed cord 1 mm'), { drop: size(300), knots: 1 }),
        cut('Basket', 'tube-panel', finding('Basket linen'), { height: size(26), diameter: size(30) }),
        cut('Basket seam', 'binding', finding('Whisker thread'), { turns: 0, seam: size(26) }),
      ],
      findings: [fitting(finding('Bell 10 mm, brass'), 1)],
    },
  ); // prettier-ignore
