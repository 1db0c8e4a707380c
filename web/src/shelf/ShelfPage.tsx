import type { BlendInput } from '@lanakit/core';
import { Button, Dropdown, Input, Segmented, Select } from 'antd';
import { useCallback, useDeferredValue, useMemo, useState } from 'react';
import { NavLink, useNavigate, useParams, useSearchParams } from 'react-router';
import { Loading } from '../shell/Loading.tsx';
import { counted } from '../words/show.ts';
import { BulkBar } from './BulkBar.tsx';
import { Drawers } from './Drawers.tsx';
import {
  type Entry,
  type GroupBy,
  groupsOf,
  inOrder,
  type Looking,
  lookThrough,
  type Shown,
  type SortBy,
} from './entries.ts';
import { EntryTable } from './EntryTable.tsx';
import { saveList } from './saveList.ts';
import { ADDABLE, type Adding, ShelfPanel } from './ShelfPanel.tsx';
import styles from './ShelfPage.module.css';
import { Stocktake } from './Stocktake.tsx';
import { type Section, SECTIONS, useEntries } from './useEntries.ts';

type View = 'drawers' | 'table' | 'stocktake';

const SECTION_WORDS: Readonly<Record<Section, string>> = {
  wool: 'Wool',
  findings: 'Findings',
  tools: 'Needles & tools',
  suppliers: 'Suppliers',
};
const COUNTED_AS: Readonly<Record<Section, readonly [one: string, many: string]>> = {
  wool: ['fibre or blend', 'fibres and blends'],
  findings: ['finding', 'findings'],
  tools: ['needle or tool', 'needles and tools'],
  suppliers: ['supplier', 'suppliers'],
};
/** Small things are known by the tin they lie in, everything else by what it is. */
const GROUPED_BY: Readonly<Record<Section, GroupBy>> = {
  wool: 'sort',
  findings: 'place',
  tools: 'sort',
  suppliers: 'none',
};
const EMPTY_WORDS: Readonly<Record<Section, string>> = {
  wool: 'Put the wool you have here: its name, how it was prepared, its colour, and how many grams. Three fibres are enough for a first figure: one for cores and two to be seen.',
  findings:
    'Eyes, beads, wire, pin backs, ribbon, glue: anything on a figure that is not felted belongs here.',
  tools: 'Your needles by gauge and mark, your holders, pads and tools belong here.',
  suppliers: 'Who you buy from, in which packs, at what price and on what terms belongs here.',
};

const sectionOf = (text: string | undefined): Section => SECTIONS.find((one) => one === text) ?? 'wool';
const ADDING_WORDS: readonly string[] = Object.values(ADDABLE).flatMap((all) => all.map(([kind]) => kind));

/** Everything the studio has, one thing open beside the list. */
export function ShelfPage() {
  const section = sectionOf(useParams()['section']);
  // A section begins with its own search, sorting and choice.
  return <ShelfSection key={section} section={section} />;
}

function ShelfSection({ section }: { section: Section }) {
  const { entries, isReady, error, promised } = useEntries(section);
  const [params, setParams] = useSearchParams();
  const [looking, setLooking] = useState<Looking>(() => ({
    text: '',
    shown: 'all',
    sorts: [],
    sortBy: 'name',
    isDescending: false,
    groupBy: GROUPED_BY[section],
  }));
  const [view, setView] = useState<View>(() => keptView(section));
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const sought = useDeferredValue(looking);
  const { sortBy, isDescending, text, shown, sorts } = sought;
  const ordered = useMemo(() => inOrder(entries, { sortBy, isDescending }), [entries, sortBy, isDescending]);
  const found = useMemo(() => lookThrough(ordered, { text, shown, sorts }), [ordered, text, shown, sorts]);
  const groups = useMemo(
    () => groupsOf(found, view === 'table' ? 'none' : sought.groupBy),
    [found, sought.groupBy, view],
  );
  // Stable, so that a key in the search does not draw the panel anew.
  const open = useCallback((id: string) => setParams({ open: id }, { replace: true }), [setParams]);
  const add = useCallback(
    (kind: Adding) => setParams(kind === null ? {} : { add: kind }, { replace: true }),
    [setParams],
  );
  const blendText = params.get('blend');
  const blendParts = useMemo(() => readBlend(blendText), [blendText]);
  if (!isReady) return <Loading error={error} />;

  const entry = entries.find(({ id }) => id === params.get('open')) ?? null;
  const adding = addingOf(params, section, entries.length === 0, blendParts.length > 0);
  const chosenEntries = found.filter(({ id }) => chosen.has(id));
  const list = {
    groups,
    openId: adding === null ? (entry?.id ?? null) : null,
    chosen,
    onOpen: ({ id }: Entry) => open(id),
    onChoose: (id: string) => setChosen((before) => toggled(before, id)),
    isBySort: section === 'wool' && sought.groupBy === 'sort',
    isTall: section !== 'wool',
  };
  const seen = (next: View) => {
    setView(next);
    keepView(section, next);
  };
  return (
    <main className={styles.page}>
      <section className={`sheet ${styles.shelf}`} aria-label={SECTION_WORDS[section]}>
        <ShelfHeader section={section} count={found.length} shown={looking.shown} onAdd={add} />
        <ShelfBar
          section={section}
          entries={entries}
          looking={looking}
          view={view}
          onLook={(change) => setLooking((before) => ({ ...before, ...change }))}
          onView={seen}
        />
        {chosenEntries.length > 0 && view !== 'stocktake' && (
          <BulkBar entries={chosenEntries} onClear={() => setChosen(new Set())} />
        )}
        {entries.length === 0 ? (
          <p className={styles.empty}>{EMPTY_WORDS[section]}</p>
        ) : found.length === 0 ? (
          <p className={styles.empty}>Nothing here is like that. Clear the search, or show all.</p>
        ) : view === 'stocktake' ? (
          <Stocktake groups={groups} />
        ) : view === 'table' ? (
          <EntryTable
            {...list}
            section={section}
            looking={looking}
            onSort={(sortBy) =>
              setLooking((before) => ({
                ...before,
                sortBy,
                isDescending: before.sortBy === sortBy && !before.isDescending,
              }))
            }
            onChooseAll={() =>
              setChosen(
                chosenEntries.length === found.length ? new Set() : new Set(found.map(({ id }) => id)),
              )
            }
          />
        ) : (
          <Drawers key={`${sought.groupBy} ${sought.sortBy} ${sought.shown}`} {...list} />
        )}
      </section>
      <aside
        className={`sheet ${styles.panel}`}
        aria-label={adding === null ? (entry?.name ?? 'Nothing open') : 'New'}
      >
        <ShelfPanel
          section={section}
          entries={entries}
          entry={entry}
          adding={adding}
          blendParts={blendParts}
          promised={promised}
          onAdd={add}
          onSaved={open}
        />
      </aside>
    </main>
  );
}

function addingOf(params: URLSearchParams, section: Section, isEmpty: boolean, hasBlend: boolean): Adding {
  if (hasBlend) return 'blend';
  const [first] = ADDABLE[section][0] ?? ['fibre'];
  const asked = params.get('add');
  if (asked !== null) return ADDING_WORDS.includes(asked) ? (asked as Adding) : first;
  return isEmpty ? first : null;
}

/** `id:3,id:5` as what a new blend begins with. */
function readBlend(text: string | null): BlendInput['parts'] {
  return (text ?? '').split(',').flatMap((part) => {
    const [itemId = '', parts = ''] = part.split(':');
    return itemId !== '' && Number(parts) > 0 ? [{ itemId, parts: Number(parts) }] : [];
  });
}

function toggled(before: ReadonlySet<string>, id: string): Set<string> {
  const after = new Set(before);
  if (!after.delete(id)) after.add(id);
  return after;
}

const VIEW_KEY = 'lanakit.shelf.view';

function keptView(section: Section): View {
  if (section === 'suppliers') return 'table';
  return localStorage.getItem(VIEW_KEY) === 'table' ? 'table' : 'drawers';
}

function keepView(section: Section, view: View): void {
  if (section !== 'suppliers' && view !== 'stocktake') localStorage.setItem(VIEW_KEY, view);
}

interface ShelfHeaderProps {
  section: Section;
  count: number;
  shown: Shown;
  onAdd: (adding: Adding) => void;
}

function ShelfHeader({ section, count, shown, onAdd }: ShelfHeaderProps) {
  const navigate = useNavigate();
  const [one, many] = COUNTED_AS[section];
  const [[first, firstWords], ...others] = ADDABLE[section] as [
    [Exclude<Adding, null>, string],
    ...[Exclude<Adding, null>, string][],
  ];
  return (
    <header className={styles.header}>
      <div className={styles.title}>
        <h1>Shelf</h1>
        <p className="quiet small">
          {counted(count, one, many)}
          {shown === 'archived' && ', archived'}
        </p>
      </div>
      <nav className={styles.sections} aria-label="Parts of the shelf">
        {SECTIONS.map((name) => (
          <NavLink
            key={name}
            end
            to={name === 'wool' ? '/shelf' : `/shelf/${name}`}
            className={({ isActive }) => (isActive ? (styles.here ?? '') : '')}
          >
            {SECTION_WORDS[name]}
          </NavLink>
        ))}
      </nav>
      <Dropdown
        menu={{
          items: [
            {
              key: 'import',
              label: 'Read in a list (CSV)…',
              onClick: () => void navigate(`/shelf/import?kind=${LIST_OF[section]}`),
            },
            {
              key: 'export',
              label: `Save ${LIST_WORDS[section]} as a list`,
              onClick: () => void saveList(LIST_OF[section]),
            },
            {
              key: 'counts',
              label: 'Save the stock counts as a list',
              onClick: () => void saveList('counts'),
            },
          ],
        }}
      >
        <Button>Lists</Button>
      </Dropdown>
      {others.map(([kind, words]) => (
        <Button key={kind} onClick={() => onAdd(kind)}>
          {words}
        </Button>
      ))}
      <Button type="primary" onClick={() => onAdd(first)}>
        {firstWords}
      </Button>
    </header>
  );
}

const LIST_OF = { wool: 'fibres', findings: 'findings', tools: 'needles', suppliers: 'prices' } as const;
const LIST_WORDS: Readonly<Record<Section, string>> = {
  wool: 'the fibres',
  findings: 'the findings',
  tools: 'the needles',
  suppliers: 'the prices',
};

interface ShelfBarProps {
  section: Section;
  entries: readonly Entry[];
  looking: Looking;
  view: View;
  onLook: (change: Partial<Looking>) => void;
  onView: (view: View) => void;
}

/** How the section is looked through. */
function ShelfBar({ section, entries, looking, view, onLook, onView }: ShelfBarProps) {
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
            style={{ width: 112 }}
            options={SHOWN_OPTIONS}
            onChange={(shown) => onLook({ shown })}
          />
          {view !== 'table' && (
            <Select<GroupBy>
              aria-label="Shelves by"
              value={looking.groupBy}
              style={{ width: 104 }}
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
              style={{ width: 112 }}
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
