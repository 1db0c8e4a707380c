import { showNumber } from '../base/index.ts';
import type { Problem } from '../problems/index.ts';
import { PILE_WORDS } from './needleWords.ts';
import { wantsWords } from './runStateWords.ts';
import { sizeWords } from './sizeWords.ts';
import { FORM_WORDS, ROLE_WORDS } from './woolWords.ts';
import { PERMITTED_WORDS } from './writingWords.ts';

const OUTLINE_FAULTS = {
  'too-fine':
    'This outline has more than 2000 points. Bring it in again from its drawing: it is then simplified.',
  'not-read': 'This outline cannot be read. Bring it in again.',
  open: 'This outline is open. Close it, and bring it in again.',
  crosses: 'This outline crosses itself. Mend it, and bring it in again.',
} as const;

/** What is wrong and what to do, in a maker's words. One line, to stand beside the field. */
export function problemWords(problem: Problem): string {
  switch (problem.code) {
    case 'title_empty':
      return 'Give it a name.';
    case 'size_not_positive':
      return `A size must be more than 0; this is ${showNumber(problem.valueMm, 2)} mm.`;
    case 'size_too_large':
      return `${showNumber(problem.valueMm, 0)} mm is more than ${problem.limitMm} mm. Check the unit.`;
    case 'limb_shorter_than_wide':
      return (
        `A limb is measured over all: ${showNumber(problem.lengthMm, 1)} mm long is less than its ` +
        `${showNumber(problem.diameterMm, 1)} mm across. Make it longer, or choose a ball.`
      );
    case 'drop_without_point':
      return (
        `A drop is longer than half its width: ${showNumber(problem.lengthMm, 1)} mm long and ` +
        `${showNumber(problem.diameterMm, 1)} mm across leaves no point. Make it longer, or choose a ball.`
      );
    case 'ring_without_hole':
      return (
        `A rope of ${showNumber(problem.ropeMm, 1)} mm leaves no hole in a ring of ` +
        `${showNumber(problem.outerMm, 1)} mm. Make the rope thinner, or the ring larger.`
      );
    case 'corner_too_round':
      return `A corner of ${showNumber(problem.cornerMm, 1)} mm does not go into a side of ${showNumber(problem.narrowMm, 1)} mm: half of that at the most.`;
    case 'taper_ends_swapped':
      return (
        `The thin end (${showNumber(problem.thinMm, 1)} mm) is thicker than the thick end ` +
        `(${showNumber(problem.thickMm, 1)} mm). Swap them.`
      );
    case 'number_out_of_range':
      return `Give a number from ${problem.min} to ${problem.max}.`;
    case 'not_whole':
      return `Give a whole number; this is ${problem.value}.`;
    case 'fibre_not_found':
      return 'This fibre is no longer on the shelf. Choose another.';
    case 'step_not_found':
      return 'This names a step that is no longer in the pattern. Choose again.';
    case 'picture_not_found':
      return 'This picture is no longer in the pattern. Choose another, or take it off.';
    case 'thing_not_found':
      return `This names a ${problem.kind} that is no longer in the pattern. Choose again.`;
    case 'order_circular':
      return `These steps wait for one another in a circle: ${problem.numbers.join(', then ')}. Take one of the links away.`;
    case 'minutes_reversed':
      return `From ${problem.low} to ${problem.high} minutes runs backwards. Swap them.`;
    case 'options_exclude_all':
      return 'These limits forbid one another: no build is left that anybody could choose. Take one away.';
    case 'technique_act':
      return 'A technique has no parts of its own to choose or stand in for. Make it another kind of step.';
    case 'parameter_not_found':
      return `“{${problem.key}}” is none of its parameters. Add it, or take the braces away.`;
    case 'part_not_found':
      return 'This names a part that is no longer in the pattern. Choose again.';
    case 'id_twice':
      return `The id “${problem.id}” is used twice. Everything needs its own.`;
    case 'sizes_missing':
      return `Unknown until you give its ${problem.missing.map(sizeWords).join(', ')}.`;
    case 'fibre_missing':
      return problem.role === 'join'
        ? 'Unknown until you choose a fibre for the cover, or leave it off.'
        : `Unknown until you choose a fibre for the ${ROLE_WORDS[problem.role]}.`;
    case 'finding_missing':
      return 'Choose which finding it is.';
    case 'amount_incomplete':
      return `Say the rest of it (${FORM_WORDS[problem.form]}), or let it be calculated.`;
    case 'amount_missing':
      return 'Unknown until you say how much: nothing can be calculated here.';
    case 'loose_end_unknown':
      return 'Say how long the loose end is and of what, or its grams: the shape of this part does not tell.';
    case 'count_missing':
      return 'Say how many, or from how many to how many.';
    case 'count_reversed':
      return `From ${problem.low} to ${problem.high} runs backwards. Swap them.`;
    case 'weight_missing':
      return 'Unknown until you give its weight.';
    case 'core_twice':
      return 'A part has one core. Make one of them a coat, or a part of its own.';
    case 'use_not_found':
      return 'What this amount is a part of is no longer there. Choose another.';
    case 'shared_not_found':
      return 'The weight it shares is no longer there. Choose another.';
    case 'finding_not_found':
      return 'This finding is no longer on the shelf. Choose another.';
    case 'join_to_itself':
      return 'A part cannot be set onto itself. Choose another.';
    case 'join_circular':
      return `These are set onto one another in a circle: ${problem.names.join(' → ')}. Take one of the joins out.`;
    case 'sleeve_thinner_than_wire':
      return (
        `A sleeve ${showNumber(problem.diameterMm, 1)} mm across does not go round a wire of ` +
        `${showNumber(problem.wireMm, 1)} mm. Make it thicker.`
      );
    case 'outline_missing':
      return 'Bring an outline in: paste it, or choose an SVG file.';
    case 'outlines_too_fine':
      return (
        `The outlines of this pattern have ${showNumber(problem.points, 0)} points together; ` +
        `at most ${showNumber(problem.mostPoints, 0)} are kept. Simplify them in the drawing.`
      );
    case 'outline_unsound':
      return OUTLINE_FAULTS[problem.fault];
    case 'loose_end_of_neither':
      return 'The loose end is of a part that this join does not hold. Choose one of its two.';
    case 'no_parts':
      return 'There is nothing to make yet: add a part.';
    case 'no_wool':
      return 'No part takes any wool: lay a layer on one, or say what it weighs.';
    case 'swap_open':
      return 'Choose what may be taken instead, or take the swap away.';
    case 'colour_not_read':
      return `“${problem.text}” is not a colour. Write it as #rrggbb, such as #6b7f3a.`;
    case 'piece_name_taken':
      return `Another piece is called “${problem.name}” already. Give this one a name of its own.`;
    case 'name_taken':
      return `There is a lot “${problem.name}” of this fibre already. Give this one another name.`;
    case 'inner_over_outer':
      return (
        `It cannot be wider inside (${showNumber(problem.innerMm, 1)} mm) than outside ` +
        `(${showNumber(problem.outerMm, 1)} mm).`
      );
    case 'inner_range_reversed':
      return problem.leastMm === null
        ? 'Say how wide the narrowest is inside, too.'
        : `The widest cannot be narrower inside than the narrowest, ${showNumber(problem.leastMm, 1)} mm.`;
    case 'needle_nameless':
      return 'Give its gauge, or your own word for its size, or its mark: something to ask for it by.';
    case 'pile_too_small':
      return `There ${problem.has === 1 ? 'is' : 'are'} only ${problem.has} ${PILE_WORDS[problem.pile]}. Nothing was changed.`;
    case 'more_back_than_out':
      return `Only ${problem.out} went out. Count one more out first, if one was forgotten.`;
    case 'seat_beyond':
      return `There is no seat ${problem.seat}: the class has ${problem.seats}. Give it more seats, or take the person out.`;
    case 'seat_twice':
      return `Seat ${problem.seat} is there twice. Keep one of the two.`;
    case 'choose_by_late':
      return `They have to choose before the day itself, ${problem.date}.`;
    case 'clock_not_read':
      return `“${problem.text}” is no time of day. Write it as 14:00.`;
    case 'session_before_last':
      return 'This session begins before the one ahead of it is over. Give it a later day or time.';
    case 'row_without_session':
      return 'This belongs to a session that is gone. Put it into another, or take it out.';
    case 'boxes_have_no_seats':
      return 'A batch of kits has no seats. Take the roster away, or plan a class.';
    case 'boxes_missing':
      return 'There is no box yet. Add one, and say what goes into it.';
    case 'box_empty':
      return 'Nothing is in this box. Add a design, or take the box out.';
    case 'labels_too_wide':
      return (
        `These labels take ${showNumber(problem.neededMm, 1)} mm across, and the page has ` +
        `${showNumber(problem.pageMm, 1)} mm. Fewer columns, or narrower labels.`
      );
    case 'labels_too_tall':
      return (
        `These labels take ${showNumber(problem.neededMm, 1)} mm down, and the page has ` +
        `${showNumber(problem.pageMm, 1)} mm. Fewer rows, or lower labels.`
      );
    case 'permission_missing':
      return (
        `No permission to ${PERMITTED_WORDS[problem.what]} from ${problem.titles.join(', ')}. ` +
        'Ask for it, or write down why you go on.'
      );
    case 'state_wants':
      return wantsWords(problem.wants, problem.count);
    case 'reason_missing':
      return 'Say where you looked: a missing needle is given up only with a reason.';
    case 'pack_twice':
      return 'This pack has a price already. Keep one of the two.';
    case 'arrived_over':
      return (
        `${problem.arrived} have come of ${problem.ordered} that were ordered. ` +
        'Count them again, or say that more came.'
      );
    case 'arrival_empty':
      return 'Say what came, or that nothing more will.';
    case 'part_outside':
      return 'A piece of this plan lies outside what it is cut from. Plan it again.';
    case 'piece_unknown':
      return 'This plan cuts a piece that is not among those that are wanted. Plan it again.';
    case 'line_not_found':
      return 'This line is not in the order any more. Open the order again.';
    case 'day_not_read':
      return `“${problem.text}” is no day. Write it like 2027-03-14.`;
    case 'by_before_begin':
      return 'It would begin after the day it is wanted by. Choose an earlier day, or a later one to have it by.';
    case 'days_reversed':
      return 'The last day is before the first. Swap the two.';
    case 'break_out_of_order':
      return 'Each price is for more packs than the one before. Put them in order, from few to many.';
    case 'break_dearer':
      return 'Each pack costs more here than when fewer are bought. Check both prices.';
    case 'assortment_empty':
      return 'An assortment holds at least one thing. Say what is in it, and how much of each.';
    case 'content_twice':
      return 'It is in this pack already. Put the two amounts together.';
    case 'blend_empty':
      return 'A blend needs at least one fibre. Add what goes into it.';
    case 'part_twice':
      return 'It is in the blend already. Put its parts together.';
    case 'blend_circular':
      return `A blend cannot contain itself: ${problem.names.join(' → ')}. Take one of them out.`;
    case 'cell_not_read':
      return problem.text === ''
        ? `“${problem.column}” is empty; it should be ${problem.wanted}.`
        : `“${problem.text}” under “${problem.column}” is not ${problem.wanted}.`;
    case 'row_twice':
      return `“${problem.name}” stands in line ${problem.firstLine} too. Keep one of the two.`;
    case 'not_on_shelf':
      return `“${problem.name}” is not on the shelf. Put it there first, or mend the name.`;
    case 'several_on_shelf':
      return `Several things are called “${problem.name}”. Say how it is prepared.`;
    case 'lot_not_found':
      return `There is no lot “${problem.name}”. Its lots: ${problem.lots.join(', ') || 'none yet'}.`;
    case 'lot_not_said':
      return `Say which lot: ${problem.lots.join(', ')}.`;
    case 'stock_short':
      return (
        `${problem.name} has ${showNumber(problem.onHandG, 1)} g and this takes ` +
        `${showNumber(problem.wantedG, 1)} g. Make less, or count it again.`
      );
    case 'stock_below_nothing':
      return (
        `By the ledger there are only ${showNumber(Math.max(0, problem.onHand), 1)} of it, and this takes ` +
        `${showNumber(problem.taken, 1)}. Count it again, or enter it anyway: the ledger then says less than nothing.`
      );
    case 'date_not_read':
      return problem.text === ''
        ? 'Choose a day.'
        : `“${problem.text}” is not a day. Write it as 2026-12-05.`;
    case 'field_not_known':
      return `“${problem.field}” is not a field here. Leave it out.`;
    case 'field_missing':
      return `“${problem.field}” is missing.`;
    case 'field_wrong':
      return `This ${problem.reason}.`;
  }
}
