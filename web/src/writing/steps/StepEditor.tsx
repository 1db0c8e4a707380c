import { type Caution, CAUTIONS, type Step } from '@lanakit/core/pattern';
import { Button, Segmented } from 'antd';
import { memo, useState } from 'react';
import { ownerName } from '../../words/ownerWords.ts';
import type { RowActions } from '../../ui/SortableRows.tsx';
import { TableContext, useEditStep, useTable } from '../table/tableContext.ts';
import lists from '../../ui/Lists.module.css';
import { StepCautions } from './StepCautions.tsx';
import { StepChecks } from './StepChecks.tsx';
import { StepDoing } from './StepDoing.tsx';
import { StepOrder } from './StepOrder.tsx';
import { StepPictures } from './StepPictures.tsx';
import { StepReaders } from './StepReaders.tsx';
import { StepText } from './StepText.tsx';
import styles from './Steps.module.css';
import { useBesideWords } from './useBesideWords.ts';

type Tab = 'doing' | 'checks' | 'cautions' | 'pictures' | 'order' | 'readers';

interface StepEditorProps {
  step: Step;
  index: number;
  cautions: readonly Caution[];
  onTechnique: (techniqueId: string) => void;
  actions: RowActions;
}

export function StepEditor({ step, index, cautions, onTechnique, actions }: StepEditorProps) {
  const still = useBesideWords(step.id);
  return (
    <div className={lists.editor}>
      <StepText step={step} onAddAfter={() => actions.onAddAfter(step.id)} onTechnique={onTechnique} />
      <TableContext value={still}>
        <BesideWords stepId={step.id} index={index} cautions={cautions.join(' ')} />
      </TableContext>
      <div className={lists.rowActions}>
        <Button size="small" onClick={() => actions.onDuplicate(step.id)}>
          Duplicate
        </Button>
        <Button size="small" onClick={() => actions.onAddAfter(step.id)}>
          Add a step after
        </Button>
        <Button size="small" danger onClick={() => actions.onDelete(step.id)}>
          Delete
        </Button>
      </div>
    </div>
  );
}

interface BesideWordsProps {
  stepId: string;
  index: number;
  /** With a space between, so that the same ones are the same. */
  cautions: string;
}

/** Everything about a step but its words. */
const BesideWords = memo(function BesideWords({ stepId, ...rest }: BesideWordsProps) {
  const step = useTable((table) => table.document.steps.find(({ id }) => id === stepId));
  return step ? <StepTabs step={step} {...rest} /> : null;
});

interface StepTabsProps extends Omit<BesideWordsProps, 'stepId'> {
  step: Step;
}

function StepTabs({ step, index, cautions: joined }: StepTabsProps) {
  const [tab, setTab] = useState<Tab>('doing');
  const cautions = CAUTIONS.filter((caution) => joined.split(' ').includes(caution));
  const counted = (word: string, count: number) => (count > 0 ? `${word} ${count}` : word);
  const isDrawn = useTable((table) => table.document.drawnStepIds.includes(step.id));
  const hasMore = step.repeat !== null || step.readers.kit !== '' || step.readers.pattern !== '';
  return (
    <>
      <ActsOn step={step} />
      <Segmented<Tab>
        className={styles.tabs ?? ''}
        size="small"
        aria-label="More of this step"
        value={tab}
        onChange={setTab}
        options={[
          { value: 'doing', label: 'how' },
          { value: 'checks', label: counted('checks', step.checks.length) },
          { value: 'cautions', label: counted('cautions', cautions.length) },
          { value: 'pictures', label: counted('pictures', step.pictures.length + (isDrawn ? 1 : 0)) },
          { value: 'order', label: 'order' },
          { value: 'readers', label: hasMore ? 'repeats, readers ·' : 'repeats, readers' },
        ]}
      />
      {tab === 'doing' && <StepDoing step={step} index={index} />}
      {tab === 'checks' && <StepChecks step={step} />}
      {tab === 'cautions' && <StepCautions step={step} cautions={cautions} />}
      {tab === 'pictures' && <StepPictures step={step} />}
      {tab === 'order' && <StepOrder step={step} />}
      {tab === 'readers' && <StepReaders step={step} />}
    </>
  );
}

/** The parts a step is about, and of joining steps the joins. */
function ActsOn({ step }: { step: Step }) {
  const document = useTable((table) => table.document);
  const parts = useTable((table) => table.document.parts);
  const joins = useTable((table) => table.document.joins);
  const editStep = useEditStep(step.id);
  const toggle = (list: 'partIds' | 'joinIds', thing: string, id: string) =>
    editStep(`the ${thing} of a step`, (draft) => {
      draft[list] = draft[list].includes(id)
        ? draft[list].filter((joinId) => joinId !== id)
        : [...draft[list], id];
    });
  const within = joins.filter(
    ({ id, partId, ontoId }) =>
      step.joinIds.includes(id) || (step.partIds.includes(partId) && step.partIds.includes(ontoId)),
  );
  return (
    <div role="group" aria-label="Acts on" className="above-2">
      <div className="quiet small">Acts on</div>
      <div className={lists.chips}>
        {parts.length === 0 && <span className="quiet">No parts yet</span>}
        {parts.map((part, at) => (
          <button
            key={part.id}
            type="button"
            className={lists.chip}
            aria-pressed={step.partIds.includes(part.id)}
            onClick={() => toggle('partIds', 'parts', part.id)}
          >
            <span className={lists.number}>{at + 1}</span>
            {part.name}
          </button>
        ))}
        {within.map((join) => (
          <button
            key={join.id}
            type="button"
            className={lists.chip}
            aria-pressed={step.joinIds.includes(join.id)}
            onClick={() => toggle('joinIds', 'joins', join.id)}
          >
            join: {ownerName({ kind: 'join', id: join.id }, document)}
          </button>
        ))}
      </div>
    </div>
  );
}
