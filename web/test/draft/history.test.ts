import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyEdit, beginHistory, redo, undo, type History } from '../../src/draft/history.ts';

interface Sheet {
  title: string;
  rows: number[];
}

const start = (): History<Sheet> => beginHistory<Sheet>({ title: 'a', rows: [1, 2, 3] });

const type = (history: History<Sheet>, title: string, atMs: number, key = 'title') =>
  applyEdit(history, { label: 'the title', key, atMs, recipe: (draft) => void (draft.title = title) });

test('letters typed closely are one edit; a pause begins another', () => {
  let history = type(type(start(), 'ab', 0), 'abc', 400);
  expect(history.past).toHaveLength(1);
  history = type(history, 'abcd', 5000);
  expect(history.past).toHaveLength(2);
  expect(undo(undo(history)).document.title).toBe('a');
});

test('edits of different fields stay apart however close', () => {
  const history = type(type(start(), 'ab', 0), 'abc', 10, 'other');
  expect(history.past).toHaveLength(2);
});

test('an edit that changes nothing leaves no trace', () => {
  expect(type(start(), 'a', 0).past).toHaveLength(0);
});

test('typing after an undo begins a new edit and forgets what was undone', () => {
  const undone = undo(type(start(), 'ab', 0));
  const typed = type(undone, 'ax', 100);
  expect(typed.future).toHaveLength(0);
  expect(undo(typed).document.title).toBe('a');
});

test('undo and redo at the ends do nothing', () => {
  const history = start();
  expect(undo(history)).toBe(history);
  expect(redo(history)).toBe(history);
});

test('undoing everything gives the beginning back, redoing everything the end', () => {
  const edit = fc.oneof(
    fc.record({ kind: fc.constant('push' as const), value: fc.integer() }),
    fc.record({ kind: fc.constant('drop' as const), value: fc.nat(5) }),
    fc.record({ kind: fc.constant('title' as const), value: fc.integer() }),
  );
  fc.assert(
    fc.property(fc.array(edit, { maxLength: 25 }), (edits) => {
      let history = start();
      edits.forEach(({ kind, value }, i) => {
        history = applyEdit(history, {
          label: kind,
          key: kind,
          atMs: i * 700,
          recipe: (draft) => {
            if (kind === 'push') draft.rows.push(value);
            if (kind === 'drop') draft.rows.splice(value, 1);
            if (kind === 'title') draft.title = String(value);
          },
        });
      });
      const end = history.document;
      while (history.past.length > 0) history = undo(history);
      expect(history.document).toEqual(start().document);
      while (history.future.length > 0) history = redo(history);
      expect(history.document).toEqual(end);
    }),
  );
});

test('a clock set back runs nothing together', () => {
  expect(type(type(start(), 'ab', 9000), 'abc', 100).past).toHaveLength(2);
});
