import type { PartEstimate } from '@lanakit/core/engine';
import { sizeLine } from '../../words/partWords.ts';
import { FibreSwatch } from '../../ui/look/FibreSwatch.tsx';
import { showGrams, showLikely, timesWords } from '../../words/show.ts';
import styles from '../../ui/Lists.module.css';
import { PartEditor } from './PartEditor.tsx';
import { RemarkMark } from '../table/RemarkMark.tsx';
import type { RowActions } from '../../ui/SortableRows.tsx';
import { useTable } from '../table/tableContext.ts';

interface PartRowProps {
  index: number;
  isOpen: boolean;
  onToggle: () => void;
  actions: RowActions;
}

export function PartRow({ index, isOpen, onToggle, actions }: PartRowProps) {
  const parts = useTable((table) => table.document.parts);
  const estimate = useTable((table) => table.estimate);
  const whole = useTable((table) => table.whole);
  const shelf = useTable((table) => table.shelf);
  const part = parts[index];
  const partEstimate =
    estimate.parts.find(({ partId }) => partId === part?.id) ??
    whole.parts.find(({ partId }) => partId === part?.id);
  if (!part || !partEstimate) return null;
  const isInBuild = estimate.parts.includes(partEstimate);
  return (
    <div className={isOpen ? styles.open : ''}>
      <button type="button" data-row-head className={styles.head} aria-expanded={isOpen} onClick={onToggle}>
        <span className={styles.number}>{index + 1}</span>
        <span className={styles.main}>
          <span className={styles.name}>{part.name || 'Unnamed'}</span>
          {timesWords(part.count)}
          <span className={styles.detail}>
            {isInBuild ? '' : 'not in this build · '}
            {sizeLine(part)} · {part.firmness}
          </span>
        </span>
        {fibresOf(partEstimate).map((fibreId) => {
          const fibre = shelf.get(fibreId);
          return fibre && <FibreSwatch key={fibreId} fibre={fibre} width={34} height={20} />;
        })}
        <PartAmount estimate={partEstimate} />
        <RemarkMark id={part.id} />
      </button>
      {isOpen && <PartEditor part={part} index={index} estimate={partEstimate} actions={actions} />}
    </div>
  );
}

/** As many swatches as fit beside a name. */
const MOST_SWATCHES = 3;

/** Its fibres, each once, from the inside out. */
const fibresOf = ({ uses }: PartEstimate): string[] =>
  [...new Set(uses.flatMap(({ fibreId }) => fibreId ?? []))].slice(0, MOST_SWATCHES);

function PartAmount({ estimate: { total, pieceG, count } }: { estimate: PartEstimate }) {
  if (total.unknownCount > 0) return <span className={`${styles.amount} red`}>unknown</span>;
  return (
    <span className={styles.amount}>
      {showLikely(total.likelyG)}
      {count && count.high > 1 && <span>{showGrams(pieceG)} each</span>}
    </span>
  );
}
