import type { Pattern } from '@lanakit/core';
import { part, pattern, shapes, type FibreKey } from './write.ts';

/** Absolute beginners, two hours. */
export const pear = (fibre: FibreKey): Pattern =>
  pattern(
    { title: 'Pear with two leaves', level: 'first-timer', heightMm: 96 },
    [
      part('Body', shapes.egg(74, 56, 0.38), fibre('chalk-core'), { coat: fibre('pear') }),
      part('Stalk', shapes.limb(22, 6), fibre('walnut'), { firmness: 'solid' }),
      part('Leaf', shapes.flat(38, 20, 3), fibre('moss'), { count: 2 }),
      part('Blush', shapes.flat(26, 18, 1), fibre('coral'), { firmness: 'springy' }),
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
  ); // prettier-ignore

/** Stands; coat by contrast. */
export const puffin = (fibre: FibreKey): Pattern =>
  pattern(
    { title: 'Harbour puffin', level: 'some-practice', heightMm: 118 },
    [
      part('Body', shapes.egg(82, 60), fibre('chalk-core'), { coat: fibre('slate') }),
      part('Head', shapes.ellipsoid(42, 40, 40), fibre('chalk-core'), { coat: fibre('slate') }),
      part('Belly', shapes.flat(56, 38, 3), fibre('chalk-tops'), { firmness: 'springy' }),
      part('Wing', shapes.flat(52, 24, 5), fibre('slate'), { count: 2 }),
      part('Leg', shapes.limb(38, 9), fibre('marigold'), { count: 2, firmness: 'solid' }),
      part('Foot', shapes.flat(24, 18, 3), fibre('marigold'), { count: 2, firmness: 'solid' }),
      part('Beak', shapes.taper(24, 17, 5), fibre('chalk-core'), { coat: fibre('marigold'), firmness: 'solid' }),
      part('Cheek', shapes.flat(18, 16, 2), fibre('foam'), { count: 2 }),
      part('Eye', shapes.ball(4), fibre('soot'), { count: 2, firmness: 'solid' }),
    ],
    [
      ['Roll the body core as tight as it goes into an egg. Fold the edges in as you roll.', ['Body'], 'core', 38, 4],
      ['Felt toward the centre until it springs back. Make it a little under size; the coat adds the rest.', ['Body'], 'core', 38, 35],
      ['Roll and felt the head, firmer than the body: it carries the face.', ['Head'], 'core', 38, 20],
      ['Flatten the underside so that it sits: straight down inside a scored ring.', ['Body'], 'shape', 38, 5],
      ['Set the head on, tack, look from the front and from above, then felt deep all round.', ['Head', 'Body'], 'join', 36, 10],
      ['Lay slate over back and head in two thin layers, a thumb’s width past the belly line.', ['Body', 'Head'], 'coat', 38, 25],
      ['Lay the belly in chalk, white last, so that no slate strays into it. Edges first.', ['Belly', 'Body'], 'coat', 40, 10],
      ['Make both wings together, folding the edges in. Compare them; weigh them.', ['Wing'], 'shape', 38, 22],
      ['Set the wings at the shoulder and felt the front edge only.', ['Wing', 'Body'], 'join', 38, 8],
      ['Roll both legs over one another so that they match; leave the upper ends loose.', ['Leg'], 'shape', 38, 14],
      ['Felt both feet flat and notch two webs into the front.', ['Foot'], 'shape', 38, 12],
      ['Join feet to legs, then legs to body. Stand it up before you felt them deep.', ['Foot', 'Leg', 'Body'], 'join', 36, 15],
      ['Felt the beak solid, coat it, flatten its sides, and set it on.', ['Beak', 'Head'], 'detail', 40, 18],
      ['Cheeks, thin, edges first.', ['Cheek', 'Head'], 'detail', 40, 8],
      ['Eyes, level: sight across from the front before you felt the second.', ['Eye', 'Head'], 'detail', 40, null],
      ['Fine needle all over. Tap the table: it should stay up.', ['Body', 'Head', 'Wing'], 'finish', 42, 15],
    ],
  ); // prettier-ignore

/** Eight matched arms; a blend. */
export const octopus = (fibre: FibreKey): Pattern =>
  pattern(
    { title: 'Tide-pool octopus', level: 'practised', heightMm: 84 },
    [
      part('Mantle', shapes.egg(64, 54, 0.45), fibre('oat-core'), { coat: fibre('tide-pool') }),
      part('Head', shapes.ellipsoid(36, 44, 40), fibre('oat-core'), { coat: fibre('tide-pool') }),
      part('Arm', shapes.taper(92, 15, 4), fibre('plum'), { count: 8 }),
      part('Eye bump', shapes.ball(9), fibre('plum'), { count: 2 }),
      part('Eye', shapes.flat(6, 4, 1), fibre('butter'), { count: 2 }),
      part('Pupil', shapes.flat(4, 1, 0.6), fibre('soot'), { count: 2, firmness: 'solid' }),
    ],
    [
      ['Roll and felt the mantle; springy is enough.', ['Mantle'], 'core', 36, 22],
      ['Felt the head and join it under the mantle.', ['Head', 'Mantle'], 'join', 36, 18],
      ['Roll eight arms, one after another, weighing each. Leave the thick ends loose.', ['Arm'], 'shape', 38, 70],
      ['Sort the arms longest to shortest; the odd one goes at the back.', ['Arm'], 'shape', null, 4],
      ['Splay the loose ends under the head and felt them in a ring.', ['Arm', 'Head'], 'join', 36, 25],
      ['Coat mantle and head over the joins in one thin layer.', ['Mantle', 'Head'], 'coat', 38, 20],
      ['Eye bumps, then eyes, then a thin bar for each pupil.', ['Eye bump', 'Eye', 'Pupil'], 'detail', 40, 14],
      ['Curl the arm tips round a pencil and felt the inside of each curl.', ['Arm'], 'finish', 40, 16],
    ],
  ); // prettier-ignore

/** Flat on felt sheet, still being worked out. */
export const beetle = (fibre: FibreKey): Pattern =>
  pattern(
    { title: 'Stag beetle brooch', level: 'some-practice', heightMm: 62 },
    [
      part('Wing cases', shapes.flat(36, 26, 7), fibre('odds-core'), { coat: fibre('rust') }),
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
  ); // prettier-ignore

/** Hangs. */
export const balloon = (fibre: FibreKey): Pattern =>
  pattern(
    { title: 'Balloon mobile', level: 'practised', heightMm: 210 },
    [
      part('Envelope', shapes.egg(96, 80, 0.58), fibre('chalk-core'), { coat: fibre('brine'), firmness: 'springy' }),
      part('Stripe', shapes.flat(92, 12, 1), fibre('buoy'), { count: 6, firmness: 'springy' }),
      part('Cloud', shapes.ellipsoid(26, 52, 22), fibre('foam'), { count: 3, firmness: 'airy' }),
      part('Sandbag', shapes.ball(11), fibre('driftwood'), { count: 4, firmness: 'solid' }),
    ],
    [
      ['Roll the envelope springy, no more: it is light because it is soft.', ['Envelope'], 'core', 36, 20],
      ['Coat it, then needle half through at the guessed point and see that it hangs level.', ['Envelope'], 'coat', 38, 25],
      ['Six stripes from crown to foot; tack all before felting any.', ['Stripe', 'Envelope'], 'detail', 40, 30],
      ['Three clouds, airy, hardly felted.', ['Cloud'], 'shape', 38, 12],
      ['Four sandbags, solid. Weigh them: they must match.', ['Sandbag'], 'shape', 38, 20],
    ],
  ); // prettier-ignore
