import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { blankUse, checkPattern, type Pattern, type Stage, type Step } from '@lanakit/core/pattern';
import { mendOf, type Remark, remarksOf, reviewOf, withMeant } from '@lanakit/core/review';
import type { Wool } from '@lanakit/core/engine';
import { shelfOf } from '../../server/src/services/runSources.ts';
import { NOW, openStudio, type Studio } from '../../server/test/support/studio.ts';
import { loadDemo } from '../src/index.ts';

/** A copy to be spoilt. */
type Fault = (figure: Pattern) => void;
function produce(figure: Pattern, plant: Fault): Pattern {
  const copy = structuredClone(figure);
  plant(copy);
  return copy;
}

const stepOf = (figure: Pattern, id: string): Step => {
  const step = figure.steps.find((each) => each.id === id);
  if (!step) throw new Error(`no step ${id}`);
  return step;
};
const partOf = (figure: Pattern, name: string) => {
  const part = figure.parts.find((each) => each.name === name);
  if (!part) throw new Error(`no part ${name}`);
  return part;
};
const LATE: ReadonlySet<Stage> = new Set<Stage>(['coat', 'join', 'detail', 'hair', 'mount', 'finish']);

/** One slip each, as they are made on paper: in which figure, what is done, and by which name it is found. */
const PLANTED: readonly (readonly [what: string, figure: string, plant: Fault, code: Remark['code']])[] = [
  ['two legs fewer in the words', 'Harbour puffin', (f) => void (stepOf(f, 'feet').text = 'Three feet, turned as you felt them, flat below.'), 'count_in_words'],
  ['a check that sends ahead', 'Balloon mobile', (f) => void (stepOf(f, 'level').checks[0]!.returnToStepId = 'finish'), 'check_points_ahead'],
  ['a check with nothing to look at', 'Balloon mobile', (f) => void (stepOf(f, 'level').checks[0]!.look = ' '), 'check_without_look'],
  ['a check with no remedy', 'Balloon mobile', (f) => void (stepOf(f, 'level').checks[0]!.remedy = ''), 'check_without_remedy'],
  ['an empty step', 'Pear with two leaves', (f) => void (f.steps[0]!.text = ''), 'step_empty'],
  ['minutes forgotten', 'Pear with two leaves', (f) => void (f.steps[0]!.minutes = null), 'minutes_not_said'],
  ['a picture that is not there', 'Pear with two leaves', (f) => void (f.steps[0]!.pictures = [], f.steps[0]!.text += ' As shown below.', f.drawnStepIds = []), 'picture_promised'],
  ['a picture nobody described', 'Balloon mobile', (f) => void (f.pictures[0]!.alt = ''), 'picture_without_words'],
  ['a needle by its colour', 'Pear with two leaves', (f) => void (f.steps[0]!.text += ' Use the green needle.'), 'needle_by_colour'],
  ['wire ends left bare', 'Harbour puffin', (f) => f.cuts.forEach((cut) => { if (cut.kind === 'wire') cut.endCurls = 0; }), 'wire_ends_bare'],
  ['a cord nobody knots', 'Balloon mobile', (f) => f.cuts.forEach((cut) => { if (cut.id === 'hanging-cord' && cut.kind === 'cord') cut.knots = 0; }), 'cord_without_knot'],
  ['a height it does not reach', 'Harbour puffin', (f) => void (f.finishedHeight = { value: 170, unit: 'mm' }), 'height_off_figure'],
  ['a part with no name', 'Pear with two leaves', (f) => void (f.parts.at(-1)!.name = ' '), 'part_unnamed'],
  ['two parts of one name', 'Harbour puffin', (f) => void (partOf(f, 'Foot').name = 'Leg'), 'names_alike'],
  ['a title forgotten', 'Pear with two leaves', (f) => void (f.title = ' '), 'title_blank'],
  ['not one’s own, and nobody is named', 'Pear with two leaves', (f) => void (f.rights = { origin: 'learned', from: 'a friend', permissions: [], credit: '' }), 'credit_missing'],
  ['an easier level than it asks', 'Harbour puffin', (f) => void (f.level = 'first-timer', f.levelReason = ''), 'level_below'],
  ['a colourway of nothing', 'Balloon mobile', (f) => f.colourways.forEach((colourway) => void (colourway.fills = [])), 'colourway_as_written'],
  ['a slot of nothing', 'Balloon mobile', (f) => void f.slots.push({ id: 'spare', name: 'spare', places: [], rule: null }), 'slot_without_places'],
  ['a session that begins nowhere', 'Harbour puffin', (f) => void (f.sessions.at(-1)!.firstStepId = null), 'session_without_step'],
  ['a session nobody can leave', 'Harbour puffin', (f) => void (f.sessions.at(-1)!.safeStop = ''), 'session_not_described'],
  ['left or right, and whose?', 'Harbour puffin', (f) => void ((f.sidesSeen = null), (stepOf(f, 'feet').text += ' The left one first.')), 'sides_not_said'],
  ['a step as long as a page', 'Pear with two leaves', (f) => void (f.steps[0]!.text = 'Roll it and roll it again and turn it as you go. '.repeat(7)), 'step_too_long'],
  ['as before, and nobody knows what', 'Pear with two leaves', (f) => void (f.steps[0]!.text = 'As before.'), 'points_at_nothing'],
  ['a detail with no step', 'Harbour puffin', (f) => { const { id } = partOf(f, 'Foot'); partOf(f, 'Foot').uses.push({ ...blankUse('stray-dot', 'dot', null), diameter: { value: 4, unit: 'mm' } } as never); f.steps.forEach((step) => { if (LATE.has(step.stage)) step.partIds = step.partIds.filter((each) => each !== id); }); }, 'detail_never_worked'],
  ['a choice nobody tells of', 'Stag beetle brooch', (f) => void (stepOf(f, 'magnets-on').text = 'Sew two pockets of sheet onto the back.'), 'finding_unsaid_in_build'],
  ['a caution taken off', 'Balloon mobile', (f) => void stepOf(f, 'pennants').cautions.dismissed.push('blade'), 'caution_taken_off'],
]; // prettier-ignore

/** What follows of itself from a slip, and is told beside it. */
const FOLLOWS: Readonly<Partial<Record<Remark['code'], readonly Remark['code'][]>>> = {
  detail_never_worked: ['join_never_made', 'part_never_joined'],
  names_alike: ['count_in_words'],
  picture_promised: ['picture_never_shown'],
};

describe('slips planted one by one in copies of the demo figures', () => {
  let studio: Studio;
  let wool: Wool;
  const figures = new Map<string, Pattern>();
  beforeAll(() => {
    studio = openStudio();
    loadDemo(studio.servicesAt, NOW);
    for (const { document } of studio.deps.store.patterns.published().toSorted((a, b) => a.number - b.number))
      figures.set(document.title, document);
    wool = shelfOf(studio.deps.store);
  });
  afterAll(() => studio.close());

  const planted = (name: string, plant: Fault): Pattern => {
    const figure = figures.get(name);
    if (!figure) throw new Error(`no figure ${name}`);
    return produce(figure, plant);
  };

  test.each(PLANTED)('%s (%s) is found by its name, and nothing else is', (_what, name, plant, code) => {
    const codes = new Set(remarksOf(planted(name, plant), wool).map((remark) => remark.code));
    expect(codes).toContain(code);
    const expected = [code, ...(FOLLOWS[code] ?? [])];
    expect([...codes].filter((each) => !expected.includes(each))).toEqual([]);
  });

  test.each(PLANTED)(
    '%s (%s): what a press mends is mended, and nothing new stands there',
    (_what, name, plant, code) => {
      const figure = planted(name, plant);
      const remarks = remarksOf(figure, wool);
      let ids = 0;
      for (const remark of remarks.filter((each) => each.code === code)) {
        const mend = mendOf(remark, figure, () => `mended-${(ids += 1)}`);
        if (!mend) continue;
        const mended = mend(figure);
        expect(remarksOf(mended, wool)).not.toContainEqual(remark);
        expect(checkPattern(mended)).toEqual(checkPattern(figure));
      }
    },
  );

  test('meant so it is not asked again, until the step changes', () => {
    const figure = planted(
      'Pear with two leaves',
      (f) => void (f.steps[0]!.text += ' Use the green needle.'),
    );
    const [remark] = remarksOf(figure, wool);
    if (!remark) throw new Error('nothing is found');
    const meant: Pattern = { ...figure, meant: withMeant(figure, remark, 'the green one of our kit') };
    expect(checkPattern(meant)).toEqual([]);
    const sorted = reviewOf(meant, wool);
    expect(sorted.open).toEqual([]);
    expect(sorted.meant).toMatchObject([{ reason: 'the green one of our kit' }]);
    const changed = produce(meant, (f) => void (f.steps[0]!.text += ' Gently.'));
    expect(reviewOf(changed, wool).open).toEqual([remark]);
    const other = produce(meant, (f) => void (f.steps[1]!.text += ' Gently.'));
    expect(reviewOf(other, wool).open).toEqual([]);
    expect(withMeant(meant, remark, 'another reason')).toHaveLength(1);
  });

  test('the beetle on the table has a dozen things worth mending', () => {
    const { patterns } = studio.deps.store;
    const draft = patterns
      .page(null, 100)
      .find(({ document }) => document.title === 'Stag beetle brooch')?.document;
    if (!draft) throw new Error('no beetle');
    const found = remarksOf(draft, wool).map(({ code }) => code);
    expect([...new Set(found)].sort()).toEqual([
      'caution_taken_off',
      'check_without_remedy',
      'colourway_as_written',
      'count_in_words',
      'finding_unsaid_in_build',
      'irreversible_unchecked',
      'minutes_not_said',
      'needle_by_colour',
      'sides_not_said',
      'step_empty',
      'step_without_parts',
      'waiting_not_said',
    ]);
  });
});
