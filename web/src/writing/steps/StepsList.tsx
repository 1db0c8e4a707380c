import { isWaitedFor, needleOf, type Pattern, type Step } from '@lanakit/core/pattern';
import { ticksOf } from '@lanakit/core/reading';
import type { NeedleWanted } from '@lanakit/core/shelf';
import { wantedName } from '@lanakit/core/words';
import { insertTechnique, newUse } from '@lanakit/core/writing';
import { Button } from 'antd';
import { nanoid } from 'nanoid';
import { lazy, Suspense, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useTechniques } from '../../api/queries.ts';
import { become } from '../../draft/become.ts';
import lists from '../../ui/Lists.module.css';
import { SortableRows } from '../../ui/SortableRows.tsx';
import { useTable } from '../table/tableContext.ts';
import { STAGE_WORDS } from '../../words/show.ts';
import { plainText } from '../../draft/markdownEdits.ts';
import { MarksKey } from './StepMarks.tsx';
import { StepEditor } from './StepEditor.tsx';
import { StepHead } from './StepRow.tsx';
import styles from './Steps.module.css';
import { TechniqueNews } from './TechniqueNews.tsx';
import { useStepActions } from './useStepActions.ts';

const BulkPictures = lazy(async () => ({ default: (await import('./BulkPictures.tsx')).BulkPictures }));
const PasteSteps = lazy(async () => ({ default: (await import('./PasteSteps.tsx')).PasteSteps }));

interface StepsListProps {
  openId: string | null;
  onOpen: (stepId: string | null) => void;
}

/** The steps in order, under their sessions and stages, one open at a time for writing. */
export function StepsList({ openId, onOpen }: StepsListProps) {
  const sessions = useTable((table) => table.document.sessions);
  const document = useTable((table) => table.document);
  const parts = useTable((table) => table.document.parts);
  const build = useTable((table) => table.build);
  const cautions = useTable((table) => table.cautions);
  const steps = useTable((table) => table.document.steps);
  const [isPasting, setPasting] = useState(false);
  const [hasPictures, setPictures] = useState(false);
  const actions = useStepActions(onOpen);
  const inBuild = useMemo(() => new Set(build.steps.map(({ id }) => id)), [build.steps]);
  const toggle = useToggle(openId, onOpen);
  const numberOf = useMemo(() => new Map(parts.map(({ id }, at) => [id, at + 1])), [parts]);
  return (
    <div className={lists.scroll}>
      <div className={styles.bar}>
        <Button size="small" onClick={() => setPasting(true)}>
          Paste a text…
        </Button>
        {steps.length > 0 && (
          <Button size="small" onClick={() => setPictures(true)}>
            Pictures onto steps…
          </Button>
        )}
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
          // An open row has fields that see everything; a closed one is drawn of these.
          of:
            step.id === openId
              ? undefined
              : [
                  step,
                  steps[index - 1]?.stage,
                  inBuild.has(step.id),
                  needleName(needleOf(step, document)),
                  isWaitedFor(step, document),
                  (cautions.get(step.id) ?? NONE).join(),
                  parts,
                  sessions,
                ],
        }))}
        renderBefore={(_id, index) => <Headings step={steps[index]} before={steps[index - 1]} />}
        renderRow={(id, index) => {
          const step = steps[index];
          if (!step) return null;
          const caution = cautions.get(id) ?? NONE;
          const isOpen = id === openId;
          return (
            <div
              className={`${isOpen ? lists.open : styles.closed} ${inBuild.has(id) || isOpen ? '' : styles.notInBuild}`}
            >
              <StepHead
                step={step}
                number={index + 1}
                isOpen={isOpen}
                isInBuild={inBuild.has(id)}
                needle={needleOf(step, document)}
                times={ticksOf(step, document).length}
                isWaitedFor={isWaitedFor(step, document)}
                cautions={caution}
                partNumbers={step.partIds.map((partId) => numberOf.get(partId) ?? '').join(' ')}
                onToggle={toggle}
              />
              {isOpen && (
                <StepEditor
                  step={step}
                  index={index}
                  cautions={caution}
                  onTechnique={(techniqueId) => actions.onTechnique(techniqueId, id)}
                  actions={actions}
                />
              )}
            </div>
          );
        }}
        {...actions}
      />
      <div className={lists.add}>
        <Button onClick={() => actions.onAddAfter(steps.at(-1)?.id ?? '')}>Add a step</Button>
        <UseTechnique />
      </div>
      {hasPictures && (
        <Suspense fallback={null}>
          <BulkPictures onClose={() => setPictures(false)} />
        </Suspense>
      )}
      {isPasting && (
        <Suspense fallback={null}>
          <PasteSteps onClose={() => setPasting(false)} />
        </Suspense>
      )}
    </div>
  );
}

const NONE: readonly never[] = [];

/** The same function while the list stays: a row that does not change is not drawn anew. */
function useToggle(openId: string | null, onOpen: (stepId: string | null) => void): (stepId: string) => void {
  const open = useRef(openId);
  useEffect(() => {
    open.current = openId;
  }, [openId]);
  return useCallback((stepId) => onOpen(stepId === open.current ? null : stepId), [onOpen]);
}

/** The session that begins here, and the stage. */
function Headings({ step, before }: { step: Step | undefined; before: Step | undefined }) {
  const sessions = useTable((table) => table.document.sessions);
  if (!step) return null;
  const session = sessions.find(({ firstStepId }) => firstStepId === step.id);
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
  const edit = useTable((table) => table.edit);
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
              edit(
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

const needleName = (wanted: NeedleWanted | null): string | null => wanted && wantedName(wanted);
