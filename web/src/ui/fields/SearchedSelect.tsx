import { hasWords } from '@lanakit/core/base';
import { Select } from 'antd';
import type { FieldControlProps } from './Field.tsx';

interface Offered {
  readonly value: string;
  readonly label: string;
}

interface SearchedSelectProps {
  control: FieldControlProps;
  className?: string;
  value: string | null;
  placeholder?: string;
  /** What was found so far. */
  offered: readonly Offered[];
  /** How many more there are of that name. */
  more: number;
  /** What is said where nothing is called so. */
  emptyWords: string;
  onSearch: (words: string) => void;
  onChoose: (value: string) => void;
}

const MORE = ' ';

const isCalled = (label: unknown, typed: string): boolean =>
  typeof label === 'string' && hasWords(label, typed);

/**
 * One of very many things, looked for by its name. Until what is called as it is typed has been found, what is not called so
 * is no longer offered: Enter takes nothing else.
 */
export function SearchedSelect(props: SearchedSelectProps) {
  const {
    control,
    className = '',
    value,
    placeholder,
    offered,
    more,
    emptyWords,
    onSearch,
    onChoose,
  } = props;
  return (
    <Select<string>
      {...control}
      className={className}
      value={value}
      placeholder={placeholder}
      popupMatchSelectWidth={320}
      showSearch={{
        filterOption: (typed, option) => option?.value === MORE || isCalled(option?.label, typed),
        onSearch,
      }}
      notFoundContent={emptyWords}
      options={[
        ...offered,
        ...(more > 0
          ? [{ value: MORE, label: `and ${more} more: type a part of the title`, disabled: true }]
          : []),
      ]}
      onChange={(chosen) => {
        onSearch('');
        onChoose(chosen);
      }}
    />
  );
}
