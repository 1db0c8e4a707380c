import type { Pattern } from '@lanakit/core/pattern';
import { byGauge } from '@lanakit/core/shelf';
import { DRAWINGS } from '../drawings.ts';
import {
  at,
  choice,
  cut,
  extra,
  fitting,
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
  type DemoShelf,
} from '../write.ts';

/** The puffin’s wing, drawn by hand: rounded at the shoulder, pointed at the tip. */
const WING = 'M30 0C46 2 58 18 60 40C62 66 52 96 30 130C26 134 22 132 21 127C8 98 0 70 2 42C4 18 14 -2 30 0Z';

/** Stands; coat by contrast; two sessions. */
export const puffin = ({ fibre, finding }: DemoShelf): Pattern =>
  pattern(
    { title: 'Harbour puffin', heightMm: 138 },
    [
      part('Body', shapes.egg(82, 60), fibre('chalk-core'), {
        coat: fibre('slate'),
        uses: [
          use('coat', fibre('chalk-tops'), {
            cover: { kind: 'patch', length: size(56), width: size(38) },
            ...sits('each', [at(0, 0.44)]),
            words: 'the belly, white last',
          }),
          use('hair', fibre('slate'), { line: size(16), drop: size(14), weight: 'medium', fixed: 'end', words: 'a stub of a tail', ...sits('each', [at(180, 0.14)]) }),
        ],
      }),
      part('Head', shapes.ellipsoid(42, 40, 40), fibre('chalk-core'), {
        coat: fibre('slate'),
        uses: [use('dot', fibre('soot'), { diameter: size(4), count: 2, words: 'felted eyes, started a little too large: they sink', ...sits('mirror', [at(44, 0.66)]) })],
      }),
      part('Wing', shapes.outline(WING, 52, 5), fibre('slate'), { count: 2 }),
      part('Leg', shapes.sleeve(30, 8, 1.2), fibre('marigold'), { count: 2, firmness: 'solid' }),
      part('Foot', shapes.flat(24, 18, 3), fibre('marigold'), { count: 2, firmness: 'solid' }),
      part('Beak', shapes.taper(24, 17, 5), fibre('chalk-core'), {
        coat: fibre('marigold'),
        firmness: 'solid',
        uses: [use('line', fibre('soot'), { length: size(34), count: 2, words: 'two grooves across', ...sits('row', [at(0, 0.3), at(0, 0.55)]) })],
      }),
      part('Cheek', shapes.patch(18, 16, 'Head'), fibre('foam'), { count: 2, ...sits('mirror', [at(52, 0.5)], { heldBy: 'side' }) }),
    ],
    [
      step('body-roll', 'Roll the body core **as tight as it goes** into an egg. Fold the edges in as you roll.', ['Body'], 'make', 'core', 0, 5, {
        place: 'in-hand',
        readers: { kit: 'It is bag A.', pattern: '' },
        drawing: ['draw-roll', 'Both sides in, then roll.'],
      }),
      step('body-felt', 'Felt it. Make it a little under size; the coat adds the rest.', ['Body'], 'felt', 'core', null, { low: 30, high: 45 }, {
        place: 'on-surface', stroke: 'toward-centre', depth: 'half', holder: 3, cue: 'it springs back',
        checks: [{ look: 'the size', how: 'on the printed guide', pass: 'it lies a finger’s width inside the solid outline', remedy: 'keep felting, or wrap more core on', returnToStepId: 'body-felt' }],
        drawing: ['draw-outline', 'Dashed: rolled. Solid: felted.'],
      }),
      step('head', 'Roll and felt the head, **as firm as the body**: it carries the face.', ['Head'], 'make', 'core', null, 20, {
        place: 'on-surface', stroke: 'toward-centre', depth: 'half', cue: 'a thumb leaves only a small dent',
      }),
      step('flat', 'Flatten the underside so that it sits: score a ring, then stab inside it.', ['Body'], 'felt', 'shape', null, 5, {
        place: 'on-surface', stroke: 'straight-down', depth: 'half',
        checks: [{ look: 'the body on the table', how: 'let go of it', pass: 'it sits and does not rock', remedy: 'flatten further on the side it leans to', returnToStepId: 'flat' }],
      }),
      step('tack-head', 'Set the head on and tack it with six stabs. Look from the front and from above before you go on.', ['Head', 'Body'], 'tack', 'join', null, 3, {
        place: 'in-place', stroke: 'straight-down', depth: 'half', on: [['Head', 'Body']],
        checks: [{ look: 'where the beak will point', how: 'from the front, from above', pass: 'straight ahead, or where you want it', remedy: 'pull the head off and tack it again', returnToStepId: 'tack-head' }],
      }),
      step('join-head', 'Felt the head on, deep and all round, aiming through the head into the body.', ['Head', 'Body'], 'join', 'join', null, 10, {
        place: 'in-place', stroke: 'toward-centre', depth: 'through', on: [['Head', 'Body']],
        checks: [{ look: 'the neck', how: 'hold the head and shake', pass: 'nothing wobbles', remedy: 'go round once more, deeper', returnToStepId: 'join-head' }],
        drawing: ['draw-join', 'From both sides, through the small one into the large.'],
      }),
      step('wings', 'Make both wings together: lay out, felt through, fold the edges in along the template, felt from the other side. The shoulder ends stay loose.', ['Wing'], 'make', 'shape', null, 22, {
        place: 'on-template', stroke: 'edges-first', depth: 'through',
        repeat: { times: null, notes: ['the figure’s left: tip pointing back', 'the figure’s right: turn the template over'] },
        drawing: ['draw-leaf', 'Edges in, then the middle.'],
      }),
      step('wings-match', 'Compare the wings, and weigh them if you have a scale.', ['Wing'], 'check', 'shape', 0, 2, {
        checks: [{ look: 'both wings', how: 'one on the other', pass: 'they match, and weigh within 0.1 g', remedy: 'add a wisp to the lighter one', returnToStepId: 'wings' }],
      }),
      step('coat', 'Lay slate over back and head in two thin layers, a thumb’s width past the belly line. The head’s join disappears under it.', ['Body', 'Head'], 'wrap', 'coat', 38, 25, {
        place: 'on-surface', stroke: 'at-a-slant', depth: 'light', on: [['Head', 'Body']],
        drawing: ['draw-coat', 'Second layer across the first.'],
      }),
      step('belly', 'Lay the belly in chalk, **white last**, so that no slate strays into it.', ['Body'], 'wrap', 'coat', null, 10, {
        place: 'on-surface', stroke: 'edges-first', depth: 'light',
        checks: [{ look: 'the belly', how: 'in daylight', pass: 'no dark fibre in the white', remedy: 'lift it out with tweezers before it is felted in' }],
      }),
      step('wire', 'Fold the wire double for each leg and twist it. Leave it single through the body. Bend three toes at each end and **curl every end back flat**.', ['Leg'], 'make', 'skeleton', 0, 12, {
        place: 'in-hand', leaves: 'rolled',
        drawing: ['draw-wire', 'One wire for both legs.'],
      }),
      step('way', 'Before you wind anything on: look at your hands.', ['Leg'], { kind: 'decide', question: 'which way the wrap runs', answers: ['toward you', 'away from you'] }, 'skeleton', 0, 1, { leaves: 'rolled' }),
      step('legs', 'Wind the fuzzy stem up each leg from the foot, then marigold over it, always the same way. Against it, it bumps.', ['Leg'], 'wrap', 'skeleton', null, 14, {
        place: 'in-hand', stroke: 'along', depth: 'light', recallsStepId: 'way', leaves: 'felted',
        repeat: { times: null, notes: ['the figure’s left', 'the figure’s right'] },
      }),
      step('feet', 'Felt both feet flat, turning them as you go, and notch two webs into the front.', ['Foot'], 'make', 'shape', null, 12, {
        place: 'on-surface', stroke: 'straight-down', depth: 'through',
        repeat: { times: null, notes: ['the figure’s left', 'the figure’s right'] },
      }),
      step('feet-on', 'Felt the feet round the toes, and cover with a wrap of marigold.', ['Foot', 'Leg'], 'join', 'join', null, 8, {
        place: 'in-place', stroke: 'edges-first', depth: 'half', on: [['Foot', 'Leg']],
      }),
      step('legs-on', 'Push the single wire through the body, low and level, and felt the legs in. Stand it up **before** you felt them deep.', ['Leg', 'Body'], 'join', 'join', 36, 10, {
        place: 'in-place', stroke: 'toward-centre', depth: 'through', on: [['Leg', 'Body']],
        checks: [{ look: 'how it stands', how: 'on the table, tapped', pass: 'it stays up', remedy: 'bend the legs under the middle; if it still falls, flatten the feet', returnToStepId: 'legs-on' }],
      }),
      step('wings-on', 'Set the wings at the shoulder. Felt the front edge only; the tips stay free.', ['Wing', 'Body'], 'join', 'join', null, 8, {
        place: 'in-place', stroke: 'straight-down', depth: 'half', on: [['Wing', 'Body']],
        repeat: { times: null, notes: ['the figure’s left', 'the figure’s right: hold it level with the first'] },
      }),
      step('beak', 'Felt the beak solid, coat it in marigold, flatten its sides, and lay two grooves of soot across. One end stays loose.', ['Beak'], 'make', 'detail', 40, 14, {
        place: 'in-hand', stroke: 'straight-down', depth: 'half', cue: 'it does not dent',
        drawing: ['draw-tail', 'The loose end goes into the head.'],
      }),
      step('beak-on', 'Set the beak on, a little below the middle.', ['Beak', 'Head'], 'join', 'detail', 38, 6, {
        place: 'in-place', stroke: 'toward-centre', depth: 'through', on: [['Beak', 'Head']],
      }),
      step('cheeks', 'Cheeks, thin, in foam.', ['Cheek', 'Head'], 'wrap', 'detail', null, 8, {
        place: 'on-surface', stroke: 'edges-first', depth: 'light',
      }),
      step('pins', 'Put two pins where the eyes will be, and look at it for a day if you can.', ['Head'], { kind: 'stand-in', standsFor: 'the eyes', untilStepId: 'eyes-choose' }, 'detail', 0, 2),
      step('eyes-choose', 'Try both sizes of bead against the pins.', ['Head'], { kind: 'choose', findingUseIds: ['eyes-4', 'eyes-3'] }, 'detail', 0, 2),
      step('eyes-sew', 'Sew the eyes on through the head, and pull them in a little so that they sit in a dip.', ['Head'], 'sew', 'detail', 0, 10, {
        checks: [{ look: 'both eyes', how: 'sight across from the front', pass: 'they are level', remedy: 'unpick the second, and move it', returnToStepId: 'pins' }],
      }),
      step('eyes-felt', 'Dot the eyes in soot, a little larger than you want them: they sink as you stab.', ['Head'], 'make', 'detail', null, 8, {
        place: 'on-surface', stroke: 'straight-down', depth: 'light', leaves: 'covered',
        checks: [{ look: 'both eyes', how: 'sight across from the front', pass: 'they are level and alike', remedy: 'lift the fibre out while it is fresh, and lay it again' }],
      }),
      step('tail', 'Lay the stub of a tail along the back, fix one end, and trim it straight.', ['Body'], 'cut', 'hair', 40, 5, {
        place: 'in-place',
        checks: [{ look: 'the length, before you cut', pass: 'it reaches just past the feet', remedy: 'lay it again higher or lower', how: 'from the side' }],
      }),
      step('finish', 'Fine needle all over, shallow. Snip what still stands off.', ['Body', 'Head', 'Wing'], 'felt', 'finish', null, 15, {
        place: 'on-surface', stroke: 'at-a-slant', depth: 'light', cue: 'no poke marks show at arm’s length',
        checks: [{ look: 'how it stands', how: 'tap the table', pass: 'it stays up', remedy: 'flatten the feet; bend the legs under the middle' }],
      }),
    ],
    DRAWINGS,
    {
      joinsApart: true,
      joins: [
        join('Head', 'Body', { looseEnd: null, cover: fibre('slate'), across: size(30), sink: size(5), ...sits('each', [at(0, 0.985)]) }),
        join('Wing', 'Body', {
          looseEnd: { partId: 'wing', length: size(12), ends: 1, amount: null },
          ...sits('mirror', [at(108, 0.52, { up: 8, twist: 12 })], { heldBy: 'side' }),
        }),
        join('Leg', 'Body', { method: 'wired', looseEnd: null, cover: fibre('slate'), ...sits('mirror', [at(84, 0.12, { up: -50 })]) }),
        join('Foot', 'Leg', { looseEnd: null, cover: fibre('marigold'), ...sits('each', [at(180, 1)], { heldBy: 'side' }) }),
        join('Beak', 'Head', { looseEnd: { partId: 'beak', length: size(8), ends: 1, amount: null }, sink: size(3), ...sits('each', [at(0, 0.46)]) }),
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
      findings: [
        { ...fitting(finding('Bead eye 4 mm, black'), 2, 'Head', 'eyes-4'), ...sits('mirror', [at(44, 0.66)], { heldBy: 'middle' }) },
        { ...fitting(finding('Bead eye 3 mm, black'), 2, 'Head', 'eyes-3'), ...sits('mirror', [at(44, 0.66)], { heldBy: 'middle' }) },
      ],
      school: { kind: 'ladder', build: byGauge(38, 'triangular'), surface: byGauge(40, 'spiral'), detail: byGauge(42) },
      links: [
        { id: 'wings-before-coat', beforeId: 'wings', afterId: 'coat', strength: 'easier', reason: 'what is left of the slate goes into the coat' },
        { id: 'notch-soft', beforeId: 'feet', afterId: 'feet-on', strength: 'while-soft', reason: 'the toes press into the foot while it still gives' },
        { id: 'dark-first', beforeId: 'coat', afterId: 'belly', strength: 'must', reason: 'stray dark fibre spoils the white' },
      ],
      sessions: [
        { id: 'first-day', name: 'Saturday', firstStepId: 'body-roll', startState: 'the bags, one felting surface each, the printed guide', safeStop: 'Belly laid: it can lie for a week under a cloth.', homework: 'Felt the wings firm, both alike.' },
        { id: 'second-day', name: 'Sunday', firstStepId: 'wire', startState: 'body and head joined and coated, two wings', safeStop: 'It stands: all that is left can be done at home.', homework: 'Go over it once more with the finest needle.' },
      ],
      options: [
        choice(
          'eyes',
          ['beads', thing('finding', 'eyes-4'), thing('finding', 'eyes-3'), thing('step', 'pins'), thing('step', 'eyes-choose'), thing('step', 'eyes-sew')],
          ['felted', thing('use', 'head-3'), thing('step', 'eyes-felt')],
        ),
        extra('a stub of a tail', true, thing('use', 'body-4'), thing('step', 'tail')),
      ],
      proportions: [
        { id: 'head-body', a: { of: 'part', partId: 'head', size: 'length' }, b: { of: 'part', partId: 'body', size: 'length' }, ratio: 0.51, toleranceFraction: 0.08 },
      ],
      slots: [
        { id: 'back', name: 'back', places: [{ kind: 'use', id: 'body-2' }, { kind: 'use', id: 'head-2' }, { kind: 'use', id: 'wing-1' }, { kind: 'use', id: 'body-4' }, { kind: 'join', id: 'head-body' }, { kind: 'join', id: 'leg-body' }], rule: null },
        { id: 'belly', name: 'belly', places: [{ kind: 'use', id: 'body-3' }], rule: { is: 'lighter', thanSlotId: 'back' } },
        { id: 'feet', name: 'feet and beak', places: [{ kind: 'use', id: 'leg-1' }, { kind: 'use', id: 'foot-1' }, { kind: 'use', id: 'beak-2' }, { kind: 'join', id: 'foot-leg' }], rule: null },
      ],
      colourways: [
        { id: 'winter', name: 'winter', fills: [{ slotId: 'back', fibreId: fibre('driftwood') }, { slotId: 'feet', fibreId: fibre('coral') }] },
        { id: 'night', name: 'night', fills: [{ slotId: 'back', fibreId: fibre('anchor') }, { slotId: 'feet', fibreId: fibre('marigold') }] },
      ],
      swaps: [
        swap('glass-eyes', { kind: 'finding', id: 'eyes-4' }, { kind: 'finding', findingId: finding('Glass eye 5 mm, amber') }, 'amber glass eyes: they catch the light', {
          moreMinutes: 4,
          steps: [{ stepId: 'eyes-sew', text: 'Push the wire loops through the head, twist them at the back, and **turn the ends back** before you cover them.' }],
        }),
        swap('foam-belly', { kind: 'use', id: 'body-3' }, { kind: 'fibre', fibreId: fibre('foam') }, 'a whiter belly, in foam'),
      ],
      tools: [
        { id: 'pins', needKey: 'pins', name: 'pins', per: 'table', count: 1, isLeftOut: false },
        { id: 'tweezers', needKey: null, name: 'tweezers', per: 'table', count: 1, isLeftOut: false },
      ],
      prerequisites: 'A felted ball or a pear. Bending wire is learned on the way.',
      sidesSeen: 'figure',
    },
  ); // prettier-ignore
