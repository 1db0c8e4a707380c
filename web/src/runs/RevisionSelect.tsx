import { useState } from 'react';
import { useRevisionNames, useRevisions } from '../api/queries.ts';
import type { FieldControlProps } from '../ui/fields/Field.tsx';
import { SearchedSelect } from '../ui/fields/SearchedSelect.tsx';
import { revisionName } from '../words/show.ts';

interface RevisionSelectProps {
  control: FieldControlProps;
  className?: string;
  value: string;
  onChoose: (revisionId: string) => void;
}

/** A published revision, found by its title. */
export function RevisionSelect({ control, className = '', value, onChoose }: RevisionSelectProps) {
  const [search, setSearch] = useState('');
  const { data: found } = useRevisions(search);
  const { data: named } = useRevisionNames(value === '' ? [] : [value]);
  const items = found?.items ?? [];
  // What is chosen is called by its name, however far down it stands.
  const chosen = (named?.items ?? []).filter(
    ({ id }) => id === value && items.every((item) => item.id !== id),
  );
  return (
    <SearchedSelect
      control={control}
      className={className}
      value={value === '' ? null : value}
      offered={[...chosen, ...items].map((revision) => ({
        value: revision.id,
        label: revisionName(revision),
      }))}
      more={(found?.total ?? 0) - items.length}
      emptyWords="No published pattern is called so."
      onSearch={setSearch}
      onChoose={onChoose}
    />
  );
}
