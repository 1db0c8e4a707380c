import { insertTechnique, newUse, type Pattern, type Step } from '@lanakit/core';
import { Button } from 'antd';
import { nanoid } from 'nanoid';
import { lazy, Suspense, useState } from 'react';
import { useTechniques } from '../api/resources.ts';
import { become } from '../draft/become.ts';
import lists from '../patterns/Lists.module.css';
import { SortableRows } from '../patterns/SortableRows.tsx';
import { useTable } from '../patterns/tableContext.ts';
import { STAGE_WORDS } from '../words/show.ts';
import { plainText } from './markdownEdits.ts';
import { StageNeedles } from './StageNeedles.tsx';
import { MarksKey } from './StepMarks.tsx';
import { StepRow } from './StepRow.tsx';
import styles from './Steps.module.css';
import { TechniqueNews } from './TechniqueNews.tsx';
import { useStepActions } from './useStepActions.ts';

const PasteSteps = lazy(async () => ({ default: (await import('./PasteSteps.tsx')).PasteSteps }));

interface StepsListProps {
  openId: string | null;
  onOpen: (stepId: string | null) => void;
}

/** The steps in order, under their sessions and stages, one open at a time for writing. */
export function StepsList({ openId, onOpen }: StepsListProps) {
  const { draft, build, cautions } = useTable();
  const { steps } = draft.document;
  const [isPasting, setPasting] = useState(false);
  const actions = useStepActions(onOpen);
  const inBuild = new Set(build.steps.map(({ id }) => id));
  return (
    <div className={lists.scroll}>
      <div className={styles.bar}>
        <Button size="small" onClick={() => setPasting(true)}>
          Paste a text…
        </Button>
        <StageNeedles />
        <MarksKey />
      </div>
      <TechniqueNews />
      {steps.length === 0 && (
        <p className={lists.empty}>
          A step says what to do to which parts, with which needle, and for how long at your pace. Write them
          as you make, or paste what you have: it is read for you.
        </p>
      )}
      <SortableRows
        noun="step"
        openId={openId}
        rows={steps.map((step, index) => ({
          id: step.id,
          name: plainText(step.text) || `step ${index + 1}`,
        }))}
        renderBefore={(_id, index) => <Headings step={steps[index]} before={steps[index - 1]} />}
        renderRow={(id, index) => (
          <StepRow
            index={index}
            isOpen={id === openId}
            isInBuild={inBuild.has(id)}
            cautions={cautions.get(id) ?? NONE}
            onToggle={() => onOpen(id === openId ? null : id)}
            onTechnique={(techniqueId) => actions.onTechnique(techniqueId, id)}
            actions={actions}
          />
        )}
        {...actions}
      />
      <div className={lists.add}>
        <Button onClick={() => actions.onAddAfter(steps.at(-1)?.id ?? '')}>Add a step</Button>
        <UseTechnique />
      </div>
      {isPasting && (
        <Suspense fallback={null}>
          <PasteSteps onClose={() => setPasting(false)} />
        </Suspense>
      )}
    </div>
  );
}

const NONE: readonly never[] = [];

/** The session that begins here, and the stage. */
function Headings({ step, before }: { step: Step | undefined; before: Step | undefined }) {
  const { draft } = useTable();
  if (!step) return null;
  const session = draft.document.sessions.find(({ firstStepId }) => firstStepId === step.id);
  return (
    <>
      {session && (
        <h3 className={styles.session}>
          {session.name || 'A session'}
          {session.startState !== '' && <span>begins with: {session.startState}</span>}
        </h3>
      )}
      {(step.stage !== before?.stage || session) && (
        <h3 className={lists.stage}>{STAGE_WORDS[step.stage]}</h3>
      )}
    </>
  );
}

/** Puts a technique at the end of the steps. */
function UseTechnique() {
  const { draft } = useTable();
  const techniques = useTechniques().data?.items ?? [];
  const [isChoosing, setChoosing] = useState(false);
  if (techniques.length === 0) return null;
  return (
    <>
      <Button onClick={() => setChoosing(!isChoosing)} aria-expanded={isChoosing}>
        Use a technique
      </Button>
      {isChoosing &&
        techniques.map((technique) => (
          <Button
            key={technique.id}
            type="dashed"
            title={technique.about}
            onClick={() => {
              const use = newUse(technique, nanoid(10), []);
              draft.edit(
                `using ${technique.name}`,
                become<Pattern>((pattern) => insertTechnique(pattern, technique, use, null)),
              );
              setChoosing(false);
            }}
          >
            {technique.name}
          </Button>
        ))}
    </>
  );
}
