import { Segmented } from 'antd';
import { lazy, memo, useEffect, useState } from 'react';
import { counted } from '../words/show.ts';
import { JoinsList } from './joins/JoinsList.tsx';
import { MaterialsList } from './materials/MaterialsList.tsx';
import { PartsList } from './parts/PartsList.tsx';
import { StepsList } from './steps/StepsList.tsx';
import { TableContext, useTable, useTableStore } from './table/tableContext.ts';
import { mirrorOf, type TableStore } from './table/tableStore.ts';
import { type Writing, WRITING_WORDS } from './table/writing.ts';
import styles from './WorkTable.module.css';

interface OpenItems {
  openPartId: string | null;
  onOpenPart: (partId: string | null) => void;
  openStepId: string | null;
  onOpenStep: (stepId: string | null) => void;
}

interface WritingPanelProps extends OpenItems {
  /** What was turned to. */
  writing: Writing;
  /** What is there of it already. */
  shown: Writing;
  onWrite: (writing: Writing) => void;
  isPulling: boolean;
}

/** The list that is being written, and what else there is to write. */
export function WritingPanel({ writing, shown, onWrite, isPulling, ...open }: WritingPanelProps) {
  const store = useLaterWhile(isPulling);
  return (
    <section className={`sheet ${styles.writing}`} aria-label={WRITING_WORDS[shown]}>
      <h2 className="visually-hidden">{WRITING_WORDS[shown]}</h2>
      <div className={styles.writingHeading}>
        <WhatToWrite writing={writing} onWrite={onWrite} />
      </div>
      <TableContext value={store}>
        <WritingList writing={shown} {...open} />
      </TableContext>
      <UndoHint />
    </section>
  );
}

function WhatToWrite({ writing, onWrite }: Pick<WritingPanelProps, 'writing' | 'onWrite'>) {
  const parts = useTable((table) => table.document.parts.length);
  const joins = useTable((table) => table.document.joins.length);
  const steps = useTable((table) => table.document.steps.length);
  return (
    <Segmented<Writing>
      value={writing}
      onChange={onWrite}
      aria-label="What to write"
      options={[
        { value: 'parts', label: counted(parts, 'part') },
        { value: 'joins', label: counted(joins, 'join') },
        { value: 'materials', label: 'materials' },
        { value: 'steps', label: counted(steps, 'step') },
        { value: 'options', label: 'options' },
        { value: 'about', label: 'about' },
      ]}
    />
  );
}

/** Below the list, where it pushes nothing aside when it comes. */
function UndoHint() {
  const undoLabel = useTable((table) => table.undoLabel);
  if (undoLabel === null) return null;
  return <p className={`quiet small ${styles.undo}`}>Ctrl Z takes back: {undoLabel}</p>;
}

/** How long a list may lag behind a hand that pulls. */
const LAG_MS = 150;

/** The table as it is; while a hand pulls at it, as it was a moment ago. */
function useLaterWhile(isPulling: boolean): TableStore {
  const of = useTableStore();
  const [mirror] = useState(() => mirrorOf(of, () => true));
  useEffect(() => mirror.watch(), [mirror]);
  useEffect(() => {
    mirror.hold(isPulling);
    if (!isPulling) return;
    const timer = setInterval(mirror.catchUp, LAG_MS);
    return () => clearInterval(timer);
  }, [isPulling, mirror]);
  return mirror.store;
}

const OptionsList = lazy(async () => ({ default: (await import('./options/OptionsList.tsx')).OptionsList }));
const AboutPattern = lazy(async () => ({
  default: (await import('./about/AboutPattern.tsx')).AboutPattern,
}));

/** The list that is being written. It draws itself anew when what it sees changes, and not when the table does. */
const WritingList = memo(function WritingList({
  writing,
  openPartId,
  onOpenPart,
  openStepId,
  onOpenStep,
}: OpenItems & { writing: Writing }) {
  switch (writing) {
    case 'parts':
      return <PartsList openId={openPartId} onOpen={onOpenPart} />;
    case 'joins':
      return <JoinsList />;
    case 'materials':
      return <MaterialsList />;
    case 'steps':
      return <StepsList openId={openStepId} onOpen={onOpenStep} />;
    case 'needles':
      return null;
    case 'options':
      return <OptionsList />;
    case 'about':
      return <AboutPattern onOpenStep={onOpenStep} />;
  }
});
