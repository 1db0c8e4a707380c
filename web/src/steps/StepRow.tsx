import type { Caution, Step } from '@lanakit/core';
import { ACT_WORDS } from '@lanakit/core/words';
import type { RowActions } from '../patterns/SortableRows.tsx';
import { useTable } from '../patterns/tableContext.ts';
import lists from '../patterns/Lists.module.css';
import { plainText } from './markdownEdits.ts';
import { StepEditor } from './StepEditor.tsx';
import { StepMarks } from './StepMarks.tsx';
import styles from './Steps.module.css';

interface StepRowProps {
  index: number;
  isOpen: boolean;
  /** Made in the build that is looked at. */
  isInBuild: boolean;
  cautions: readonly Caution[];
  onToggle: () => void;
  onTechnique: (techniqueId: string) => void;
  actions: RowActions;
}

export function StepRow({
  index,
  isOpen,
  isInBuild,
  cautions,
  onToggle,
  onTechnique,
  actions,
}: StepRowProps) {
  const { draft } = useTable();
  const { document } = draft;
  const step = document.steps[index];
  if (!step) return null;
  return (
    <div className={isOpen ? lists.open : ''} style={isInBuild ? undefined : { opacity: 0.55 }}>
      <button
        type="button"
        data-row-head
        className={`${lists.head} ${styles.head}`}
        aria-expanded={isOpen}
        onClick={onToggle}
      >
        <span className={lists.stepNumber}>{index + 1}</span>
        <span className={lists.main}>
          {isOpen ? (
            <b>Step {index + 1}</b>
          ) : (
            <span className={styles.text}>
              {plainText(step.text) || <span className="quiet">Nothing written yet</span>}
            </span>
          )}
          <span className={styles.act}>
            <StepActs step={step} /> {!isInBuild && '· not in this build'}
          </span>
        </span>
        <StepMarks step={step} pattern={document} cautions={cautions} />
      </button>
      {isOpen && (
        <StepEditor
          step={step}
          index={index}
          cautions={cautions}
          onTechnique={onTechnique}
          actions={actions}
        />
      )}
    </div>
  );
}

/** The act, and what it is done to, by number. */
function StepActs({ step }: { step: Step }) {
  const { parts } = useTable().draft.document;
  const numbers = parts.flatMap(({ id }, at) => (step.partIds.includes(id) ? [at + 1] : []));
  return (
    <>
      {ACT_WORDS[step.act.kind]}{' '}
      {numbers.map((number) => (
        <span key={number} className={styles.part}>
          {number}
        </span>
      ))}
    </>
  );
}
