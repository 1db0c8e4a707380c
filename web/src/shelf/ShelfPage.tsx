import type { BlendInput } from '@lanakit/core/shelf';
import { useCallback, useDeferredValue, useMemo, useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { Loading } from '../shell/Loading.tsx';
import { Meant } from '../ui/Meant.tsx';
import { BulkBar } from './BulkBar.tsx';
import { Drawers } from './Drawers.tsx';
import { type Entry, groupsOf, inOrder, type Looking, lookThrough } from './entries.ts';
import { EntryTable } from './EntryTable.tsx';
import { ADDABLE, type Adding, ShelfPanel } from './ShelfPanel.tsx';
import styles from './ShelfPage.module.css';
import { Stocktake } from './Stocktake.tsx';
import { type Section, SECTIONS, useEntries } from './useEntries.ts';
import { LaterWays } from '../ways/LaterWays.tsx';
import { EMPTY_WAYS, EMPTY_WORDS, GROUPED_BY, SECTION_WORDS } from './sectionWords.ts';
import { ShelfBar } from './ShelfBar.tsx';
import { ShelfHeader } from './ShelfHeader.tsx';
import { keepView, keptView, type View } from './shelfView.ts';

const sectionOf = (text: string | undefined): Section =>
  SECTIONS.find((section) => section === text) ?? 'wool';
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
          <div className={styles.empty}>
            <p>{EMPTY_WORDS[section]}</p>
            <LaterWays ways={EMPTY_WAYS[section]} />
          </div>
        ) : found.length === 0 ? (
          <p className={styles.empty}>
            Nothing here is like that. Clear the search, or show all.
            <Meant search={text} onMeant={(meant) => setLooking((before) => ({ ...before, text: meant }))} />
          </p>
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
