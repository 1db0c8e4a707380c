import type { StoredPattern } from '@lanakit/core/api';
import { type Length, toMm } from '@lanakit/core/base';
import { isWoolOnly } from '@lanakit/core/pattern';
import { previewResize, RESIZE_BOUNDS, type ResizeDecision } from '@lanakit/core/resize';
import { warningWords } from '@lanakit/core/words';
import { Button, Modal, Segmented } from 'antd';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { Choice } from '../ui/fields/Choice.tsx';
import { LengthField } from '../ui/fields/LengthField.tsx';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { useNotice } from '../shell/Notice.tsx';
import { showGrams, showKnownMinutes } from '../words/show.ts';
import { BuildTable } from '../patterns/BuildTable.tsx';
import styles from './ResizeDialog.module.css';
import { useTable } from './table/tableContext.ts';
import { perform } from '../api/mutations/mutation.ts';
import { createPattern, publishRevision } from '../api/mutations/patterns.ts';
import { useAttempt } from '../shell/useAttempt.ts';

type By = 'height' | 'factor';

interface ResizeDialogProps {
  stored: StoredPattern;
  onClose: () => void;
}

type Preview = ReturnType<typeof previewResize>;

/** Another size of the same figure: seen beside this one before anything is changed. */
export function ResizeDialog({ stored, onClose }: ResizeDialogProps) {
  const wool = useTable((table) => table.wool);
  const document = useTable((table) => table.document);
  const choices = useTable((table) => table.choices);
  const [factor, setFactor] = useState(1);
  const [swaps, setSwaps] = useState<ReadonlyMap<string, string>>(new Map());
  const preview = useMemo(
    () => previewResize(document, factor, wool, swaps, choices),
    [document, factor, wool, swaps, choices],
  );
  const take = useTakeSize(stored, preview, factor, onClose);
  const isSame = factor === 1 && swaps.size === 0;
  return (
    <Modal
      open
      width={820}
      title={`${document.title} in another size`}
      onCancel={onClose}
      footer={
        <>
          <Button onClick={onClose}>Leave it</Button>
          <Button disabled={isSame} onClick={take.intoDraft}>
            Into the draft
          </Button>
          <Button disabled={isSame} onClick={() => void take.asNew()}>
            As a new pattern
          </Button>
          <Button type="primary" disabled={isSame} onClick={() => void take.asRevision()}>
            As revision {(stored.revision?.number ?? 0) + 1}
          </Button>
        </>
      }
    >
      <div className={styles.size}>
        <HowLarge factor={factor} onFactor={setFactor} />
        <SumOfBoth preview={preview} />
      </div>
      <div className={styles.preview} role="region" aria-label="Before and after" tabIndex={0}>
        <BuildTable
          a={{ pattern: document, estimate: preview.before }}
          b={{ pattern: preview.pattern, estimate: preview.after }}
          names={['now', 'then']}
        />
      </div>
      <ToDecide decisions={preview.decisions} swaps={swaps} onSwaps={setSwaps} />
      <Warnings warnings={preview.warnings} />
    </Modal>
  );
}

const SIZE_NOT_SAVED = {
  text: 'The draft has its new size, but it is not saved yet: publish it when it is.',
  isProblem: true,
} as const;

/** The ways to take the other size: into the draft, as a revision, as a pattern of its own. */
function useTakeSize(stored: StoredPattern, { pattern }: Preview, factor: number, onClose: () => void) {
  const version = useTable((table) => table.version);
  const settle = useTable((table) => table.settle);
  const undo = useTable((table) => table.undo);
  const edit = useTable((table) => table.edit);
  const ownTitle = useTable((table) => table.document.title);
  const navigate = useNavigate();
  const say = useNotice();
  const attempt = useAttempt();
  const resize = () => edit('another size', (draft) => void Object.assign(draft, pattern));
  return {
    intoDraft: () => {
      resize();
      say({ text: 'The draft has its new size. Ctrl Z takes it back.', undo });
      onClose();
    },
    asRevision: () =>
      attempt(async () => {
        resize();
        if (!(await settle())) return SIZE_NOT_SAVED;
        const note = `Another size: × ${factor}`;
        const revision = await perform(publishRevision(stored.id, version(), note), onClose);
        return { text: `Revision ${revision.number} has the new size.` };
      }),
    asNew: () =>
      attempt(async () => {
        const title = `${ownTitle.slice(0, 100)}, × ${factor}`;
        const made = await perform(createPattern({ ...pattern, title }), onClose);
        await navigate(`/patterns/${made.id}`);
        return { text: `“${title}” is a pattern of its own.` };
      }),
  };
}

/** To a height, where the pattern has one, or by a factor. */
function HowLarge({ factor, onFactor }: { factor: number; onFactor: (factor: number) => void }) {
  const height = useTable((table) => table.document.finishedHeight);
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  const [by, setBy] = useState<By>(height ? 'height' : 'factor');
  const target: Length | null = height && {
    value: Number((height.value * factor).toPrecision(6)),
    unit: height.unit,
  };
  return (
    <>
      {height && (
        <Segmented<By>
          aria-label="Resize by"
          value={by}
          onChange={setBy}
          options={[
            { value: 'height', label: 'to a height' },
            { value: 'factor', label: 'by a factor' },
          ]}
        />
      )}
      {by === 'height' && height ? (
        <LengthField
          label="New height"
          value={target}
          defaultUnit={lengthUnit}
          onValue={(length) => {
            const next = length ? toMm(length) / toMm(height) : 1;
            if (next >= RESIZE_BOUNDS.min && next <= RESIZE_BOUNDS.max) onFactor(Number(next.toPrecision(6)));
          }}
        />
      ) : (
        <NumberField label="Times" value={factor} bounds={RESIZE_BOUNDS} onValue={onFactor} />
      )}
    </>
  );
}

function SumOfBoth({ preview: { oneMake } }: { preview: Preview }) {
  const document = useTable((table) => table.document);
  const { before, after } = oneMake;
  return (
    <p className={styles.sum}>
      <b>
        {showGrams(before.total.likelyG)} → {showGrams(after.total.likelyG)}
      </b>
      <span className="quiet">
        {isWoolOnly(document)
          ? 'no steps yet'
          : `${showKnownMinutes(before.minutes)} → ${showKnownMinutes(after.minutes)} at your pace`}
      </span>
    </p>
  );
}

interface ToDecideProps {
  decisions: readonly ResizeDecision[];
  swaps: ReadonlyMap<string, string>;
  onSwaps: (swaps: ReadonlyMap<string, string>) => void;
}

function ToDecide({ decisions, swaps, onSwaps }: ToDecideProps) {
  if (decisions.length === 0) return null;
  const swap = (from: string, to: string | null) => {
    const next = new Map(swaps);
    if (to === null) next.delete(from);
    else next.set(from, to);
    onSwaps(next);
  };
  return (
    <section aria-label="To decide" className={styles.decide}>
      <h3>To decide: what does not grow by itself</h3>
      <ul>
        {decisions.map((decision) => (
          <li key={keyOf(decision)}>
            <Decision
              decision={decision}
              chosenId={decision.kind === 'finding' ? (swaps.get(decision.findingId) ?? null) : null}
              onSwap={swap}
            />
          </li>
        ))}
      </ul>
    </section>
  );
}

function Warnings({ warnings }: Pick<Preview, 'warnings'>) {
  const parts = useTable((table) => table.document.parts);
  const shelf = useTable((table) => table.shelf);
  return warnings.map((warning) => (
    <p key={warning.code + warning.partId} className="amber">
      <b>{parts.find(({ id }) => id === warning.partId)?.name}:</b>{' '}
      {warningWords(warning, (id) => shelf.get(id)?.name ?? 'this fibre')}
    </p>
  ));
}

const keyOf = (decision: ResizeDecision): string =>
  Object.values(decision)
    .filter((value) => typeof value === 'string')
    .join(' ');

interface DecisionProps {
  decision: ResizeDecision;
  chosenId: string | null;
  onSwap: (findingId: string, insteadId: string | null) => void;
}

function Decision({ decision, chosenId, onSwap }: DecisionProps) {
  const wool = useTable((table) => table.wool);
  const document = useTable((table) => table.document);
  const partName = (partId: string) => document.parts.find(({ id }) => id === partId)?.name ?? 'A part';
  switch (decision.kind) {
    case 'finding': {
      const name = wool.findings.get(decision.findingId)?.name ?? 'A finding';
      if (decision.insteadIds.length === 0) {
        return (
          <>
            <b>{name}</b> stays: nothing on the shelf is nearer to {decision.wantedMm.toFixed(1)} mm.
          </>
        );
      }
      return (
        <Choice
          label={`${name}: ${decision.wantedMm.toFixed(1)} mm would fit`}
          value={chosenId}
          none="stay with it"
          words={Object.fromEntries(decision.insteadIds.map((id) => [id, wool.findings.get(id)?.name ?? id]))}
          onChoose={(id) => onSwap(decision.findingId, id)}
        />
      );
    }
    case 'wire':
      return (
        <>
          <b>{wool.findings.get(decision.findingId)?.name}</b> stays as thick. Choose another under materials
          if it is too stiff or too weak then.
        </>
      );
    case 'cord':
      return (
        <>
          <b>{document.cuts.find(({ id }) => id === decision.cutId)?.name}</b> keeps its drop; mark it “grows
          with the figure” under materials if it should not.
        </>
      );
    case 'fit':
      return (
        <>
          <b>{partName(decision.partId)}</b> is made to fit a bought thing and keeps that size.
        </>
      );
    case 'split':
      return (
        <>
          <b>{partName(decision.partId)}</b> takes so little that the length could not be pulled off: it is
          split lengthwise in {decision.ways} instead.
        </>
      );
    case 'hand':
      return (
        <>
          <b>{partName(decision.partId)}</b> takes as many wisps, pinches or locks as before. Say how many it
          should be.
        </>
      );
  }
}
