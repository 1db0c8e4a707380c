import { blankStep, duplicateItem, moveItem, type Step } from '@lanakit/core';
import { Button } from 'antd';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { useNotice } from '../shell/Notice.tsx';
import { STAGE_WORDS } from '../words/show.ts';
import styles from './Lists.module.css';
import { SortableRows, type RowActions } from './SortableRows.tsx';
import { StepRow } from './StepRow.tsx';
import { useTable } from './tableContext.ts';

/** The steps in order, under their stages, one open at a time for writing. */
export function StepsList() {
  const { draft } = useTable();
  const { steps } = draft.document;
  const [openId, setOpenId] = useState<string | null>(null);
  const actions = useStepActions(setOpenId);
  return (
    <div className={styles.scroll}>
      {steps.length === 0 && (
        <p className={styles.empty}>
          A step says what to do to which parts, with which needle, and for how long at your pace. Write them
          as you make.
        </p>
      )}
      <SortableRows
        noun="step"
        openId={openId}
        rows={steps.map((step, index) => ({ id: step.id, name: step.text || `step ${index + 1}` }))}
        renderBefore={(_id, index) => <StageHeading step={steps[index]} before={steps[index - 1]} />}
        renderRow={(id, index) => (
          <StepRow
            index={index}
            isOpen={id === openId}
            onToggle={() => setOpenId(id === openId ? null : id)}
            actions={actions}
          />
        )}
        {...actions}
      />
      <div className={styles.add}>
        <Button onClick={() => actions.onAddAfter(steps.at(-1)?.id ?? '')}>Add a step</Button>
      </div>
    </div>
  );
}

function StageHeading({ step, before }: { step: Step | undefined; before: Step | undefined }) {
  if (!step || step.stage === before?.stage) return null;
  return (
    <h3 className={styles.stage}>
      {STAGE_WORDS[step.stage]}
      {step.needle && <span>{step.needle.gauge} needle to begin</span>}
    </h3>
  );
}

function useStepActions(onOpen: (stepId: string | null) => void): RowActions {
  const { draft } = useTable();
  const say = useNotice();
  const { document, edit } = draft;
  return {
    onMove: (id, toIndex) => edit('moving a step', (it) => void (it.steps = moveItem(it.steps, id, toIndex))),
    onDuplicate: (id) => {
      const newId = nanoid(10);
      edit('duplicating a step', (it) => void (it.steps = duplicateItem(document.steps, id, newId)));
      onOpen(newId);
    },
    onDelete: (id) => {
      const at = document.steps.findIndex((step) => step.id === id);
      const step = document.steps[at];
      if (!step) return;
      edit('deleting a step', (it) => void (it.steps = it.steps.filter((candidate) => candidate.id !== id)));
      const bringBack = () =>
        edit('bringing a step back', (it) => {
          if (it.steps.some((candidate) => candidate.id === id)) return;
          const partIds = step.partIds.filter((partId) => it.parts.some((part) => part.id === partId));
          it.steps.splice(at, 0, { ...step, partIds });
        });
      say({ text: 'The step is deleted.', undo: bringBack });
    },
    onAddAfter: (id) => {
      const newId = nanoid(10);
      const before = document.steps.findIndex((step) => step.id === id);
      edit(
        'adding a step',
        (it) => void it.steps.splice(before + 1, 0, blankStep(newId, document.steps[before])),
      );
      onOpen(newId);
    },
  };
}
