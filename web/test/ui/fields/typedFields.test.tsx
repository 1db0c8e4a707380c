import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { act, cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState, type ReactNode } from 'react';
import { CountField } from '../../../src/ui/fields/CountField.tsx';
import { LengthField } from '../../../src/ui/fields/LengthField.tsx';
import { LengthRangeField } from '../../../src/ui/fields/LengthRangeField.tsx';
import { MinutesField } from '../../../src/ui/fields/MinutesField.tsx';
import { NumberField } from '../../../src/ui/fields/NumberField.tsx';

afterEach(cleanup);

/** A field as it lies in a form: what it takes comes back to it. `became` has all it took, the last one last. */
function held<T>(start: T, field: (value: T, onValue: (value: T) => void) => ReactNode) {
  const became: T[] = [];
  let replace: (value: T) => void = () => undefined;
  function Held() {
    const [value, setValue] = useState(start);
    replace = setValue;
    return (
      <>
        {field(value, (next) => {
          became.push(next);
          setValue(next);
        })}
        <button type="button">elsewhere</button>
      </>
    );
  }
  const { rerender } = render(<Held />);
  const again = () => rerender(<Held />);
  return { became, replace: (value: T) => act(() => replace(value)), again };
}

const box = () => screen.getByRole<HTMLInputElement>('textbox');
const reason = () => screen.queryByRole('alert')?.textContent ?? null;
async function type(text: string) {
  const user = userEvent.setup();
  await user.clear(box());
  if (text !== '') await user.type(box(), text);
  return user;
}

describe('a number', () => {
  const seats = (isWhole: boolean, allowEmpty = false) =>
    held<number | null>(11, (value, onValue) => (
      <NumberField
        label="Seats"
        value={value}
        bounds={{ min: 1, max: 200 }}
        {...{ isWhole, allowEmpty, onValue }}
      />
    ));
  test.each([
    ['8', 8],
    [' 8 ', 8],
    ['8,5', 8.5],
    ['.5', null],
    ['200', 200],
    ['201', null],
    ['0', null],
    ['-3', null],
    ['', null],
    ['1e2', null],
    ['0x10', null],
    ['eight', null],
  ])('%j', async (text, expected) => {
    const { became } = seats(false);
    await type(text);
    if (expected === null) expect(reason()).not.toBeNull();
    else expect(became.at(-1)).toBe(expected);
    if (expected !== null) expect(reason()).toBeNull();
    // What was typed stays as it was typed, read or not.
    expect(box().value).toBe(text);
  });
  test('half a seat is no number of seats', async () => {
    const { became } = seats(true);
    await type('8.5');
    expect(reason()).toContain('whole');
    expect(became.at(-1)).toBe(8);
  });
  test('empty is unknown only where it may be', async () => {
    const { became } = seats(false, true);
    await type('');
    expect(became.at(-1)).toBeNull();
    expect(reason()).toBeNull();
  });
  test('left, it is written as it is always written; what could not be read waits to be mended', async () => {
    seats(false);
    const user = await type('08,50');
    await user.click(screen.getByRole('button'));
    expect(box().value).toBe('8.5');
    await type('many');
    await user.click(screen.getByRole('button'));
    expect(box().value).toBe('many');
    expect(box().getAttribute('aria-invalid')).toBe('true');
    expect(document.getElementById(box().getAttribute('aria-describedby') ?? '')?.textContent).toBe(reason());
  });
  test('money has its decimals', () => {
    held(5.2, (value, onValue) => (
      <NumberField label="Price" value={value} bounds={{ min: 0, max: 100 }} decimals={2} onValue={onValue} />
    ));
    expect(box().value).toBe('5.20');
  });
});

describe('a length', () => {
  const mm = (value: number) => ({ value, unit: 'mm' as const });
  const inches = (value: number) => ({ value, unit: 'in' as const });
  const field = (start: ReturnType<typeof mm> | ReturnType<typeof inches> = mm(60), allowZero = false) =>
    held<{ value: number; unit: 'mm' | 'in' } | null>(start, (value, onValue) => (
      <LengthField label="Length" value={value} defaultUnit="mm" allowZero={allowZero} onValue={onValue} />
    ));
  test.each([
    ['74', mm(74)],
    ['5.6 cm', mm(56)],
    ['2⅜ in', inches(2.375)],
    ['2 3/8"', inches(2.375)],
    ['', null],
  ])('%j', async (text, expected) => {
    const { became } = field();
    await type(text);
    expect(became.at(-1)).toEqual(expected);
    expect(reason()).toBeNull();
  });
  test.each(['0', '-4', 'long', '9 miles'])(
    '%j is refused with its reason, and the length stays',
    async (text) => {
      const { became } = field();
      await type(text);
      expect(reason()).not.toBeNull();
      expect(became.at(-1)).not.toEqual(mm(0));
    },
  );
  test('nought is a point where a point may be', async () => {
    const { became } = field(mm(60), true);
    await type('0');
    expect(became.at(-1)).toEqual(mm(0));
    expect(reason()).toBeNull();
  });
  test.each([
    ['{ArrowUp}', mm(61)],
    ['{ArrowDown}', mm(59)],
    ['{Shift>}{ArrowUp}{/Shift}', mm(65)],
    ['{Shift>}{ArrowDown}{/Shift}', mm(55)],
  ])('%s', async (keys, expected) => {
    const { became } = field();
    await userEvent.setup().type(box(), keys);
    expect(became).toEqual([expected]);
    expect(box().value).toBe(`${expected.value} mm`);
  });
  test.each(['{Alt>}{ArrowUp}{/Alt}', '{ArrowLeft}'])('%s is for somebody else', async (keys) => {
    const { became } = field();
    await userEvent.setup().type(box(), keys);
    expect(became).toEqual([]);
  });
  test('an arrow nudges by a sixteenth what is in inches, and nothing that cannot be read', async () => {
    const { became } = field(inches(2));
    const user = userEvent.setup();
    await user.type(box(), '{ArrowUp}');
    expect(became).toEqual([inches(2.0625)]);
    await type('two');
    await user.type(box(), '{ArrowUp}');
    expect(became.at(-1)).toEqual(null);
    expect(box().value).toBe('two');
  });
  test('a length that changes elsewhere takes the place of what was typed', async () => {
    const { replace, again } = field();
    await type('long');
    replace(mm(12));
    again();
    expect(box().value).toBe('12 mm');
    expect(reason()).toBeNull();
  });
  test('what it changes itself leaves the text as it was typed', async () => {
    field();
    await type('5.6 cm');
    expect(box().value).toBe('5.6 cm');
  });
});

describe('from – to', () => {
  const field = () =>
    held<readonly unknown[]>([null, null], (_value, onValue) => (
      <LengthRangeField
        label="Stem"
        low={null}
        high={null}
        defaultUnit="in"
        onValue={(low, high) => onValue([low, high])}
      />
    ));
  test.each([
    [
      '8–9',
      [
        { value: 8, unit: 'in' },
        { value: 9, unit: 'in' },
      ],
    ],
    [
      '30-60 cm',
      [
        { value: 300, unit: 'mm' },
        { value: 600, unit: 'mm' },
      ],
    ],
    ['8', [{ value: 8, unit: 'in' }, null]],
  ])('%j', async (text, expected) => {
    const { became } = field();
    await type(text);
    expect(became.at(-1)).toEqual(expected);
  });
  test.each([
    ['9–8 in', 'The first is the smaller one.'],
    ['a–b', /^Not a size/],
  ])('%j', async (text, words) => {
    field();
    await type(text);
    expect(reason()).toMatch(words);
  });
});

describe('how many', () => {
  const field = () =>
    held<number | { low: number; high: number } | null>(2, (value, onValue) => (
      <CountField label="How many" value={value} onValue={onValue} />
    ));
  test.each([
    ['4', 4],
    ['10–14', { low: 10, high: 14 }],
    ['10 to 14', { low: 10, high: 14 }],
    ['7-7', 7],
    ['', null],
  ])('%j', async (text, expected) => {
    const { became } = field();
    await type(text);
    expect(became.at(-1)).toEqual(expected);
    expect(reason()).toBeNull();
  });
  test.each(['14–10', '2.5', 'some', '0', '99999999', '4–'])('%j is refused', async (text) => {
    field();
    await type(text);
    expect(reason()).not.toBeNull();
  });
  test('a count from – to is shown as it is typed', () => {
    held({ low: 8, high: 12 }, (value, onValue) => (
      <CountField label="How many" value={value} onValue={onValue as never} />
    ));
    expect(box().value).toBe('8–12');
  });
});

describe('minutes', () => {
  test.each([
    ['20', 20],
    ['15–25', { low: 15, high: 25 }],
    ['1 h 30', 90],
  ])('%j', async (text, expected) => {
    const { became } = held<unknown>(null, (value, onValue) => (
      <MinutesField label="Minutes" value={value as never} onValue={onValue} />
    ));
    await type(text);
    expect(became.at(-1)).toEqual(expected);
    expect(reason()).toBeNull();
  });
  test('words are no minutes', async () => {
    held<unknown>(null, (value, onValue) => (
      <MinutesField label="Minutes" value={value as never} onValue={onValue} />
    ));
    await type('a while');
    expect(reason()).toBe('Give minutes: 20, 15–25 or 1 h 30.');
  });
});

describe('what a field says', () => {
  test('a fault is loud and tied to it, help is quiet, unknown is told', () => {
    const onValue = jest.fn();
    const props = { label: 'Seats', value: 3, bounds: { min: 1, max: 9 }, onValue };
    const { rerender } = render(<NumberField {...props} hint="at one table" />);
    const note = () => document.getElementById(box().getAttribute('aria-describedby') ?? '')?.textContent;
    expect([note(), reason()]).toEqual(['at one table', null]);
    rerender(<NumberField {...props} hint="at one table" unknown="Unknown until given" />);
    expect([note(), reason()]).toEqual(['Unknown until given', null]);
    rerender(
      <NumberField {...props} hint="at one table" unknown="Unknown until given" problem="Too many." />,
    );
    expect([note(), reason()]).toEqual(['Too many.', 'Too many.']);
    expect(box().getAttribute('aria-invalid')).toBe('true');
    rerender(<NumberField {...props} />);
    expect(box().getAttribute('aria-describedby')).toBeNull();
  });
  test('its label is said where it is not shown', () => {
    render(
      <NumberField
        label="Seats"
        isLabelHidden
        value={3}
        bounds={{ min: 1, max: 9 }}
        onValue={() => undefined}
      />,
    );
    expect(screen.getByLabelText('Seats')).toBe(box());
  });
});
