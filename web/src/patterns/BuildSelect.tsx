import { useState } from 'react';
import { usePatternsPage, useRevisions } from '../api/queries.ts';
import { SearchedSelect } from '../ui/fields/SearchedSelect.tsx';
import { Field } from '../ui/fields/Field.tsx';
import { revisionName } from '../words/show.ts';
import styles from './ComparePage.module.css';

interface BuildSelectProps {
  label: string;
  /** `draft:ID`, `revision:ID`; null: none yet. */
  buildKey: string | null;
  /** What that is called. */
  name: string;
  onChoose: (key: string) => void;
}

/** A draft or a revision, found by its title. */
export function BuildSelect({ label, buildKey, name, onChoose }: BuildSelectProps) {
  const [search, setSearch] = useState('');
  // As it is called here a draft is called so too.
  const titles = search.replace(/\bdraft\b/i, ' ').trim();
  const drafts = usePatternsPage(
    { search: titles, order: 'title', isArchive: false, isUnknownOnly: false },
    0,
  ).data;
  const revisions = useRevisions(search).data;
  const found = [
    ...(drafts?.items ?? []).map(({ id, title }) => ({ value: `draft:${id}`, label: `${title}, draft` })),
    ...(revisions?.items ?? []).map((revision) => ({
      value: `revision:${revision.id}`,
      label: revisionName(revision),
    })),
  ];
  const isThere = found.some(({ value }) => value === buildKey);
  const chosen = buildKey !== null && name !== '' && !isThere ? [{ value: buildKey, label: name }] : [];
  return (
    <Field label={label} className={styles.choice ?? ''}>
      {(control) => (
        <SearchedSelect
          control={control}
          value={buildKey}
          placeholder="choose"
          offered={[...chosen, ...found]}
          more={(drafts?.total ?? 0) + (revisions?.total ?? 0) - found.length}
          emptyWords="Nothing is called so."
          onSearch={setSearch}
          onChoose={onChoose}
        />
      )}
    </Field>
  );
}
