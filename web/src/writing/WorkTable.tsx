import type { StoredPattern } from '@lanakit/core/api';
import { resolveBuild } from '@lanakit/core/build';
import { estimatePattern, type PatternEstimate, type Wool } from '@lanakit/core/engine';
import {
  checkPattern,
  type Choices,
  NO_CHOICES,
  type Pattern,
  stepTotals,
  type StepTotals,
  strangeFibres,
  strangeFindings,
} from '@lanakit/core/pattern';
import { type View, VIEWS, withSize } from '@lanakit/core/shapes';
import type { Fibre } from '@lanakit/core/shelf';
import { sizeWords } from '@lanakit/core/words';
import { cautionsOf } from '@lanakit/core/writing';
import { Checkbox, Segmented, Select } from 'antd';
import { lazy, memo, useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { SaveMark } from '../draft/SaveMark.tsx';
import { useDraft } from '../draft/useDraft.ts';
import { piecesOf, type Piece } from '../figure/pieces.ts';
import { PieceTray } from '../figure/PieceTray.tsx';
import type { PullSize } from '../figure/SizeHandles.tsx';
import { InTopBar } from '../shell/TopSlot.tsx';
import { LifeLines } from './steps/LifeLines.tsx';
import { StepsList } from './steps/StepsList.tsx';
import { counted } from '../words/show.ts';
import { ConflictDialog } from './ConflictDialog.tsx';
import { JoinsList } from './joins/JoinsList.tsx';
import { Ledger } from './ledger/Ledger.tsx';
import { MaterialsList } from './materials/MaterialsList.tsx';
import { PartsList } from './parts/PartsList.tsx';
import { PatternHeader } from './PatternHeader.tsx';
import { TableContext, type TableView } from './table/tableContext.ts';
import type { Writing } from './table/writing.ts';
import styles from './WorkTable.module.css';

interface WorkTableProps {
  stored: StoredPattern;
  fibres: readonly Fibre[];
  wool: Wool;
}

const VIEW_WORDS: Readonly<Record<View, string>> = { front: 'front', side: 'side', top: 'above' };

const WRITING_WORDS: Readonly<Record<Writing, string>> = {
  parts: 'Parts',
  joins: 'Joins',
  materials: 'Materials',
  steps: 'Steps',
  needles: 'Needles',
  options: 'Options',
  about: 'About',
};

/** Opened, the words and the grams are there first. */
const NOT_YET: readonly Piece[] = [];

/** A pattern being written: its pieces to scale, the list being written, and what one make takes. */
export function WorkTable({ stored, fibres, wool }: WorkTableProps) {
  const shelf = wool.fibres;
  const draft = useDraft(stored);
  const { document } = draft;
  const [writing, setWriting] = useState<Writing>('parts');
  // What is turned to comes whole, its code with it: a list that moves under a hand takes a press for another.
  const shown = useDeferredValue(writing);
  const [isCutAway, setCutAway] = useState(false);
  const [showJoins, setShowJoins] = useState(true);
  const [side, setSide] = useState<View>('front');
  const [openPartId, setOpenPartId] = useState<string | null>(document.parts[0]?.id ?? null);
  const [openStepId, setOpenStepId] = useState<string | null>(null);
  const [chosen, setChoices] = useState<Choices>(NO_CHOICES);
  const build = useMemo(() => resolveBuild(document, chosen), [document, chosen]);
  const estimate = useEstimate(build, wool);
  const totals = useTotals(build);
  const whole = useMemo(
    () => (build === document ? estimate : estimatePattern(document, wool)),
    [build, document, estimate, wool],
  );
  // Of parts alone: words that are typed draw nothing anew.
  const [{ parts }, { parts: estimates }, { parts: all }] = [build, estimate, document];
  const pieces = useMemo(
    () => piecesOf({ parts }, { parts: estimates }, shelf, side, { parts: all }),
    [parts, estimates, shelf, side, all],
  );
  const cautions = useMemo(() => cautionsOf(document, wool), [document, wool]);
  // The grams come first; the drawing follows when there is a moment.
  const drawnPieces = useDeferredValue(pieces, NOT_YET);
  const laterDocument = useDeferredValue(document);
  const problems = useMemo(
    () => [
      ...checkPattern(document),
      ...strangeFibres(document, (id) => wool.fibres.has(id)),
      ...strangeFindings(document, (id) => wool.findings.has(id)),
    ],
    [document, wool],
  );
  const view = useMemo(
    (): TableView => ({
      draft,
      build,
      estimate,
      whole,
      totals,
      choices: chosen,
      setChoices,
      cautions,
      problems,
      fibres,
      shelf,
      wool,
    }),
    [draft, build, estimate, whole, totals, chosen, cautions, problems, fibres, shelf, wool],
  );
  // While a hand pulls a size, the grams and the drawing keep up with it; the list follows when there is a moment.
  const [isPulling, setPulling] = useState(false);
  const laterView = useDeferredValue(view);

  const keys = { enableOnFormTags: true, preventDefault: true } as const;
  useHotkeys('mod+z', draft.undo, keys);
  useHotkeys(['mod+shift+z', 'mod+y'], draft.redo, keys);
  useHotkeys('mod+s', () => void draft.settle(), keys);
  useEffect(() => {
    window.document.title = `${document.title} · Lanakit`;
    return () => {
      window.document.title = 'Lanakit';
    };
  }, [document.title]);

  const { edit } = draft;
  const pullSize = useCallback<PullSize>(
    (partId, name, size) =>
      edit(
        `the ${sizeWords(name)}`,
        (it) => {
          const part = it.parts.find(({ id }) => id === partId);
          if (part) part.shape = withSize(part.shape, name, size);
        },
        `${partId}.${name}`,
      ),
    [edit],
  );
  const choosePart = useCallback((partId: string | null) => {
    setOpenPartId(partId);
    setWriting('parts');
  }, []);
  const openStep = useCallback((stepId: string) => {
    setOpenStepId(stepId);
    setWriting('steps');
  }, []);
  return (
    <TableContext value={view}>
      <main className={styles.table}>
        <InTopBar>
          <SaveMark state={draft.saveState} />
        </InTopBar>
        <PatternHeader stored={stored} />
        {shown === 'needles' && (
          <div className={styles.needles}>
            <NeedlesView patternId={stored.id} onOpenStep={openStep} onClose={() => setWriting('steps')} />
          </div>
        )}
        {shown !== 'needles' && (
          <section className={`sheet ${styles.tray}`} aria-label="Pieces">
            <div className={styles.trayHeading}>
              <h2>Pieces</h2>
              <span className={styles.switches}>
                <Select<View>
                  aria-label="Seen from"
                  size="small"
                  value={side}
                  popupMatchSelectWidth={false}
                  options={VIEWS.map((view) => ({ value: view, label: VIEW_WORDS[view] }))}
                  onChange={setSide}
                />
                <Checkbox checked={isCutAway} onChange={(event) => setCutAway(event.target.checked)}>
                  Cut open
                </Checkbox>
                <Checkbox checked={showJoins} onChange={(event) => setShowJoins(event.target.checked)}>
                  Joins
                </Checkbox>
              </span>
            </div>
            <p className={`quiet small ${styles.legend}`}>
              sizes and outlines are finished; dashed: rolled or laid out ·{' '}
              {document.lengthUnit === 'mm' ? 'cm' : 'inches'}
            </p>
            {drawnPieces.length > 0 ? (
              <PieceTray
                pieces={drawnPieces}
                joins={build.joins}
                isCutAway={isCutAway}
                showJoins={showJoins}
                onPull={pullSize}
                onHold={setPulling}
                unit={document.lengthUnit}
                chosenId={openPartId}
                onChoose={choosePart}
              />
            ) : (
              document.parts.length === 0 && (
                <p className={`quiet ${styles.empty}`}>
                  Parts are drawn here as you write them, all to one scale.
                </p>
              )
            )}
            {shown === 'steps' && <LifeLines document={laterDocument} onOpen={openStep} />}
          </section>
        )}
        {shown !== 'needles' && (
          <TableContext value={isPulling ? laterView : view}>
            <section className={`sheet ${styles.writing}`} aria-label={WRITING_WORDS[shown]}>
              <div className={styles.writingHeading}>
                <Segmented<Writing>
                  value={writing}
                  onChange={setWriting}
                  aria-label="What to write"
                  options={[
                    { value: 'parts', label: counted(document.parts.length, 'part') },
                    { value: 'joins', label: counted(document.joins.length, 'join') },
                    { value: 'materials', label: 'materials' },
                    { value: 'steps', label: counted(document.steps.length, 'step') },
                    { value: 'options', label: 'options' },
                    { value: 'about', label: 'about' },
                  ]}
                />
                <span className="quiet small">
                  {draft.undoLabel !== null && `Ctrl Z takes back: ${draft.undoLabel}`}
                </span>
              </div>
              <WritingList
                writing={shown}
                openPartId={openPartId}
                onOpenPart={setOpenPartId}
                openStepId={openStepId}
                onOpenStep={setOpenStepId}
              />
            </section>
          </TableContext>
        )}
        <Ledger stored={stored} onChoosePart={choosePart} onShow={setWriting} onOpenStep={openStep} />
        {shown === 'steps' && (
          <LadderStrip openStepId={openStepId} onOpenStep={openStep} onOpen={() => setWriting('needles')} />
        )}
        <ConflictDialog />
      </main>
    </TableContext>
  );
}

/** The estimate of what is made; words that are typed change no grams, and do not work them out anew. */
function useEstimate(build: Pattern, wool: Wool): PatternEstimate {
  const { parts, joins, joinsApart, cuts, findings, shared, weighedMakeG, lengthUnit } = build;
  return useMemo(
    () =>
      estimatePattern({ parts, joins, joinsApart, cuts, findings, shared, weighedMakeG, lengthUnit }, wool),
    [parts, joins, joinsApart, cuts, findings, shared, weighedMakeG, lengthUnit, wool],
  );
}

/** Minutes and needles of what is made; a size that is pulled changes none of the needles. */
function useTotals({ steps, parts, joins, links, stageNeedles, school }: Pattern): StepTotals {
  return useMemo(
    () => stepTotals({ steps, parts, joins, links, stageNeedles, school }),
    [steps, parts, joins, links, stageNeedles, school],
  );
}

interface WritingListProps {
  writing: Writing;
  openPartId: string | null;
  onOpenPart: (partId: string | null) => void;
  openStepId: string | null;
  onOpenStep: (stepId: string | null) => void;
}

const NeedlesView = lazy(async () => ({ default: (await import('./needles/NeedlesView.tsx')).NeedlesView }));
const LadderStrip = lazy(async () => ({ default: (await import('./needles/LadderStrip.tsx')).LadderStrip }));
const OptionsList = lazy(async () => ({ default: (await import('./options/OptionsList.tsx')).OptionsList }));
const AboutPattern = lazy(async () => ({
  default: (await import('./about/AboutPattern.tsx')).AboutPattern,
}));

/** The list that is being written. It draws itself anew when what it sees changes, and not when the table does. */
const WritingList = memo(function WritingList(props: WritingListProps) {
  switch (props.writing) {
    case 'parts':
      return <PartsList openId={props.openPartId} onOpen={props.onOpenPart} />;
    case 'joins':
      return <JoinsList />;
    case 'materials':
      return <MaterialsList />;
    case 'steps':
      return <StepsList openId={props.openStepId} onOpen={props.onOpenStep} />;
    case 'needles':
      return null;
    case 'options':
      return <OptionsList />;
    case 'about':
      return <AboutPattern onOpenStep={props.onOpenStep} />;
  }
});
