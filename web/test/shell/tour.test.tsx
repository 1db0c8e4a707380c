import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { act, cleanup, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { askedTerm } from '../../src/shell/help/askedTerm.ts';
import { pressOn, typeInto } from '../../src/shell/tour/tourHands.ts';
import { stopAt, TOUR_STOPS } from '../../src/shell/tour/tourStops.ts';
import { useTour } from '../../src/shell/tour/tourStore.ts';

afterEach(cleanup);

function Seats({ onLeave }: { onLeave: () => void }) {
  const [text, setText] = useState('8');
  return (
    <>
      <label htmlFor="seats">Seats</label>
      <input id="seats" value={text} onChange={(event) => setText(event.target.value)} onBlur={onLeave} />
      <output>{text} seats</output>
    </>
  );
}

describe('the hands of the tour', () => {
  test('type over a field as a hand does: React hears of it, and the field is left', () => {
    const left = jest.fn();
    render(<Seats onLeave={left} />);
    act(() => {
      expect(typeInto('Seats', (text) => String(Number(text) + 1))).toBe(true);
    });
    expect(screen.getByText('9 seats')).toBeTruthy();
    expect(left).toHaveBeenCalled();
  });
  test('press the first, or what says so', () => {
    const pressed = jest.fn<(name: string) => void>();
    render(
      <>
        {['6 parts', '17 steps'].map((name) => (
          <button key={name} type="button" className="turn" onClick={() => pressed(name)}>
            {name}
          </button>
        ))}
      </>,
    );
    expect(pressOn('.turn')).toBe(true);
    expect(pressOn('.turn', /^\d+ steps?$/)).toBe(true);
    expect(pressed.mock.calls.flat()).toEqual(['6 parts', '17 steps']);
  });
  test('what is not there is not done, and says so', () => {
    render(<p>Seats</p>);
    expect(typeInto('Seats', () => '9')).toBe(false);
    expect(pressOn('.turn')).toBe(false);
  });
});

describe('the stops', () => {
  beforeEach(() => useTour.getState().leave());

  test.each([
    ['/begin', 0],
    ['/runs/r1', 1],
    ['/patterns/p1', 2],
    ['/runs/r1/weigh-out', 3],
    ['/runs/r1/papers/packs', 4],
    ['/runs', null],
    ['/begin/shelf', null],
    ['/patterns/p1/read', null],
  ])('%s is stop %s', (path, stop) => {
    expect(stopAt(path)).toBe(stop);
  });
  test('each leads to itself, once there is what it is of; before that nowhere', () => {
    const met = { runId: 'r1', patternId: 'p1' };
    TOUR_STOPS.forEach(({ pathOf, isAt }, at) => {
      const [path = ''] = (pathOf(met) ?? '').split('?');
      expect(isAt(path)).toBe(true);
      expect(stopAt(path)).toBe(at);
      expect(pathOf({ runId: null, patternId: null }) === null).toBe(at > 0);
    });
  });
  test('begun, it is at the first; left, it has forgotten what it met', () => {
    const { begin, arrive, leave } = useTour.getState();
    begin();
    expect(useTour.getState()).toMatchObject({ stop: 0, runId: null });
    arrive(1, { runId: 'r1' });
    arrive(2, { patternId: 'p1' });
    expect(useTour.getState()).toMatchObject({ stop: 2, runId: 'r1', patternId: 'p1' });
    leave();
    expect(useTour.getState()).toMatchObject({ stop: null, runId: null, patternId: null });
  });
});

describe('a field asks for its own word', () => {
  test.each([
    ['Spare packs', 'spare'],
    ['Name', null],
  ])('%s: %s', (label, term) => {
    render(
      <>
        <label htmlFor="asked">{label}</label>
        <input id="asked" />
      </>,
    );
    screen.getByLabelText(label).focus();
    expect(askedTerm()).toBe(term);
  });
  test('no field, no word', () => {
    expect(askedTerm()).toBeNull();
  });
});
