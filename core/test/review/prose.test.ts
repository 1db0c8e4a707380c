import { describe, expect, test } from '@jest/globals';
import { remarksOf } from '../../src/review/index.ts';
import { cleanFigure, type Make, reviewWool } from '../support/reviewed.ts';

const MAKE: Make = { bodyMm: 60, limbMm: 40, limb: 'Leg', limbs: 4, isRound: true, unit: 'mm' };

/** What is found when a step says this instead. */
const found = (stepId: string, text: string): string[] => {
  const figure = cleanFigure(MAKE);
  const steps = figure.steps.map((step) => (step.id === stepId ? { ...step, text } : step));
  return remarksOf({ ...figure, steps }, reviewWool).map((remark) =>
    'inText' in remark ? `${remark.code}: ${remark.inText}` : remark.code,
  );
};

describe('as makers write', () => {
  test.each<[stepId: string, text: string, remarks: readonly string[]]>([
    // Wool by its colour, its preparation, its other names; the coat is a green carded one, the core a pale batt.
    ['coat', 'Lay green wool all round.', []],
    ['coat', 'Lay olive fibre all round.', []],
    ['coat', 'Lay moss-coloured wisps all round.', []],
    ['coat', 'Lay black wool all round.', ['wool_not_in_build: black wool']],
    ['coat', 'Lay green tops all round.', ['wool_not_in_build: green tops']],
    ['coat', 'Lay green roving all round.', []],
    ['coat', 'Cover it with some cream batting.', []],
    ['coat', 'Add a little of the locks.', ['wool_not_in_build: locks']],
    ['coat', 'Add some locks.', ['wool_not_in_build: locks']],
    ['coat', 'It locks the fibre in; the tops of the shoulders stay thin.', []],
    // Parts that another figure had.
    ['finish', 'Go over the paws once more.', []],
    ['finish', 'Go over both wings once more.', []],
    ['finish', 'Go over the tail once more.', ['part_not_in_build: tail']],
    ['finish', 'Tail ends of wool are snipped off.', []],
    // Sizes: of the part, at some stage of its making, or of the wool it is made of.
    ['body', 'Felt it until it is 60 mm across.', []],
    ['body', 'Felt it until it is 6 cm across.', []],
    ['body', 'Felt it until it is 35 mm across, and firm.', ['size_in_words: 35 mm']],
    ['body', 'Roll a strip, 400 mm long, as tight as it goes.', []],
    ['body', 'Tear off a 50 mm wide strip and roll it.', []],
    // Openings, one kind at a time.
    ['finish', 'Snip a slit below. Push the wire through the slit.', []],
    ['finish', 'Poke a hole with an awl. Push the wire through the slit.', ['opening_never_made']],
    ['finish', 'Push it through the felt.', []],
    // Two lengths that are to be one.
    ['coat', 'Keep it 3 mm (⅛ in) thick.', []],
    ['coat', 'Keep it 2 mm (⅛ in) thick.', ['units_disagree: 2 mm = ⅛ in']],
    ['coat', 'Between 2 mm and 1 in all is well.', []],
    // Sides and numbers.
    ['limbs', 'Felt four legs round the wire, one end loose.', []],
    ['limbs', 'Felt 4 small legs round the wire, one end loose.', []],
    ['limbs', 'Felt five legs round the wire, one end loose.', ['count_in_words']],
    ['coat', 'Begin on its left.', []],
    ['coat', 'Begin on your left.', ['sides_mixed']],
    // Of what is set together before it is there; an elegant one is no leg.
    ['body', 'Roll it tight, felt it firm. Sort the legs by size.', ['matched_too_early']],
    ['body', 'Roll it tight, felt it firm. Match its elegance.', []],
    ['coat', 'Go on as you decided.', ['choice_never_made']],
    // Firmness the author wants.
    ['fin', 'Felt it as firm as the body, turning it.', []],
    ['fin', 'Felt it softer than the body, turning it.', ['firmness_off']],
    ['fin', 'Felt it firmer than you think, turning it.', []],
    ['eyes', 'Poke a hole for each eye and sew them on with strong thread.', []],
    ['eyes', 'Poke three holes for the eyes and sew them on with strong thread.', ['holes_off']],
    ['eyes', 'Sew the 6 mm glass eyes on with strong thread.', []],
    ['eyes', 'Sew the 8 mm glass eyes on with strong thread.', ['finding_size_in_words: 8 mm eye']],
  ])('%s: “%s” %j', (stepId, text, remarks) => {
    expect(found(stepId, text)).toEqual(remarks);
  });
});
