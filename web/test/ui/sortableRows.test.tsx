import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { SortableRows } from '../../src/ui/SortableRows.tsx';

// Neither is drawn by jsdom.
Object.assign(Element.prototype, { scrollIntoView: () => undefined });
globalThis.CSS = { escape: (text: string) => text } as typeof CSS;

afterEach(cleanup);

const NAMES: Readonly<Record<string, string>> = { a: 'Body', b: 'Stalk', c: 'Leaf' };

function rowsOf(ids: readonly string[]) {
  let rename: (names: Readonly<Record<string, string>>) => void = () => undefined;
  const calls: string[] = [];
  const drawn: string[] = [];
  function List() {
    const [order, setOrder] = useState(ids);
    const [names, setNames] = useState(NAMES);
    rename = setNames;
    return (
      <SortableRows
        noun="part"
        openId={null}
        rows={order.map((id) => ({ id, name: names[id] ?? id, of: [names[id]] }))}
        renderRow={(id) => {
          drawn.push(id);
          return (
            <>
              <button type="button" data-row-head>
                {names[id]}
              </button>
              <input aria-label={`Name of ${names[id]}`} />
            </>
          );
        }}
        onMove={(id, to) => {
          calls.push(`${id} to ${to}`);
          const rest = order.filter((candidate) => candidate !== id);
          setOrder([...rest.slice(0, to), id, ...rest.slice(to)]);
        }}
        onDuplicate={(id) => void calls.push(`copy ${id}`)}
        onAddAfter={(id) => void calls.push(`after ${id}`)}
        onDelete={(id) => {
          calls.push(`delete ${id}`);
          setOrder(order.filter((candidate) => candidate !== id));
        }}
      />
    );
  }
  render(<List />);
  const head = (name: string) => screen.getByRole('button', { name });
  const key = (name: string, options: object) => fireEvent.keyDown(head(name), options);
  const order = () => [...document.querySelectorAll('[data-row-head]')].map(({ textContent }) => textContent);
  return { calls, drawn, head, key, order, rename: (to: typeof NAMES) => act(() => rename(to)) };
}

describe('rows by keys', () => {
  test('an arrow goes on to the next row, and no further than the last', () => {
    const { head, key, calls } = rowsOf(['a', 'b', 'c']);
    head('Body').focus();
    key('Body', { key: 'ArrowDown' });
    expect(document.activeElement).toBe(head('Stalk'));
    key('Stalk', { key: 'ArrowUp' });
    expect(document.activeElement).toBe(head('Body'));
    key('Body', { key: 'ArrowUp' });
    expect(document.activeElement).toBe(head('Body'));
    expect(calls).toEqual([]);
  });
  test('Alt and an arrow moves the row, and the focus goes with it', () => {
    const { head, key, calls, order } = rowsOf(['a', 'b', 'c']);
    head('Leaf').focus();
    key('Leaf', { key: 'ArrowUp', altKey: true });
    expect(order()).toEqual(['Body', 'Leaf', 'Stalk']);
    expect(calls).toEqual(['c to 1']);
    expect(document.activeElement).toBe(head('Leaf'));
  });
  test.each([
    ['Ctrl D copies it', { key: 'd', ctrlKey: true }, ['copy b']],
    ['⌘ D copies it', { key: 'D', metaKey: true }, ['copy b']],
    ['Ctrl Enter adds one after it', { key: 'Enter', ctrlKey: true }, ['after b']],
    ['Delete takes it out', { key: 'Delete' }, ['delete b']],
    ['a plain d is for a search', { key: 'd' }, []],
    ['Enter opens it, which is the row’s own', { key: 'Enter' }, []],
  ])('%s', (_name, options, expected) => {
    const { key, calls } = rowsOf(['a', 'b', 'c']);
    key('Stalk', options);
    expect(calls).toEqual(expected);
  });
  test.each([
    ['b', 'Stalk', 'Leaf'],
    ['c', 'Leaf', 'Stalk'],
  ])('%s taken out: the focus is on the row that is next', (_id, name, next) => {
    const { head, key } = rowsOf(['a', 'b', 'c']);
    key(name, { key: 'Delete' });
    expect(document.activeElement).toBe(head(next));
  });
  test('a key in a field of the row is the field’s', () => {
    const { calls } = rowsOf(['a', 'b']);
    const field = screen.getByLabelText('Name of Body');
    fireEvent.keyDown(field, { key: 'Delete' });
    fireEvent.keyDown(field, { key: 'ArrowDown', altKey: true });
    expect(calls).toEqual([]);
  });
  test('rows within rows: a key is for the innermost', () => {
    const outer = jest.fn();
    const actions = { onMove: outer, onDuplicate: outer, onDelete: outer, onAddAfter: outer };
    const inner = jest.fn();
    render(
      <SortableRows
        noun="part"
        openId={null}
        rows={[{ id: 'o', name: 'outer' }]}
        renderRow={() => (
          <>
            <button type="button" data-row-head>
              outer
            </button>
            <SortableRows
              noun="layer"
              openId={null}
              rows={[{ id: 'i', name: 'inner' }]}
              renderRow={() => (
                <button type="button" data-row-head>
                  inner
                </button>
              )}
              {...actions}
              onDelete={inner}
            />
          </>
        )}
        {...actions}
      />,
    );
    fireEvent.keyDown(screen.getByRole('button', { name: 'inner' }), { key: 'Delete' });
    expect(inner).toHaveBeenCalledWith('i');
    expect(outer).not.toHaveBeenCalled();
  });
});

describe('what is drawn', () => {
  test('a row whose thing is the same is not drawn again when another changes', () => {
    const { drawn, rename } = rowsOf(['a', 'b', 'c']);
    drawn.length = 0;
    rename({ ...NAMES, b: 'Stem' });
    expect(drawn).toEqual(['b']);
  });
  test('each handle says what it moves, and where from', () => {
    rowsOf(['a', 'b']);
    expect(
      screen
        .getAllByRole('button', { name: /^Move part/ })
        .map((handle) => handle.ariaLabel ?? handle.getAttribute('aria-label')),
    ).toEqual(['Move part 1, Body', 'Move part 2, Stalk']);
  });
});
