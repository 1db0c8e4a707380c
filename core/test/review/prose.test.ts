import { describe, expect, test } from '@jest/globals';
import type { Pattern } from '../../src/pattern/index.ts';
import { remarksOf, reviewOf, withMeant } from '../../src/review/index.ts';
import { step } from '../support/writing.ts';
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
    // Finer than hands.
    ['coat', 'It is 12.5 mm thick there.', []],
    ['coat', 'It is 12.3 mm thick there.', ['finer_than_felt: 12.3 mm']],
    ['coat', 'It is 1.23 cm thick there.', ['finer_than_felt: 1.23 cm']],
    ['coat', 'It is 40 mm ± 0.5 mm there.', ['finer_than_felt: ± 0.5 mm']],
    ['coat', 'It is 40 mm give or take 2 mm there.', []],
    ['coat', 'Use about 1.25 g of it.', ['finer_than_felt: 1.25 g']],
    ['coat', 'Use about 1.2 g of it.', []],
    ['eyes', 'Poke the holes 12.3 mm apart. Sew both eyes on with strong thread.', []],
    // Wool that only lies there.
    ['eyes', 'Lay a wisp behind each. Sew both eyes on with strong thread.', []],
    ['finish', 'Leave a stripe open for now.', ['never_closed']],
    ['coat', 'Leave the seam open for now, then close it.', []],
    // Which way.
    ['finish', 'Wrap a thin layer clockwise.', []],
    // For another day.
    ['coat', 'The legs are joined next time.', []],
    ['finish', 'The legs are joined next time.', ['promised_absent: Leg']],
    ['coat', 'Antlers follow tomorrow.', ['promised_absent: Antlers']],
    ['coat', 'The antlers follow tomorrow.', ['part_not_in_build: antler']],
    ['coat', 'Put it into its bag until next time.', []],
  ])('%s: “%s” %j', (stepId, text, remarks) => {
    expect(found(stepId, text)).toEqual(remarks);
  });
});

/** What is found when several steps say something else. */
const foundIn = (texts: Readonly<Record<string, string>>, change: (figure: Pattern) => void = () => {}) => {
  const figure = cleanFigure(MAKE);
  const steps = figure.steps.map((step) => ({ ...step, text: `${step.text} ${texts[step.id] ?? ''}` }));
  const changed = structuredClone({ ...figure, steps });
  change(changed);
  return remarksOf(changed, reviewWool).map(({ code }) => code);
};

describe('over several steps', () => {
  test.each<[says: string, texts: Readonly<Record<string, string>>, remarks: readonly string[]]>([
    ['the other way', { coat: 'Wrap clockwise.', finish: 'Wrap counter-clockwise.' }, ['wrapped_against']],
    ['the same way', { coat: 'Wrap clockwise.', finish: 'Wrap clockwise.' }, []],
    ['turned on purpose', { coat: 'Wrap clockwise.', finish: 'Now wrap anticlockwise.' }, []],
    ['of another part', { limbs: 'Wrap clockwise.', coat: 'Wrap anticlockwise.' }, []],
    ['along another line', { coat: 'Lay it from left to right.', finish: 'Lay it toward you.' }, []],
    ['against the pile', { coat: 'Lay it from head to tail.', finish: 'Brush it from tail to head.' }, ['wrapped_against']],
    ['a term, first used', { body: 'Skim it once.', coat: 'To skim is to go in flat.' }, ['term_before_explained']],
    ['a term, first explained', { body: 'To skim is to go in flat.', coat: 'Skim it once.' }, []],
    ['a term nobody uses before', { coat: 'This is called skimming.' }, []],
    ['no term at all', { body: 'Felt it.', coat: 'Felting means patience.' }, []],
  ])('%s: %j %j', (_says, texts, remarks) => {
    expect(foundIn(texts)).toEqual(remarks);
  }); // prettier-ignore

  test.each([
    ['made itself', 'Wrap it lengthwise.', ['wrapped_against']],
    ['left as it was chosen', 'Wrap it the way you chose.', []],
    ['told for both', 'Lengthwise or round: as you chose.', []],
  ])('a choice that is recalled and %s', (_how, text, remarks) => {
    const decided = (figure: Pattern) => {
      const act = { kind: 'decide' as const, question: 'Which way?', answers: ['lengthwise', 'round'] };
      figure.steps.splice(1, 0, step('which', act, ['body'], { text: 'Which way?', needle: { by: 'none' } }));
      const last = figure.steps.at(-1);
      if (last) Object.assign(last, { recallsStepId: 'which', act: { kind: 'wrap' } });
    };
    expect(foundIn({ finish: text }, decided)).toEqual(remarks);
  });
});

test('of two things in one step’s words each is meant so by itself', () => {
  const figure = cleanFigure(MAKE);
  const steps = figure.steps.map((each) =>
    each.id === 'coat' ? { ...each, text: 'Add purple wool, then some locks.' } : each,
  );
  const [first, second] = remarksOf({ ...figure, steps }, reviewWool);
  const meant = [first, second].reduce<Pattern>(
    (before, remark) => (remark ? { ...before, meant: withMeant(before, remark, 'so') } : before),
    { ...figure, steps },
  );
  expect(reviewOf(meant, reviewWool)).toMatchObject({
    open: [],
    meant: [{ remark: first }, { remark: second }],
  });
});
