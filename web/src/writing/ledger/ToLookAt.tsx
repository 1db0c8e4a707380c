import { type UnknownReason, warningsOf } from '@lanakit/core/engine';
import { type MeantRemark, type Review, withoutMeant } from '@lanakit/core/review';
import { ROLE_WORDS, unknownWords, warningWords, remarkPlace, remarkWords } from '@lanakit/core/words';
import { Button } from 'antd';
import { useDeferredValue, useEffect, useMemo } from 'react';
import { REVIEW_FAILED } from '../../review/reviewFailed.ts';
import { useReview } from '../../review/useReview.ts';
import { RemarkLine } from './RemarkLine.tsx';
import { buildFindings, goTo } from './remarkPlaces.ts';
import { ownerName } from '../../words/ownerWords.ts';
import { counted } from '../../words/show.ts';
import styles from './Ledger.module.css';
import { tellRemarks } from '../table/remarkCounts.ts';
import { useTable } from '../table/tableContext.ts';
import type { Writing } from '../table/writing.ts';

/** Told under “To settle” already, because they stand in the document itself. */
const IN_THE_DOCUMENT = new Set<UnknownReason>([
  'sizes_missing',
  'outline_missing',
  'weight_missing',
  'part_impossible',
  'count_missing',
  'loose_end_unknown',
  'fibre_missing',
  'fibre_not_found',
  'amount_missing',
  'amount_incomplete',
]);

const NOTHING_READ: Review = { open: [], meant: [] };

interface ToLookAtProps {
  onChoosePart: (partId: string) => void;
  onShow: (writing: Writing) => void;
  onOpenStep: (stepId: string) => void;
}

/** What its author has looked at and means so, with her reason; asked again when she wants it asked. */
function MeantLines({ meant }: { meant: readonly MeantRemark[] }) {
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  return (
    <details className={styles.meantList}>
      <summary>Meant so: {counted(meant.length, 'thing')}</summary>
      <ul>
        {meant.map(({ remark, reason }) => (
          <li key={JSON.stringify(remark)}>
            <b>{remarkPlace(remark, document)}</b> {remarkWords(remark, document)}
            {reason !== '' && <span className="quiet"> “{reason}”</span>}{' '}
            <Button
              size="small"
              type="text"
              onClick={() => edit('meant so', (draft) => void (draft.meant = withoutMeant(document, remark)))}
            >
              Ask again
            </Button>
          </li>
        ))}
      </ul>
    </details>
  );
}

interface Line {
  readonly key: string;
  readonly name: string;
  readonly words: string;
  readonly isUnknown: boolean;
  readonly go: () => void;
}

/** What can be made as it stands and still ought to be seen; and amounts that only the shelf can tell. */
export function ToLookAt({ onChoosePart, onShow, onOpenStep }: ToLookAtProps) {
  const build = useTable((table) => table.build);
  const estimate = useTable((table) => table.estimate);
  const shelf = useTable((table) => table.shelf);
  const wool = useTable((table) => table.wool);
  const document = useTable((table) => table.document);
  const engine = useMemo((): Line[] => {
    const unknown = estimate.uses.flatMap((use): Line[] =>
      use.kind === 'known' || IN_THE_DOCUMENT.has(use.reason)
        ? []
        : [
            {
              key: use.useId,
              name: `${ownerName(use.owner, document)} ${ROLE_WORDS[use.role]}`,
              words: `unknown: ${unknownWords(use.reason)}.`,
              isUnknown: true,
              go: () => (use.owner.kind === 'part' ? onChoosePart(use.owner.id) : onShow('joins')),
            },
          ],
    );
    const warnings = warningsOf(estimate, shelf, document).map((warning): Line => ({
      key: `${warning.code} ${warning.partId} ${'useId' in warning ? warning.useId : ''}`,
      name: ownerName({ kind: 'part', id: warning.partId }, document),
      words: warningWords(warning, (id) => shelf.get(id)?.name ?? 'this fibre'),
      isUnknown: false,
      go: () => onChoosePart(warning.partId),
    }));
    return [...unknown, ...warnings];
  }, [estimate, document, shelf, onChoosePart, onShow]);
  const later = useDeferredValue(document);
  const state = useReview(later, wool);
  const { open, meant } = state.kind === 'read' ? state.review : NOTHING_READ;
  useEffect(() => tellRemarks(open), [open]);
  useEffect(() => () => tellRemarks([]), []);
  const building = useMemo(
    (): Line[] =>
      buildFindings(later, build).map(({ key, name, words, partId }) => ({
        key,
        name,
        words,
        isUnknown: false,
        go: () => (partId === null ? onShow('options') : onChoosePart(partId)),
      })),
    [later, build, onChoosePart, onShow],
  );
  const lines = [...engine, ...building];
  const count = lines.length + open.length;
  if (count + meant.length === 0 && state.kind !== 'failed') return null;
  return (
    <section className={styles.settle} aria-label="To look at">
      <h3 className={count > 0 ? 'amber' : ''}>To look at: {counted(count, 'thing')}</h3>
      <ul>
        {lines.map(({ key, name, words, isUnknown, go }) => (
          <li key={key}>
            <button type="button" className={`plain-button ${isUnknown ? 'red' : ''}`} onClick={go}>
              <b>{name}</b> {words}
            </button>
          </li>
        ))}
        {open.map((remark) => (
          <RemarkLine
            key={JSON.stringify(remark)}
            remark={remark}
            onGo={() => goTo(remark, { onChoosePart, onShow, onOpenStep })}
          />
        ))}
      </ul>
      {state.kind === 'failed' && <p className="red">{REVIEW_FAILED}</p>}
      {meant.length > 0 && <MeantLines meant={meant} />}
    </section>
  );
}
