import { Select } from 'antd';
import { useState } from 'react';
import { useRevisionNames, useRevisions } from '../api/queries.ts';
import { isCalled } from '../ui/fields/isCalled.ts';
import type { FieldControlProps } from '../ui/fields/Field.tsx';
import { revisionName } from '../words/show.ts';

interface RevisionSelectProps {
  control: FieldControlProps;
  className?: string;
  value: string;
  onChoose: (revisionId: string) => void;
}

/** A published revision, found by its title: of many only those that are called so are offered. */
export function RevisionSelect({ control, className = '', value, onChoose }: RevisionSelectProps) {
  const [search, setSearch] = useState('');
  const { data: found } = useRevisions(search);
  const { data: named } = useRevisionNames(value === '' ? [] : [value]);
  const items = found?.items ?? [];
  const chosen = named?.items.find(({ id }) => id === value);
  const offered =
    search === '' && chosen && !items.includes(chosen)
      ? [chosen, ...items.filter(({ id }) => id !== value)]
      : items;
  const more = (found?.total ?? 0) - items.length;
  return (
    <Select<string>
      {...control}
      className={className}
      value={value === '' ? null : value}
      popupMatchSelectWidth={320}
      showSearch={{ filterOption: isCalled, onSearch: setSearch }}
      notFoundContent="No published pattern is called so."
      options={[
        ...offered.map((revision) => ({ value: revision.id, label: revisionName(revision) })),
        ...(more > 0
          ? [{ value: MORE, label: `and ${more} more: type a part of the title`, disabled: true }]
          : []),
      ]}
      onChange={(revisionId) => {
        setSearch('');
        onChoose(revisionId);
      }}
    />
  );
}

const MORE = ' ';
