import { Input, Modal } from 'antd';
import { useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import { usePatterns, useRuns, useShelf } from '../api/queries.ts';
import { PREPARATION_WORDS, showDay } from '../words/show.ts';
import styles from './Palette.module.css';

interface Entry {
  readonly key: string;
  readonly name: string;
  readonly kind: string;
  readonly run: () => void;
}

interface PaletteProps {
  onClose: () => void;
  onKeys: () => void;
}

const MOST_SHOWN = 12;

/** Find a thing or do a thing, from anywhere, by typing. */
export function Palette({ onClose, onKeys }: PaletteProps) {
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState(0);
  const entries = useEntries(onKeys)
    .filter((entry) => isMatch(entry, text))
    .slice(0, MOST_SHOWN);
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

const isMatch = (entry: Entry, text: string): boolean =>
  text
    .toLowerCase()
    .split(/\s+/)
    .every((word) => `${entry.name} ${entry.kind}`.toLowerCase().includes(word));

function useEntries(onKeys: () => void): Entry[] {
  const navigate = useNavigate();
  const { patterns } = usePatterns();
  const { data: runs } = useRuns();
  const { fibres } = useShelf();
  const go = (to: string) => () => void navigate(to);
  return [
    { key: 'new-pattern', name: 'Begin a pattern', kind: 'do', run: go('/patterns?begin') },
    { key: 'new-run', name: 'Plan a class', kind: 'do', run: go('/runs?plan') },
    { key: 'new-fibre', name: 'Add a fibre', kind: 'do', run: go('/shelf?add=fibre') },
    { key: 'new-blend', name: 'Blend fibres', kind: 'do', run: go('/shelf?add=blend') },
    { key: 'new-finding', name: 'Add a finding', kind: 'do', run: go('/shelf/findings?add=finding') },
    { key: 'new-needle', name: 'Add a needle', kind: 'do', run: go('/shelf/tools?add=needle') },
    { key: 'new-supplier', name: 'Add a supplier', kind: 'do', run: go('/shelf/suppliers?add=supplier') },
    { key: 'import', name: 'Read in a list (CSV)', kind: 'do', run: go('/shelf/import') },
    { key: 'keys', name: 'Show the keys', kind: 'do', run: onKeys },
    { key: 'bench', name: 'Bench', kind: 'place', run: go('/') },
    { key: 'compare', name: 'Set two patterns or revisions side by side', kind: 'do', run: go('/compare') },
    { key: 'patterns', name: 'Patterns', kind: 'place', run: go('/patterns') },
    { key: 'shelf', name: 'Shelf', kind: 'place', run: go('/shelf') },
    { key: 'runs', name: 'Runs', kind: 'place', run: go('/runs') },
    { key: 'backups', name: 'Backups', kind: 'place', run: go('/backups') },
    { key: 'bin', name: 'Bin: what was deleted', kind: 'place', run: go('/bin') },
    ...(patterns ?? []).map(({ id, document }) => ({
      key: id,
      name: document.title,
      kind: 'pattern',
      run: go(`/patterns/${id}`),
    })),
    ...(runs?.items ?? []).map((run) => ({
      key: run.id,
      name: run.name,
      kind: `class, ${showDay(run.date)}`,
      run: go(`/runs/${run.id}`),
    })),
    ...fibres.map((fibre) => ({
      key: fibre.id,
      name: fibre.name,
      kind: PREPARATION_WORDS[fibre.preparation],
      run: go(`/shelf?open=${fibre.id}`),
    })),
    ...(runs?.items ?? []).map((run) => ({
      key: `tray-${run.id}`,
      name: `Count needles of ${run.name}`,
      kind: 'do',
      run: go(`/runs/${run.id}/tray`),
    })),
  ];
}
