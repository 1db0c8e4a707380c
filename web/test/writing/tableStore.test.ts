import { beforeEach, describe, expect, test } from '@jest/globals';
import { onlyFibres, type Wool } from '@lanakit/core/engine';
import {
  BLANK_STEP,
  blankPart,
  blankPattern,
  blankUse,
  NO_CHOICES,
  type Pattern,
} from '@lanakit/core/pattern';
import { BLANK_FIBRE, type Fibre } from '@lanakit/core/shelf';
import fc from 'fast-check';
import type { SaveState } from '../../src/draft/DraftSaver.ts';
import { onlyWordsDiffer } from '../../src/writing/steps/useBesideWords.ts';
import { tableView } from '../../src/writing/table/tableState.ts';
import { createTableStore, mirrorOf, type TableStore } from '../../src/writing/table/tableStore.ts';

const fibre = (id: string, colour: string): Fibre => ({
  ...BLANK_FIBRE,
  id,
  name: id,
  colour,
  version: 1,
  lots: [],
  onHandG: 100,
  peakG: 100,
});
const FIBRES = [fibre('chalk', '#e6e0d2'), fibre('slate', '#3c4450')];
const WOOL: Wool = onlyFibres(new Map(FIBRES.map((ownFibre) => [ownFibre.id, ownFibre])));

/** Two parts, three steps, and an option that leaves the second part out. */
const START: Pattern = {
  ...blankPattern('Wren'),
  parts: ['body', 'tail'].map((id, at) => ({
    ...blankPart(id, id),
    shape: { kind: 'ball', diameter: { value: 60 - 30 * at, unit: 'mm' } },
    uses: [blankUse(`${id}-core`, 'core', 'chalk'), blankUse(`${id}-coat`, 'coat', 'slate')],
  })),
  steps: ['felt', 'cover', 'join'].map((id) => ({
    ...BLANK_STEP,
    id,
    text: id,
    partIds: ['body'],
    minutes: 10,
  })),
  options: [
    {
      id: 'with-tail',
      kind: 'extra',
      name: 'a tail',
      defaultValueId: 'yes',
      values: [
        { id: 'yes', name: 'yes', things: [{ kind: 'part', id: 'tail' }] },
        { id: 'no', name: 'no', things: [] },
      ],
    },
  ],
};
const WITHOUT = { ...NO_CHOICES, values: { 'with-tail': 'no' } };

/** What can be read of it: no functions, a map as its entries. */
const plain = (value: unknown): string => JSON.stringify(value instanceof Map ? [...value] : value);

interface Kept {
  readonly sent: Pattern[];
  readonly told: string[];
}

function open(saveState: SaveState<Pattern> = { kind: 'saved', atMs: null }): {
  store: TableStore;
  kept: Kept;
} {
  const kept: Kept = { sent: [], told: [] };
  let nowMs = 0;
  const store = createTableStore(
    { document: START, saveState, fibres: FIBRES, wool: WOOL, nowMs: () => (nowMs += 10_000) },
    {
      changed: (document) => void kept.sent.push(document),
      version: () => 3,
      settle: () => Promise.resolve(true),
      keepMine: () => Promise.resolve(),
      takeTheirs: () => void kept.told.push('takeTheirs'),
    },
  );
  return { store, kept };
}

const setSize = (store: TableStore, value: number, part = 0) =>
  store.getState().edit('a size', (draft) => {
    const ownPart = draft.parts[part];
    if (ownPart) ownPart.shape = { kind: 'ball', diameter: { value, unit: 'mm' } };
  });
const setWords = (store: TableStore, words: string, step = 0) =>
  store.getState().edit('the words', (draft) => void (draft.steps[step] && (draft.steps[step].text = words)));

describe('the work table', () => {
  let store: TableStore;
  let kept: Kept;
  beforeEach(() => {
    ({ store, kept } = open());
  });
  test('an edit is shown, sent once, and can be taken back', () => {
    const before = store.getState();
    setSize(store, 80);
    expect(store.getState().estimate.total.likelyG).toBeGreaterThan(before.estimate.total.likelyG);
    expect([store.getState().undoLabel, kept.sent.length]).toEqual(['a size', 1]);
    store.getState().undo();
    expect(store.getState().document).toEqual(START);
    expect([store.getState().undoLabel, store.getState().redoLabel, kept.sent.length]).toEqual([
      null,
      'a size',
      2,
    ]);
  });
  test('an edit that changes nothing tells nobody, and is not sent', () => {
    let told = 0;
    store.subscribe(() => (told += 1));
    store.getState().edit('nothing', (draft) => void (draft.title = START.title));
    store.getState().undo();
    expect([told, kept.sent.length]).toEqual([0, 0]);
  });
  test('one edit tells once', () => {
    let told = 0;
    store.subscribe(() => (told += 1));
    setSize(store, 81);
    expect(told).toBe(1);
  });
  test('words that are typed leave grams and pieces the very same; sizes leave minutes’ steps', () => {
    const before = store.getState();
    setWords(store, 'felt it round');
    const after = store.getState();
    expect([after.estimate === before.estimate, after.whole === before.whole]).toEqual([true, true]);
    expect(after.document.parts).toBe(before.document.parts);
    expect(after.totals).not.toBe(before.totals);
    setSize(store, 90);
    expect(store.getState().document.steps).toBe(after.document.steps);
  });
  test('another build is looked at without a word to the server', () => {
    const all = store.getState().estimate.total.likelyG;
    store.getState().setChoices(WITHOUT);
    const { estimate, whole, document } = store.getState();
    expect(estimate.total.likelyG).toBeLessThan(all);
    expect(whole.total.likelyG).toBeCloseTo(all, 9);
    expect([document, kept.sent]).toEqual([START, []]);
  });
  test('what is on the shelf is looked up anew, and what was chosen stays', () => {
    store.getState().setChoices(WITHOUT);
    const before = store.getState();
    const dear = FIBRES.map((ownFibre) => ({ ...ownFibre, pricePer100gMinor: 900 }));
    store.getState().setShelf(dear, onlyFibres(new Map(dear.map((given) => [given.id, given]))));
    expect(store.getState().estimate.costMinor.known).toBeGreaterThan(before.estimate.costMinor.known);
    expect(store.getState().choices).toBe(before.choices);
  });
  test('theirs is taken in a conflict, with nothing to undo, and not sent back', () => {
    const theirs = { ...START, title: 'Theirs' };
    ({ store, kept } = open({ kind: 'conflict', theirs: { version: 9, document: theirs } }));
    store.getState().takeTheirs();
    expect([store.getState().document, store.getState().undoLabel]).toEqual([theirs, null]);
    expect([kept.sent, kept.told]).toEqual([[], ['takeTheirs']]);
  });
  test('without a conflict nothing of theirs is there to take', () => {
    setSize(store, 70);
    const mine = store.getState().document;
    store.getState().takeTheirs();
    expect([store.getState().document, kept.told]).toEqual([mine, []]);
  });

  const edits = fc.array(
    fc.oneof(
      fc.record({ kind: fc.constant('size'), value: fc.integer({ min: 10, max: 200 }), at: fc.integer({ min: 0, max: 1 }) }),
      fc.record({ kind: fc.constant('words'), value: fc.integer({ min: 0, max: 9 }), at: fc.integer({ min: 0, max: 2 }) }),
      fc.record({ kind: fc.constantFrom('undo', 'redo', 'with', 'without', 'join'), value: fc.constant(0), at: fc.constant(0) }),
    ),
    { maxLength: 25 },
  ); // prettier-ignore
  test('after any edits it shows what one would see who came to it new, and what was sent last', () => {
    fc.assert(
      fc.property(edits, (all) => {
        const ownOpen = open();
        const { getState } = ownOpen.store;
        for (const { kind, value, at } of all) {
          if (kind === 'size') setSize(ownOpen.store, value, at);
          if (kind === 'words') setWords(ownOpen.store, `step ${value}`, at);
          if (kind === 'undo') getState().undo();
          if (kind === 'redo') getState().redo();
          if (kind === 'with') getState().setChoices(NO_CHOICES);
          if (kind === 'without') getState().setChoices(WITHOUT);
          if (kind === 'join')
            getState().edit('apart', (draft) => void (draft.joinsApart = !draft.joinsApart));
        }
        const { document, choices, fibres, wool } = getState();
        const anew = tableView({ document, choices, fibres, wool }, null);
        for (const key of ['build', 'estimate', 'whole', 'totals', 'cautions', 'problems'] as const)
          expect(plain(getState()[key])).toBe(plain(anew[key]));
        expect(ownOpen.kept.sent.at(-1) ?? START).toEqual(document);
      }),
      { numRuns: 60 },
    );
  });
});

describe('a list that lags behind', () => {
  test('beside a step’s words nothing moves while only they are typed; anything else brings it all', () => {
    const { store } = open();
    const mirror = mirrorOf(store, (shown, now) => !onlyWordsDiffer(shown, now, 'felt'));
    const end = mirror.watch();
    const before = mirror.store.getState();
    setWords(store, 'felt it');
    setWords(store, 'felt it round');
    expect(mirror.store.getState()).toBe(before);
    setWords(store, 'cover it', 1);
    expect(mirror.store.getState().document.steps.map(({ text }) => text)).toEqual([
      'felt it round',
      'cover it',
      'join',
    ]);
    setWords(store, 'felt');
    setSize(store, 77);
    expect(mirror.store.getState()).toBe(store.getState());
    end();
    setSize(store, 78);
    expect(mirror.store.getState()).not.toBe(store.getState());
  });
  test('what is done through it is done on the newest document', () => {
    const { store } = open();
    const mirror = mirrorOf(store, (shown, now) => !onlyWordsDiffer(shown, now, 'felt'));
    mirror.watch();
    setWords(store, 'felt it round');
    mirror.store
      .getState()
      .edit('minutes', (draft) => void (draft.steps[0] && (draft.steps[0].minutes = 25)));
    expect(store.getState().document.steps[0]).toMatchObject({ text: 'felt it round', minutes: 25 });
  });
  test('held by a hand it waits, catches up when told, and follows again when let go', () => {
    const { store } = open();
    const mirror = mirrorOf(store, () => true);
    mirror.watch();
    mirror.hold(true);
    setSize(store, 70);
    expect(mirror.store.getState()).not.toBe(store.getState());
    mirror.catchUp();
    expect(mirror.store.getState()).toBe(store.getState());
    setSize(store, 71);
    mirror.hold(false);
    expect(mirror.store.getState()).toBe(store.getState());
  });
});
