import { Input, Modal } from 'antd';
import { DEMO_STUDIO_PATH, type Found } from '@lanakit/core/api';
import { isDemoStudio } from '../api/studio.ts';
import { useDeferredValue, useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import { useFound } from '../api/queries.ts';
import { PREPARATION_WORDS, showDay } from '../words/show.ts';
import { THING_WORDS } from '../words/studioFileWords.ts';
import styles from './Palette.module.css';
import { TOUR_START } from './tour/tourStops.ts';
import { useTour } from './tour/tourStore.ts';

interface Entry {
  readonly key: string;
  readonly name: string;
  readonly kind: string;
  readonly run: () => void;
}

interface PaletteProps {
  onClose: () => void;
  onHelp: () => void;
}

const MOST_SHOWN = 12;

/** Find a thing or do a thing, from anywhere, by typing. */
export function Palette({ onClose, onHelp }: PaletteProps) {
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState(0);
  const entries = useEntries(text, onHelp);
  const take = (entry: Entry | undefined) => {
    if (!entry) return;
    onClose();
    entry.run();
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (step !== 0) {
      event.preventDefault();
      setChosen((chosen + step + entries.length) % Math.max(1, entries.length));
    } else if (event.key === 'Enter') take(entries[chosen]);
  };
  return (
    <Modal open footer={null} closable={false} onCancel={onClose} width={560} title="Find or do">
      <Input
        autoFocus
        role="combobox"
        aria-label="Find or do"
        aria-expanded
        aria-controls="palette-entries"
        aria-activedescendant={entries[chosen] ? `palette-${chosen}` : undefined}
        placeholder="A pattern, a class, a fibre, or what to do"
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          setChosen(0);
        }}
        onKeyDown={onKeyDown}
      />
      <div id="palette-entries" role="listbox" aria-label="Found" className={styles.entries}>
        {entries.map((entry, index) => (
          <div
            key={entry.key}
            id={`palette-${index}`}
            role="option"
            aria-selected={index === chosen}
            className={`${styles.entry} ${index === chosen ? styles.chosen : ''}`}
            onClick={() => take(entry)}
            onMouseMove={() => setChosen(index)}
          >
            <span>{entry.name}</span>
            <span className="quiet small">{entry.kind}</span>
          </div>
        ))}
      </div>
      {entries.length === 0 && <p className="quiet">Nothing of that name here.</p>}
    </Modal>
  );
}

/** Every word somewhere in what it is called or what it is. */
const isMatch = (entry: Entry, text: string): boolean =>
  text
    .toLowerCase()
    .split(/\s+/)
    .every((word) => `${entry.name} ${entry.kind}`.toLowerCase().includes(word));

/** What can be done and gone to, and what is called so anywhere in the studio. */
function useEntries(text: string, onHelp: () => void): Entry[] {
  const navigate = useNavigate();
  const { data: found } = useFound(useDeferredValue(text));
  const go = (to: string) => () => void navigate(to);
  const places: Entry[] = [
    { key: 'new-pattern', name: 'Begin a pattern', kind: 'do', run: go('/patterns?begin') },
    { key: 'begin', name: 'Begin a figure from a body', kind: 'do', run: go('/begin') },
    { key: 'begin-shelf', name: 'Tick what is on the shelf', kind: 'do', run: go('/begin/shelf') },
    { key: 'new-run', name: 'Plan a class', kind: 'do', run: go('/runs?plan') },
    { key: 'new-fibre', name: 'Add a fibre', kind: 'do', run: go('/shelf?add=fibre') },
    { key: 'new-blend', name: 'Blend fibres', kind: 'do', run: go('/shelf?add=blend') },
    { key: 'new-finding', name: 'Add a finding', kind: 'do', run: go('/shelf/findings?add=finding') },
    { key: 'new-needle', name: 'Add a needle', kind: 'do', run: go('/shelf/tools?add=needle') },
    { key: 'new-supplier', name: 'Add a supplier', kind: 'do', run: go('/shelf/suppliers?add=supplier') },
    { key: 'import', name: 'Read in a list (CSV)', kind: 'do', run: go('/shelf/import') },
    isDemoStudio
      ? { key: 'leave', name: 'Back to my studio', kind: 'do', run: () => window.location.assign('/') }
      : {
          key: 'demo',
          name: 'Look round the demo studio',
          kind: 'do',
          run: () => window.location.assign(`${DEMO_STUDIO_PATH}/`),
        },
    {
      key: 'tour',
      name: 'Be shown a first run, in five stops',
      kind: 'do',
      run: () => {
        useTour.getState().begin();
        go(TOUR_START)();
      },
    },
    { key: 'keys', name: 'Help on this place, its words and keys', kind: 'do', run: onHelp },
    { key: 'bench', name: 'Bench', kind: 'place', run: go('/') },
    { key: 'compare', name: 'Set two patterns or revisions side by side', kind: 'do', run: go('/compare') },
    { key: 'patterns', name: 'Patterns', kind: 'place', run: go('/patterns') },
    { key: 'shelf', name: 'Shelf', kind: 'place', run: go('/shelf') },
    { key: 'runs', name: 'Runs', kind: 'place', run: go('/runs') },
    { key: 'backups', name: 'Backups', kind: 'place', run: go('/backups') },
    { key: 'bin', name: 'Bin: what was deleted', kind: 'place', run: go('/bin') },
  ];
  const things = (found?.items ?? []).flatMap((thing): Entry[] => entriesOf(thing, go));
  return [...places, ...things].filter((entry) => isMatch(entry, text)).slice(0, MOST_SHOWN);
}

type Go = (to: string) => () => void;

function entriesOf({ kind, id, name, detail }: Found, go: Go): Entry[] {
  switch (kind) {
    case 'pattern':
      return [{ key: id, name, kind: 'pattern', run: go(`/patterns/${id}`) }];
    case 'run':
      return [
        { key: id, name, kind: `class, ${showDay(detail)}`, run: go(`/runs/${id}`) },
        { key: `tray-${id}`, name: `Count needles of ${name}`, kind: 'do', run: go(`/runs/${id}/tray`) },
      ];
    default:
      return [{ key: id, name, kind: thingWords(kind, detail), run: go(`${SHELF_OF[kind]}?open=${id}`) }];
  }
}

const thingWords = (kind: ThingKind, detail: string): string =>
  (PREPARATION_WORDS as Readonly<Record<string, string>>)[detail] ?? THING_WORDS[kind];

type ThingKind = Exclude<Found['kind'], 'pattern' | 'run'>;

/** Where on the shelf each kind lies. */
const SHELF_OF: Readonly<Record<ThingKind, string>> = {
  fibre: '/shelf',
  blend: '/shelf',
  finding: '/shelf/findings',
  needle: '/shelf/tools',
  tool: '/shelf/tools',
  supplier: '/shelf/suppliers',
};
