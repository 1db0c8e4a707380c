import type { PartEstimate } from '@lanakit/core';
import { sizeLine } from '../words/partWords.ts';
import { FibreSwatch } from '../look/FibreSwatch.tsx';
import { showGrams, showLikely } from '../words/show.ts';
import styles from './Lists.module.css';
import { PartEditor } from './PartEditor.tsx';
import type { RowActions } from './SortableRows.tsx';
import { useTable } from './tableContext.ts';

interface PartRowProps {
  index: number;
  isOpen: boolean;
  onToggle: () => void;
  actions: RowActions;
}

export function PartRow({ index, isOpen, onToggle, actions }: PartRowProps) {
  const { draft, estimate, shelf } = useTable();
  const part = draft.document.parts[index];
  const own = estimate.parts[index];
  if (!part || !own) return null;
  return (
    <div className={isOpen ? styles.open : ''}>
      <button type="button" data-row-head className={styles.head} aria-expanded={isOpen} onClick={onToggle}>
        <span className={styles.number}>{index + 1}</span>
        <span className={styles.main}>
          <span className={styles.name}>{part.name || 'Unnamed'}</span>
          {part.count > 1 && ` ×${part.count}`}
          <span className={styles.detail}>
            {sizeLine(part)} · {part.firmness}
          </span>
        </span>
        {own.uses.map(({ role, fibreId }) => {
          const fibre = fibreId === null ? undefined : shelf.get(fibreId);
          return fibre && <FibreSwatch key={role} fibre={fibre} width={34} height={20} />;
        })}
        <PartAmount estimate={own} />
      </button>
      {isOpen && <PartEditor part={part} index={index} estimate={own} actions={actions} />}
    </div>
  );
}

function PartAmount({ estimate: { total, pieceG, count } }: { estimate: PartEstimate }) {
  if (total.unknownCount > 0) return <span className={`${styles.amount} red`}>unknown</span>;
  return (
    <span className={styles.amount}>
      {showLikely(total.likelyG)}
      {count > 1 && <span>{showGrams(pieceG)} each</span>}
    </span>
  );
}
