import { describe, expect, test } from '@jest/globals';
import { bagLabels, fittedLabels, makePaper } from '../../src/papers/index.ts';
import type { Pattern } from '../../src/pattern/index.ts';
import { LABEL_SHEET, pairedThings } from '../../src/run/index.ts';
import { classOf, coastDesigns, coastWool, sourceOf } from '../support/coast.ts';
import { finding } from '../support/engine.ts';
import { mm, part, pattern, shapes } from '../support/make.ts';

const crab = (findingId = 'shell'): Pattern =>
  pattern(
    [
      part('Crab', shapes.ball(30), {
        core: 'chalk',
        coat: 'amber',
        derived: [{ from: 'finding', size: 'diameter', findingId, clearance: mm(2) }],
      }),
      part('Claw', shapes.limb(30, 8), { count: 2, core: 'amber' }),
    ],
    { title: 'Hermit', findings: [{ id: 'own', findingId, partId: null, count: 1, placement: null }] },
  );
const shells = {
  varied: finding('shell', { sort: 'found', sizeVaries: true, innerMm: 22.5, innerHighMm: 27 }),
  unmeasured: finding('shell', { sort: 'found', sizeVaries: true }),
  alike: finding('shell', { innerMm: 27 }),
};
const sourceFor = (shell: keyof typeof shells) =>
  sourceOf(
    classOf({ revisionId: 'crab-1', seats: 3, sparePacks: 0 }),
    new Map([...coastDesigns, ['crab-1', crab()]]),
    { ...coastWool, findings: new Map([['shell', shells[shell]]]) },
  );
const WORDS = 'Crab and its own shell belong together (22.5–27 mm inside): mark both';

describe('what is made to go into a found thing, of which no two are alike', () => {
  test.each([
    ['measured', shells.varied, [{ partId: 'Crab', findingId: 'shell', insideMm: { least: 22.5, most: 27 } }]],
    ['never measured', shells.unmeasured, [{ partId: 'Crab', findingId: 'shell', insideMm: null }]],
    ['one like another is no pair', shells.alike, []],
  ])('%s', (_name, shell, pairs) => {
    expect(pairedThings(crab(), new Map([['shell', shell]]))).toEqual(pairs);
  });
  test('each pack’s label says so once, and the label still fits; the pack list beside the thing itself', () => {
    const labels = bagLabels(sourceFor('varied'));
    expect(labels).toHaveLength(3);
    for (const { lines } of labels) {
      expect(lines.map(({ note }) => note).filter((note) => note !== '')).toEqual([WORDS]);
      expect(lines.find(({ note }) => note === WORDS)?.parts).toContain('Crab');
    }
    expect(fittedLabels({ labels, figures: {} }, LABEL_SHEET).flatMap(({ notes }) => notes)).not.toHaveLength(0);
    expect(JSON.stringify(makePaper('packs', sourceFor('varied')))).toContain(WORDS);
  });
  test('of things that are alike nothing is said', () => {
    expect(JSON.stringify([bagLabels(sourceFor('alike')), makePaper('packs', sourceFor('alike'))])).not.toContain('belong together');
  });
}); // prettier-ignore
