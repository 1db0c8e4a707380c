import { describe, expect, test } from '@jest/globals';
import { resolveBuild } from '@lanakit/core/build';
import { NO_CHOICES } from '@lanakit/core/pattern';
import type { Remark } from '@lanakit/core/review';
import { remarkPlace } from '@lanakit/core/words';
import { EVERY_FINDING, faulty } from '../../../core/test/support/findings.ts';
import { goTo, shownByBuild } from '../../src/writing/ledger/remarkPlaces.ts';

const all: Remark[] = Object.values(EVERY_FINDING);

/** Where somebody is led to who asks for it. */
function ledTo(finding: Remark): string {
  const went: string[] = [];
  goTo(finding, {
    onChoosePart: (id) => void went.push(`part ${id}`),
    onShow: (writing) => void went.push(writing),
    onOpenStep: (id) => void went.push(`step ${id}`),
    onTogether: () => void went.push('together'),
  });
  return went.join(', ');
}

describe('what is to be looked at', () => {
  test.each(all)('$code is about something, and leads to one place', (finding) => {
    expect(remarkPlace(finding, faulty)).toMatch(/^[A-Z]/);
    expect(ledTo(finding)).not.toBe('');
    expect(ledTo(finding)).not.toContain(',');
  });
  test.each([
    ['part_never_made', 'Leg', 'part Leg'],
    ['join_never_made', 'Leg to Body', 'joins'],
    ['minutes_not_said', 'Step 2', 'step second'],
    ['order_broken', 'Order', 'step first'],
    ['slot_rule_broken', 'Options', 'options'],
    ['tool_not_used', 'Tools', 'materials'],
    ['credit_missing', 'About', 'about'],
    ['figure_falls', 'Together', 'together'],
    ['height_off_figure', 'Height', 'about'],
  ] as const)('%s: %s', (code, place, way) => {
    expect(remarkPlace(EVERY_FINDING[code], faulty)).toBe(place);
    expect(ledTo(EVERY_FINDING[code])).toBe(way);
  });
});

describe('what its author said would show', () => {
  const figure = {
    ...faulty,
    parts: faulty.parts.map((part) => (part.id === 'Leg' ? { ...part, hides: 'the seam' } : part)),
    options: [
      {
        id: 'leg',
        name: 'a leg',
        kind: 'extra' as const,
        defaultValueId: 'yes',
        values: [
          { id: 'yes', name: 'yes', things: [{ kind: 'part' as const, id: 'Leg' }] },
          { id: 'no', name: 'no', things: [] },
        ],
      },
    ],
  };
  test('of the pattern itself nothing', () => {
    expect(shownByBuild(figure, figure)).toEqual([]);
  });
  test('of a build without the part, her words', () => {
    const build = resolveBuild(figure, { ...NO_CHOICES, values: { leg: 'no' } });
    expect(shownByBuild(figure, build)).toEqual([
      { partId: 'Leg', name: 'Leg', words: 'is left out, so this shows: the seam.' },
    ]);
  });
});
