import type { Promised } from '@lanakit/core/api';
import type { BlendInput } from '@lanakit/core/shelf';
import { Button } from 'antd';
import { memo, useState } from 'react';
import { usePromisedAhead } from '../api/queries.ts';
import type { Entry } from './entries.ts';
import { BlendPanel } from './BlendPanel.tsx';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import { showGrams } from '../words/show.ts';
import { FibreForm } from './FibreForm.tsx';
import { FibrePanel } from './FibrePanel.tsx';
import { FindingPanel } from './FindingForm.tsx';
import { HandMeasures } from './HandMeasures.tsx';
import { NeedlePanel } from './NeedleForm.tsx';
import styles from './Panel.module.css';
import { Substitutes } from './Substitutes.tsx';
import { SupplierPanel } from './SupplierForm.tsx';
import { ToolPanel } from './ToolForm.tsx';
import type { Section } from './useEntries.ts';

/** What is being added; null: nothing. */
export type Adding = 'fibre' | 'blend' | 'finding' | 'needle' | 'tool' | 'supplier' | null;

interface ShelfPanelProps {
  section: Section;
  entries: readonly Entry[];
  entry: Entry | null;
  adding: Adding;
  /** What a new blend begins with. */
  blendParts: BlendInput['parts'];
  promised: ReadonlyMap<string, Promised>;
  onAdd: (adding: Adding) => void;
  onSaved: (id: string) => void;
}

/** The thing that is open, or being added, beside the list. A key in the search leaves it alone. */
export const ShelfPanel = memo(OpenThing);

function OpenThing({
  section,
  entries,
  entry,
  adding,
  blendParts,
  promised,
  onAdd,
  onSaved,
}: ShelfPanelProps) {
  switch (adding) {
    case 'fibre':
      return <FibreForm fibre={null} onSaved={onSaved} />;
    case 'blend':
      return <BlendPanel blend={null} parts={blendParts} onSaved={onSaved} />;
    case 'finding':
      return <FindingPanel finding={null} onSaved={onSaved} />;
    case 'needle':
      return <NeedlePanel needle={null} onSaved={onSaved} />;
    case 'tool':
      return <ToolPanel tool={null} onSaved={onSaved} />;
    case 'supplier':
      return <SupplierPanel supplier={null} onSaved={onSaved} />;
    case null:
      break;
  }
  const stay = () => undefined;
  switch (entry?.item.kind) {
    case 'fibre':
      return <FibrePanel key={entry.id} fibre={entry.item.thing} promised={promised.get(entry.id)} />;
    case 'blend':
      return (
        <BlendPanel
          key={entry.id}
          blend={entry.item.thing}
          promised={promised.get(entry.id)}
          onSaved={stay}
        />
      );
    case 'finding':
      return <FindingPanel key={entry.id} finding={entry.item.thing} onSaved={stay} />;
    case 'needle':
      return <NeedlePanel key={entry.id} needle={entry.item.thing} onSaved={stay} />;
    case 'tool':
      return <ToolPanel key={entry.id} tool={entry.item.thing} onSaved={stay} />;
    case 'supplier':
      return <SupplierPanel key={entry.id} supplier={entry.item.thing} onSaved={stay} />;
    case undefined:
      return <Nothing section={section} entries={entries} onAdd={onAdd} onSaved={onSaved} />;
  }
}

export const ADDABLE: Readonly<Record<Section, readonly (readonly [Exclude<Adding, null>, string])[]>> = {
  wool: [
    ['fibre', 'Add a fibre'],
    ['blend', 'Blend'],
  ],
  findings: [['finding', 'Add a finding']],
  tools: [
    ['needle', 'Add a needle'],
    ['tool', 'Add a tool'],
  ],
  suppliers: [['supplier', 'Add a supplier']],
};

const NOTHING_OPEN: Readonly<Record<Section, string>> = {
  wool: 'Open a drawer to see what is in it, what it is like and what could stand in for it.',
  findings: 'Open a finding to see it, count it and change it.',
  tools: 'Open a needle or tool to see it, count it and change it.',
  suppliers: 'Open a supplier to see its packs, prices and terms.',
};

type NothingProps = Pick<ShelfPanelProps, 'section' | 'entries' | 'onAdd' | 'onSaved'>;

/** A start for who asks what comes closest to any colour. */
const ANY_COLOUR = '#6d8f8a';

function Nothing({ section, entries, onAdd, onSaved }: NothingProps) {
  const [isAsking, setAsking] = useState(false);
  return (
    <>
      <p className="quiet below-3">{NOTHING_OPEN[section]}</p>
      <div className={styles.form}>
        {ADDABLE[section].map(([kind, words]) => (
          <div key={kind}>
            <Button onClick={() => onAdd(kind)}>{words}</Button>
          </div>
        ))}
        {section === 'wool' && (
          <div>
            <Button onClick={() => setAsking(!isAsking)}>
              {isAsking ? 'What needs you' : 'What comes closest to a colour'}
            </Button>
          </div>
        )}
      </div>
      <div className="gap-4" />
      {section === 'wool' &&
        (isAsking ? <Substitutes colour={ANY_COLOUR} /> : <NeedsYou entries={entries} onOpen={onSaved} />)}
      {section === 'tools' && <HandMeasures />}
    </>
  );
}

const MOST_NAMED = 8;

/** What runs will take and is not there, and what was never counted. */
function NeedsYou({ entries, onOpen }: { entries: readonly Entry[]; onOpen: (id: string) => void }) {
  const isPromisedRead = usePromisedAhead().data !== undefined;
  const inUse = entries.filter(({ isArchived }) => !isArchived);
  const short = inUse.filter((entry) => entry.short > 0);
  const uncounted = inUse.filter(({ onHand }) => onHand === null);
  const lines = (found: readonly Entry[], words: (entry: Entry) => string) => (
    <ul className={styles.list}>
      {found.slice(0, MOST_NAMED).map((entry) => (
        <li key={entry.id} className={styles.found}>
          {entry.wool ? <FibreSwatch fibre={entry.wool} width={54} height={22} /> : <span />}
          <button type="button" className="plain-button" onClick={() => onOpen(entry.id)}>
            {entry.name} <span className="quiet">{entry.sub}</span>
          </button>
          <span className="red num">{words(entry)}</span>
        </li>
      ))}
      {found.length > MOST_NAMED && (
        <li className="quiet small">and {found.length - MOST_NAMED} more: choose them above the list</li>
      )}
    </ul>
  );
  return (
    <>
      <section className={styles.section} aria-label="Short for what is ahead">
        <h2>Short for what is ahead</h2>
        {short.length === 0 && (
          <p className="quiet">
            {isPromisedRead
              ? 'Nothing: the drawers cover every run.'
              : 'What runs ahead will take is not read yet.'}
          </p>
        )}
        {lines(short, (entry) => showGrams(entry.short))}
      </section>
      {uncounted.length > 0 && (
        <section className={styles.section} aria-label="Never counted">
          <h2>Never counted</h2>
          {lines(uncounted, () => '')}
        </section>
      )}
    </>
  );
}
