import { type Pattern, UPRIGHT } from '@lanakit/core/pattern';
import { byGauge } from '@lanakit/core/shelf';
import { DRAWINGS } from '../drawings.ts';
import {
  at,
  choice,
  cut,
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
  type DemoShelf,
} from '../write.ts';

/** Flat on felt sheet; pin back, wire feelers, glue that must set. */
export const beetle = ({ fibre, finding }: DemoShelf): Pattern =>
  pattern(
    { title: 'Stag beetle brooch', heightMm: 67 },
    [
      part('Wing cases', shapes.flat(36, 26, 7), fibre('odds-core'), {
        exactness: [{ size: 'length', is: 'exact' }],
        coat: fibre('rust'),
        uses: [use('line', fibre('soot'), { length: size(34), words: 'where the wing cases meet', ...sits('each', [at(0, 0.5, { twist: 90 })]) })],
      }),
      part('Shield', shapes.flat(24, 13, 6), fibre('odds-core'), { coat: fibre('walnut') }),
      part('Head', shapes.flat(18, 11, 5), fibre('walnut')),
      part('Jaw', shapes.taper(22, 6, 2), fibre('walnut'), { count: 2, firmness: 'solid' }),
      part('Leg', shapes.limb(20, 4), fibre('soot'), { count: 6, exactness: [{ size: 'length', is: 'free' }] }),
    ],
    [
      step('cases', 'Lay the core within the drawn line on the backing sheet and felt it on.', ['Wing cases'], 'make', 'core', null, 14, {
        place: 'on-template', stroke: 'edges-first', depth: 'half', cue: 'the edge cannot be lifted with a fingernail',
        readers: { kit: 'The line is printed on your sheet.', pattern: 'Copy the line from the guide with a pencil, and leave a finger’s width of sheet all round.' },
        drawing: ['draw-sheet', 'Once round the edge, then the middle.'],
      }),
      step('cases-coat', 'Rust over it, domed in the middle, then one dark line of soot down the length where the cases meet.', ['Wing cases'], 'wrap', 'coat', null, 12, {
        place: 'on-surface', stroke: 'at-a-slant', depth: 'light',
        checks: [{ look: 'the back of the sheet', how: 'turn it over', pass: 'only a haze of rust comes through', remedy: 'work shallower: the other side must stay clean' }],
      }),
      step('shield', 'Shield, overlapping the wing cases by a needle’s length, then the head, overlapping the shield. Lift and turn each as you go.', ['Shield', 'Head'], 'make', 'shape', null, 12, {
        place: 'on-surface', stroke: 'edges-first', depth: 'half',
      }),
      step('head-on', 'Felt head and shield together where they meet.', ['Head', 'Shield'], 'join', 'join', null, 4, {
        place: 'in-place', stroke: 'straight-down', depth: 'half', on: [['Head', 'Shield']],
      }),
      step('shield-on', 'Felt the shield down onto the edge of the wing cases.', ['Shield', 'Wing cases'], 'join', 'join', null, 4, {
        place: 'in-place', stroke: 'edges-first', depth: 'half', on: [['Shield', 'Wing cases']],
      }),
      step('jaws', 'Two jaws, solid, each with a loose end. **Bend them while still soft**, then felt the bend firm.', ['Jaw'], 'make', 'detail', 40, 14, {
        place: 'in-hand', stroke: 'one-direction', depth: 'half', cue: 'it keeps its bend',
        repeat: { times: null, notes: ['left as you look at it', 'right as you look at it: the mirror of the first'] },
        drawing: ['draw-tail', 'The loose end goes under the head.'],
      }),
      step('jaws-on', 'Tuck the loose ends under the head and felt them in from above.', ['Jaw', 'Head'], 'join', 'detail', null, 6, {
        place: 'in-place', stroke: 'straight-down', depth: 'half', on: [['Jaw', 'Head']],
        checks: [{ look: 'the tips', how: 'from above', pass: 'they are level and a finger apart', remedy: 'bend them; the loose end holds' }],
      }),
      step('legs', 'Six legs of soot, three a side, straight onto the sheet. The length is as you like.', ['Leg', 'Wing cases'], 'join', 'detail', null, 18, {
        place: 'on-surface', stroke: 'along', depth: 'light', on: [['Leg', 'Wing cases']],
        repeat: { times: 6, notes: ['left, front', 'left, middle', 'left, back', 'right, front', 'right, middle', 'right, back'] },
      }),
      step('trim', 'Cut the sheet back to two millimetres all round.', ['Wing cases'], 'cut', 'finish', 0, 6, {
        checks: [{ look: 'the loose ends at the back', how: 'turn it over, before you cut', pass: 'none crosses the edge', remedy: 'felt them in first' }],
      }),
      step('feelers', 'Push the feeler wire through the head from behind, bend it double, and curl both tips.', ['Head'], 'make', 'mount', 0, 6, {
        leaves: 'joined', cautions: { added: ['wire-end'], dismissed: [] },
      }),
      step('pin-sew', 'Sew the pin back onto the second piece of sheet, a third of the way down.', ['Wing cases'], 'sew', 'mount', 0, 8, {
        checks: [{ look: 'where it hangs', how: 'hold it up by the pin back', pass: 'the head stays up', remedy: 'unpick it, and sew it higher' }],
        drawing: ['draw-pinback', 'Above the middle, or it tips forward.'],
      }),
      step('magnets-on', 'Sew a pocket of sheet for each magnet onto the back, one below the other, both with the same face down.', ['Wing cases'], 'sew', 'mount', 0, 8, {
        checks: [{ look: 'which face is down', how: 'hold each against the other, before the pockets are closed', pass: 'both pull the same way', remedy: 'turn one over' }],
      }),
      step('back', 'Glue the second piece of sheet over the back, so that wire and stitches lie between.', ['Wing cases'], 'glue', 'mount', 0, 4, {
        checks: [{ look: 'the edges', how: 'dry, before any glue', pass: 'both pieces match', remedy: 'trim the back piece now; glued, it is too late' }],
      }),
      step('set', 'Leave it under a book until the glue has set. Do not pin it on before.', ['Wing cases'], 'wait', 'mount', 0, null, { waiting: 120 }),
      step('edge', 'Snip the two edges even, and fine needle over the wing cases.', ['Wing cases'], 'felt', 'finish', null, 6, {
        place: 'in-hand', stroke: 'at-a-slant', depth: 'light',
      }),
    ],
    DRAWINGS,
    {
      stance: { ...UPRIGHT, rests: 'lies', pitchDeg: -90 },
      enclosures: [
        { id: 'gift-box', name: 'the gift box', shape: 'box', findingId: null, across: size(90), depth: size(70), height: size(25), openingAcross: null, openingDepth: null },
      ],
      joins: [
        join('Head', 'Shield', { looseEnd: null, ...sits('each', [at(-90, 0.5, { up: 90 })], { heldBy: 'middle' }) }),
        join('Shield', 'Wing cases', { looseEnd: null, ...sits('each', [at(0, 1, { aside: 90 })], { heldBy: 'middle' }) }),
        join('Jaw', 'Head', {
          looseEnd: { partId: 'jaw', length: size(6), ends: 1, amount: null },
          ...sits('each', [at(-90, 0.24, { up: -14 }), at(-90, 0.76, { up: 14 })]),
        }),
        join('Leg', 'Wing cases', { looseEnd: null, ...sits('mirror', [at(90, 0.28, { up: -18 }), at(90, 0.54, { up: -6 }), at(90, 0.8, { up: 6 })]) }),
      ],
      cuts: [
        cut('Feelers', 'whisker', finding('Wire 0.6 mm, black'), { count: 1, span: size(30), margin: size(20), ...seated('Head', 'out', sits('each', [at(-90, 0.5, { aside: 42, twist: 90 })])) }),
      ],
      findings: [
        { ...fitting(finding('Pin back 25 mm'), 1, 'Wing cases', 'pin'), ...sits('each', [at(180, 0.5)], { heldBy: 'side' }) },
        { ...fitting(finding('Disc magnet 8 mm'), 2, 'Wing cases', 'magnets'), ...sits('row', [at(180, 0.3), at(180, 0.7)], { heldBy: 'side' }) },
      ],
      options: [
        choice('fastened by', ['pin', thing('finding', 'pin'), thing('step', 'pin-sew')], ['magnets', thing('finding', 'magnets'), thing('step', 'magnets-on')]),
      ],
      slots: [
        { id: 'cases', name: 'wing cases', places: [{ kind: 'use', id: 'wing-cases-2' }], rule: null },
        { id: 'line', name: 'line between', places: [{ kind: 'use', id: 'wing-cases-3' }], rule: { is: 'darker', thanSlotId: 'cases' } },
      ],
      colourways: [{ id: 'harbour', name: 'harbour blue', fills: [{ slotId: 'cases', fibreId: fibre('harbour') }] }],
      links: [
        { id: 'sheet-last', beforeId: 'legs', afterId: 'trim', strength: 'must', reason: 'legs reach past the line' },
      ],
      school: { kind: 'two', build: byGauge(36), surface: byGauge(38, 'star') },
      prerequisites: 'Steady hands; you have felted something flat before.',
      sidesSeen: 'viewer',
    },
  ); // prettier-ignore
