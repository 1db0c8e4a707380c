import {
  compareEstimates,
  estimatePattern,
  type FibreTotal,
  missingForPublishing,
  type Pattern,
  type PatternEstimate,
  type Problem,
  type StoredPattern,
} from '@lanakit/core';
import { problemWords } from '@lanakit/core/words';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useRevision } from '../api/resources.ts';
import { FibreSwatch } from '../look/FibreSwatch.tsx';
import {
  counted,
  PREPARATION_WORDS,
  showGrams,
  showLikely,
  showMinutes,
  showMoney,
  showRange,
} from '../words/show.ts';
import { fibreTotalCame, makeTotalCame } from '../words/howItCame.ts';
import { HowItCame } from '../look/HowItCame.tsx';
import styles from './Ledger.module.css';
import { useTable } from './tableContext.ts';

interface LedgerProps {
  stored: StoredPattern;
  onChoosePart: (partId: string) => void;
  onShowSteps: () => void;
}

/** What one make takes, always in sight, and what is still to settle. */
export function Ledger({ stored, onChoosePart, onShowSteps }: LedgerProps) {
  const { draft, estimate, shelf, problems } = useTable();
  const { document } = draft;
  const { total } = estimate;
  const open = [...problems, ...missingForPublishing(document)];
  return (
    <aside className={`sheet ${styles.ledger}`} aria-label="One make">
      <div className={styles.total}>
        <HowItCame title="One make" lines={makeTotalCame(estimate, shelf)}>
          <span className={styles.big}>{showGrams(total.likelyG)}</span>
        </HowItCame>
        <span className="small">
          <span className="quiet">
            {total.unknownCount > 0 ? 'one make, at least' : 'one make'}
            <br />
          </span>
          {total.unknownCount > 0 ? (
            <span className="red">{counted(total.unknownCount, 'amount')} unknown</span>
          ) : (
            <span className="quiet">likely {showRange(total)}</span>
          )}
        </span>
      </div>
      <SinceRevision stored={stored} estimate={estimate} document={document} />
      <ul className={styles.fibres}>
        {estimate.fibres.map((fibre) => (
          <FibreLine key={fibre.fibreId} fibre={fibre} />
        ))}
      </ul>
      <dl className={styles.facts}>
        <dt>Needles</dt>
        <dd>{estimate.gauges.length > 0 ? estimate.gauges.join(' · ') : 'none named yet'}</dd>
        <dt>At your pace</dt>
        <dd>
          {showMinutes(estimate.minutes.known)}
          {estimate.minutes.unknownCount > 0 && (
            <button type="button" className={`plain-button red ${styles.more}`} onClick={onShowSteps}>
              and {counted(estimate.minutes.unknownCount, 'step')} unknown
            </button>
          )}
        </dd>
        <dt>Wool costs</dt>
        <dd>
          {showMoney(estimate.costMinor.known)}
          {estimate.costMinor.unknownCount > 0 && (
            <span className={styles.more}>
              and {counted(estimate.costMinor.unknownCount, 'fibre')} unpriced
            </span>
          )}
        </dd>
      </dl>
      {open.length > 0 && <ToSettle problems={open} document={document} onChoosePart={onChoosePart} />}
      <p className={`quiet small ${styles.caution}`}>
        Barbed needles are sharp and break: look at the work, pad beneath it, straight in and out.
      </p>
    </aside>
  );
}

function FibreLine({ fibre: { fibreId, total } }: { fibre: FibreTotal }) {
  const { draft, estimate, shelf } = useTable();
  const fibre = shelf.get(fibreId);
  if (!fibre) return null;
  return (
    <li className={styles.fibre}>
      <FibreSwatch fibre={fibre} width={58} height={28} />
      <span className={styles.fibreName}>
        <Link to={`/shelf?open=${fibreId}`}>{fibre.name}</Link>{' '}
        <span className="quiet">{PREPARATION_WORDS[fibre.preparation]}</span>
        <span className={styles.onHand}>
          {fibre.onHandG === null ? 'not counted' : `${showGrams(fibre.onHandG)} on hand`}
        </span>
      </span>
      <HowItCame
        title={`${fibre.name} in one make`}
        lines={fibreTotalCame({ fibreId, total }, draft.document, estimate)}
      >
        {total.likelyG > 0 ? showLikely(total.likelyG) : 'unknown'}
      </HowItCame>
    </li>
  );
}

interface SinceRevisionProps {
  stored: StoredPattern;
  estimate: PatternEstimate;
  document: Pattern;
}

/** How far the draft has moved from what was published. */
function SinceRevision({ stored, estimate, document }: SinceRevisionProps) {
  const { shelf } = useTable();
  const { data: revision } = useRevision(stored.revision?.id ?? null);
  const before = useMemo(() => revision && estimatePattern(revision.document, shelf), [revision, shelf]);
  if (!revision || !before) return <p className={`quiet small ${styles.since}`}>not published yet</p>;
  const { moreG, mostPartId } = compareEstimates(estimate, before);
  if (mostPartId === null) {
    return <p className={`quiet small ${styles.since}`}>the same grams as revision {revision.number}</p>;
  }
  const number = document.parts.findIndex((part) => part.id === mostPartId) + 1;
  return (
    <p className={`small leaf ${styles.since}`}>
      {moreG < 0 ? '−' : '+'}
      {showGrams(Math.abs(moreG))} since revision {revision.number},{' '}
      {number > 0 ? `most from piece ${number}` : 'most from a piece left out'}
    </p>
  );
}

interface ToSettleProps {
  problems: readonly Problem[];
  document: Pattern;
  onChoosePart: (partId: string) => void;
}

function ToSettle({ problems, document, onChoosePart }: ToSettleProps) {
  return (
    <section className={styles.settle} aria-label="To settle">
      <h3 className="red">To settle: {counted(problems.length, 'thing')}</h3>
      <ul>
        {problems.map((problem) => {
          const index = Number(/^\/parts\/(\d+)/.exec(problem.pointer)?.[1] ?? NaN);
          const part = document.parts[index];
          const words = problemWords(problem);
          return (
            <li key={problem.code + problem.pointer}>
              {part ? (
                <button type="button" className="plain-button" onClick={() => onChoosePart(part.id)}>
                  <b>
                    {index + 1} {part.name}
                  </b>{' '}
                  {words}
                </button>
              ) : (
                words
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
