import { Input, Segmented, Select } from 'antd';
import { useMemo } from 'react';
import { type Entry, type GroupBy, type Looking, type Shown, type SortBy } from './entries.ts';
import styles from './ShelfPage.module.css';
import { type Section } from './useEntries.ts';
import type { View } from './shelfView.ts';

interface ShelfBarProps {
  section: Section;
  entries: readonly Entry[];
  looking: Looking;
  view: View;
  onLook: (change: Partial<Looking>) => void;
  onView: (view: View) => void;
}

/** How the section is looked through. */
export function ShelfBar({ section, entries, looking, view, onLook, onView }: ShelfBarProps) {
  const sorts = useMemo(() => [...new Set(entries.map(({ sort }) => sort))].sort(), [entries]);
  const isStocked = section !== 'suppliers';
  return (
    <div className={styles.bar}>
      <Input
        className={styles.search ?? ''}
        value={looking.text}
        aria-label="Find on the shelf"
        placeholder="Find…"
        allowClear
        onChange={(event) => onLook({ text: event.target.value })}
      />
      {isStocked && (
        <>
          <Select<string[]>
            mode="multiple"
            className={styles.sorts ?? ''}
            aria-label="Which sorts"
            value={[...looking.sorts]}
            maxTagCount="responsive"
            placeholder="all sorts"
            options={sorts.map((sort) => ({ value: sort, label: sort }))}
            onChange={(chosen) => onLook({ sorts: chosen })}
          />
          <Select<Shown>
            aria-label="Which to show"
            value={looking.shown}
            className="control-s"
            options={SHOWN_OPTIONS}
            onChange={(shown) => onLook({ shown })}
          />
          {view !== 'table' && (
            <Select<GroupBy>
              aria-label="Shelves by"
              value={looking.groupBy}
              className="control-s"
              options={
                section === 'wool' ? GROUP_OPTIONS : GROUP_OPTIONS.filter(({ value }) => value !== 'colour')
              }
              onChange={(groupBy) => onLook({ groupBy })}
            />
          )}
          {view !== 'table' && (
            <Select<SortBy>
              aria-label="In order of"
              value={looking.sortBy}
              className="control-s"
              options={SORT_OPTIONS}
              onChange={(sortBy) => onLook({ sortBy, isDescending: sortBy === 'promised' })}
            />
          )}
          <Segmented<View> aria-label="How to see it" value={view} options={VIEW_OPTIONS} onChange={onView} />
        </>
      )}
    </div>
  );
}

const SHOWN_OPTIONS: { value: Shown; label: string }[] = [
  { value: 'all', label: 'all' },
  { value: 'short', label: 'short' },
  { value: 'uncounted', label: 'not counted' },
  { value: 'archived', label: 'archived' },
];
const GROUP_OPTIONS: { value: GroupBy; label: string }[] = [
  { value: 'sort', label: 'by sort' },
  { value: 'place', label: 'by place' },
  { value: 'colour', label: 'by colour' },
  { value: 'none', label: 'all together' },
];
const SORT_OPTIONS: { value: SortBy; label: string }[] = [
  { value: 'name', label: 'by name' },
  { value: 'colour', label: 'by colour' },
  { value: 'onHand', label: 'least first' },
  { value: 'promised', label: 'most wanted' },
  { value: 'price', label: 'by price' },
];
const VIEW_OPTIONS: { value: View; label: string }[] = [
  { value: 'drawers', label: 'drawers' },
  { value: 'table', label: 'table' },
  { value: 'stocktake', label: 'count' },
];
