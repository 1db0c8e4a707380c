import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { blankPattern, NO_CHOICES, type Choices, type Pattern } from '@lanakit/core/pattern';
import { coastWool } from '../../../../core/test/support/coast.ts';
import { Choice } from '../../../src/ui/fields/Choice.tsx';
import { ChoiceFields } from '../../../src/ui/fields/ChoiceFields.tsx';
import { DayField } from '../../../src/ui/fields/DayField.tsx';
import { PREPARATION_WORDS } from '@lanakit/core/words';
import { FibreSelect } from '../../../src/ui/fields/FibreSelect.tsx';

afterEach(cleanup);

/** Opens a list and gives what stands in it. */
function open(label: string): HTMLElement[] {
  fireEvent.mouseDown(screen.getByLabelText(label));
  const lists = document.querySelectorAll('.ant-select-dropdown:not(.ant-select-dropdown-hidden)');
  return [...lists].flatMap((list) => [...list.querySelectorAll<HTMLElement>('.ant-select-item-option')]);
}
function choose(label: string, words: string): void {
  const option = open(label).find(({ textContent }) => textContent?.includes(words));
  if (!option) throw new Error(`no ${words}`);
  fireEvent.click(option);
}

describe('one of a few', () => {
  const WORDS = { soft: 'soft', firm: 'dents a little', solid: 'does not give' };
  test('by its words, in the order that was said', () => {
    const onChoose = jest.fn();
    render(
      <Choice label="Firmness" value="firm" words={WORDS} among={['solid', 'firm']} onChoose={onChoose} />,
    );
    expect(open('Firmness').map(({ textContent }) => textContent)).toEqual([
      'does not give',
      'dents a little',
    ]);
    choose('Firmness', 'does not give');
    expect(onChoose.mock.calls[0]?.[0]).toBe('solid');
  });
  test('none is a choice only where it has words', () => {
    const onChoose = jest.fn();
    render(<Choice label="Firmness" value="firm" words={WORDS} none="as usual" onChoose={onChoose} />);
    choose('Firmness', 'as usual');
    expect(onChoose.mock.calls[0]?.[0]).toBeNull();
    cleanup();
    render(<Choice label="Firmness" value={null} words={WORDS} onChoose={onChoose} />);
    expect(open('Firmness').map(({ textContent }) => textContent)).not.toContain('as usual');
  });
});

describe('the build that is looked at', () => {
  const option = (id: string, names: string[]) => ({
    id,
    name: id,
    defaultValueId: `${id}-${names[0]}`,
    values: names.map((name) => ({ id: `${id}-${name}`, name, things: [] })),
  });
  const pattern = {
    ...blankPattern('Puffin'),
    options: [option('eyes', ['beads', 'dots']), option('tail', ['yes', 'no'])],
    limits: [
      {
        id: 'l',
        kind: 'never',
        a: { optionId: 'eyes', valueId: 'eyes-dots' },
        b: { optionId: 'tail', valueId: 'tail-no' },
        reason: 'a dot needs the tail',
      },
    ],
  } as unknown as Pattern;
  const shown = (choices: Choices, of = pattern) => {
    const onChoose = jest.fn<(next: Choices) => void>();
    render(<ChoiceFields pattern={of} choices={choices} onChoose={onChoose} />);
    return onChoose;
  };
  test('a figure with nothing to choose asks nothing', () => {
    shown(NO_CHOICES, blankPattern('Ball'));
    expect(screen.queryByRole('group')).toBeNull();
  });
  test('one answer is changed and the others stay', () => {
    const onChoose = shown({ ...NO_CHOICES, values: { tail: 'tail-no' } });
    choose('eyes', 'dots');
    expect(onChoose).toHaveBeenCalledWith({ ...NO_CHOICES, values: { tail: 'tail-no', eyes: 'eyes-dots' } });
  });
  test('back to the usual is offered where it is not the usual', () => {
    const onChoose = shown({ ...NO_CHOICES, values: { tail: 'tail-no' } });
    fireEvent.click(screen.getByRole('button', { name: 'back to the usual' }));
    expect(onChoose).toHaveBeenCalledWith(NO_CHOICES);
    cleanup();
    shown(NO_CHOICES);
    expect(screen.queryByRole('button', { name: 'back to the usual' })).toBeNull();
  });
  test('what does not go together says why', () => {
    shown({ ...NO_CHOICES, values: { eyes: 'eyes-dots', tail: 'tail-no' } });
    expect(screen.getByRole('alert').textContent).toContain(
      'These do not go together: a dot needs the tail.',
    );
  });
});

describe('a day', () => {
  const field = (props: Partial<Parameters<typeof DayField>[0]> = {}) => {
    const onDay = jest.fn<(day: string | null) => void>();
    render(<DayField label="Day" day="2031-12-05" onDay={onDay} {...props} />);
    return { onDay, box: screen.getByLabelText<HTMLInputElement>('Day') };
  };
  test('is shown as people say it, with its year where it is not this one', () => {
    expect(field().box.value).toBe('Fri 5 Dec 2031');
    cleanup();
    const thisYear = new Date().getFullYear();
    expect(field({ day: `${thisYear}-03-09` }).box.value).toMatch(/^\w{3} 9 Mar$/);
  });
  test('no day is none', () => expect(field({ day: null }).box.value).toBe(''));
});

describe('a fibre of the shelf', () => {
  const [chalk, pear] = [...coastWool.fibres.values()];
  if (!chalk || !pear) throw new Error('the coast has wool');
  const archived = { ...pear, id: 'old', name: 'Old moss', archived: true };
  const select = (value: string | null, noneLabel?: string) => {
    const onChoose = jest.fn();
    render(
      <FibreSelect
        control={{ id: 'fibre', 'aria-label': 'Fibre' }}
        fibres={[chalk, pear, archived]}
        value={value}
        placeholder="which fibre"
        {...(noneLabel !== undefined && { noneLabel })}
        onChoose={onChoose}
      />,
    );
    return onChoose;
  };
  test('what is archived is offered only where it is in use', () => {
    select(chalk.id);
    expect(open('Fibre').some(({ textContent }) => textContent?.includes('Old moss'))).toBe(false);
    cleanup();
    select('old');
    expect(open('Fibre').some(({ textContent }) => textContent?.includes('Old moss'))).toBe(true);
  });
  test('chosen by name; none only where it has words', () => {
    const onChoose = select(chalk.id, 'bare');
    choose('Fibre', pear.name);
    choose('Fibre', 'bare');
    expect(onChoose.mock.calls.map(([id]) => id as string | null)).toEqual([pear.id, null]);
  });
  test('two of one name say how they are prepared', () => {
    select(chalk.id);
    const words = open('Fibre').map(({ textContent }) => textContent);
    expect(words).toContain(`${chalk.name} ${PREPARATION_WORDS[chalk.preparation]}`);
  });
});
