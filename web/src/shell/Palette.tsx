import { Input, Modal } from 'antd';
import { DEMO_STUDIO_PATH, type Found } from '@lanakit/core/api';
import { isDemoStudio } from '../api/studio.ts';
import { useDeferredValue, useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import { send } from '../api/client.ts';
import { useFound, useLabelPlace, useSession } from '../api/queries.ts';
import { askWhoComes } from '../api/whoComes.ts';
import { hasWords } from '@lanakit/core/base';
import { readLabelCode } from '@lanakit/core/run';
import { allTerms, type TermId } from '@lanakit/core/words';
import { SHELF_OF } from '../words/shelfPlaces.ts';
import { PREPARATION_WORDS, showDay } from '../words/show.ts';
import { THING_WORDS } from '../words/studioFileWords.ts';
import styles from './Palette.module.css';
import { pathOfLabel } from './pathOfLabel.ts';
import { TOUR_START } from './tour/tourStops.ts';
import { useBookFound } from './useBookFound.ts';
import { useTour } from './tour/tourStore.ts';

interface Entry {
  readonly key: string;
  readonly name: string;
  readonly kind: string;
  readonly run: () => void;
}

interface Asks {
  onHelp: () => void;
  /** Explains a word of the trade. */
  onWord: (id: TermId) => void;
}

interface PaletteProps extends Asks {
  onClose: () => void;
}

interface FoundEntries {
  readonly entries: readonly Entry[];
  /** What was most likely meant, where nothing is called as it was typed. */
  readonly meant: string | null;
}

const MOST_SHOWN = 12;

/** Find a thing or do a thing, from anywhere, by typing. */
export function Palette({ onClose, onHelp, onWord }: PaletteProps) {
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState(0);
  const { entries, meant } = useEntries(text, { onHelp, onWord });
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
      {meant !== null && (
        <p className={`quiet ${styles.meant}`}>
          Nothing is called so. Of <b>{meant}</b> there is:
        </p>
      )}
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
const isMatch = ({ name, kind }: Entry, text: string): boolean => hasWords(`${name} ${kind}`, text);

/** A code of a label that is typed, or scanned into the field. */
function useLabelTyped(text: string, go: (to: string) => () => void): Entry[] {
  const read = readLabelCode(text);
  const { data: place } = useLabelPlace(read.kind === 'code' ? read.code : null);
  return place && read.kind === 'code'
    ? [
        {
          key: 'label',
          name: `Label of ${place.runName}`,
          kind: 'open where it belongs',
          run: go(pathOfLabel(place)),
        },
      ]
    : [];
}

/** What can be done and gone to, and what is called so anywhere in the studio. */
function useEntries(text: string, { onHelp, onWord }: Asks): FoundEntries {
  const navigate = useNavigate();
  const { data: found } = useFound(useDeferredValue(text));
  const { data: session } = useSession();
  const inBook = useBookFound(useDeferredValue(text));
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
    ...(session?.isOpened
      ? [
          {
            key: 'log-out',
            name: 'Log out on this device',
            kind: 'do',
            run: () => void send('DELETE', '/session').then(askWhoComes, () => undefined),
          },
        ]
      : []),
    { key: 'keys', name: 'Help on this place, its words and keys', kind: 'do', run: onHelp },
    { key: 'bench', name: 'Bench', kind: 'place', run: go('/') },
    { key: 'compare', name: 'Set two patterns or revisions side by side', kind: 'do', run: go('/compare') },
    { key: 'patterns', name: 'Patterns', kind: 'place', run: go('/patterns') },
    { key: 'shelf', name: 'Shelf', kind: 'place', run: go('/shelf') },
    { key: 'runs', name: 'Runs', kind: 'place', run: go('/runs') },
    { key: 'new-making', name: 'Write down a making', kind: 'do', run: go('/logbook/new') },
    { key: 'logbook', name: 'Logbook: what it really took', kind: 'place', run: go('/logbook') },
    { key: 'learnt', name: 'What was learnt', kind: 'place', run: go('/logbook/learnt') },
    { key: 'asked', name: 'Asked for: who wants what, by when', kind: 'place', run: go('/logbook/asked') },
    { key: 'gallery', name: 'Finished figures', kind: 'place', run: go('/logbook/gallery') },
    { key: 'seasons', name: 'Seasons: what to prepare', kind: 'place', run: go('/logbook/seasons') },
    { key: 'year', name: 'The year: wool, hours, money', kind: 'place', run: go('/logbook/year') },
    { key: 'buying', name: 'Buying', kind: 'place', run: go('/buying') },
    { key: 'orders', name: 'Orders: what is on its way', kind: 'place', run: go('/buying/orders') },
    { key: 'makes', name: 'Makes from here: what the shelf allows', kind: 'place', run: go('/buying/makes') },
    { key: 'cutting', name: 'What to cut', kind: 'place', run: go('/buying/cutting') },
    { key: 'network', name: 'Network: devices that are let in', kind: 'place', run: go('/network') },
    { key: 'log', name: 'Who did what', kind: 'place', run: go('/network/log') },
    { key: 'persons', name: 'Persons: what is kept of them', kind: 'place', run: go('/network/persons') },
    { key: 'count', name: 'Count what lies there', kind: 'place', run: go('/count') },
    { key: 'backups', name: 'Backups', kind: 'place', run: go('/backups') },
    { key: 'bin', name: 'Bin: what was deleted', kind: 'place', run: go('/bin') },
  ];
  const label = useLabelTyped(text, go);
  const things = [
    ...(found?.items ?? []).map((thing): Entry => entryOf(thing, go)),
    ...inBook.map(({ path, ...entry }): Entry => ({ ...entry, run: go(path) })),
  ];
  const words = allTerms()
    .filter(([, { name }]) => text.trim().length > 2 && hasWords(name, text))
    .map(([id, { name }]): Entry => ({
      key: `word-${id}`,
      name,
      kind: 'word, explained',
      run: () => onWord(id),
    }));
  const byText = [...places.filter((entry) => isMatch(entry, text)), ...words];
  const meant = text.trim() === '' ? null : (found?.meant ?? null);
  if (label.length > 0) return { entries: label, meant: null };
  // Of what is called as it was typed, and of what was only meant, the first is enough.
  if (meant !== null && byText.length > 0) return { entries: byText.slice(0, MOST_SHOWN), meant: null };
  return { entries: [...byText, ...things].slice(0, MOST_SHOWN), meant };
}

type Go = (to: string) => () => void;

/** What it is of: a part of a pattern, a seat of a class. */
const of = (what: string, { within }: Found): string => (within ? `${what} of ${within.name}` : what);

function entryOf(found: Found, go: Go): Entry {
  const { kind, id, name, detail, within } = found;
  const entry = (words: string, to: string, shown = name): Entry => ({
    key: `${kind} ${within?.id ?? ''} ${id}`,
    name: shown,
    kind: words,
    run: go(to),
  });
  const owner = within?.id ?? '';
  switch (kind) {
    case 'pattern':
      return entry('pattern', `/patterns/${id}`);
    case 'part':
      return entry(of('part', found), `/patterns/${owner}?part=${id}`);
    case 'step':
      return entry(of('step', found), `/patterns/${owner}?step=${id}`);
    case 'run':
      return entry(`class, ${showDay(detail)}`, `/runs/${id}`);
    case 'person':
      return entry(`comes to ${within?.name ?? ''}, ${showDay(detail)}`, `/runs/${owner}?seat=${id}`);
    case 'box':
      return entry(of('box', found), `/runs/${owner}?box=${id}`);
    case 'paper':
      return entry(`paper, ${showDay(detail)}`, `/runs/${owner}/${id}`, `${name}: ${within?.name ?? ''}`);
    case 'lot':
      return entry(of('lot', found), `${SHELF_OF[detail as ThingKind]}?open=${owner}`);
    case 'technique':
      return entry('technique', `/techniques/${id}`);
    default:
      return entry(thingWords(kind, detail), `${SHELF_OF[kind]}?open=${id}`);
  }
}

const thingWords = (kind: ThingKind, detail: string): string =>
  (PREPARATION_WORDS as Readonly<Record<string, string>>)[detail] ?? THING_WORDS[kind];

type ThingKind = keyof typeof THING_WORDS;
