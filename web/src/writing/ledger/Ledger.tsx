import { Term } from '../../ui/Term.tsx';
import type { StoredPattern } from '@lanakit/core/api';
import { resolveBuild } from '@lanakit/core/build';
import { compareEstimates, estimatePattern, forMakes, type PatternEstimate } from '@lanakit/core/engine';
import { isWoolOnly, totalsForMakes, missingForPublishing, type Pattern } from '@lanakit/core/pattern';
import { CAUSE_REMEDIES, wantedName } from '@lanakit/core/words';
import { Segmented } from 'antd';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { ChoicesBar } from './ChoicesBar.tsx';
import { useRevision } from '../../api/queries.ts';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import { HowItCame } from '../../ui/look/HowItCame.tsx';
import { doubtName, makeTotalCame } from '../../words/howItCame.ts';
import {
  counted,
  findingAmount,
  showGrams,
  showKnownPart,
  showMinutes,
  showMoney,
  showRange,
} from '../../words/show.ts';
import styles from './Ledger.module.css';
import { ByFibre, ByPart, ByRole } from './LedgerViews.tsx';
import { useTable } from '../table/tableContext.ts';
import { ToLookAt } from './ToLookAt.tsx';
import { Blockers } from './Blockers.tsx';
import { useLastMove } from '../table/useLastMove.ts';
import type { Writing } from '../table/writing.ts';

interface LedgerProps {
  stored: StoredPattern;
  onChoosePart: (partId: string) => void;
  onShow: (writing: Writing) => void;
  onOpenStep: (stepId: string) => void;
  onTogether: () => void;
}

type LedgerBy = 'fibre' | 'role' | 'part';

/** What one make takes, always in sight, and what is still to settle. */
export function Ledger({ stored, onChoosePart, onShow, onOpenStep, onTogether }: LedgerProps) {
  const estimate = useTable((table) => table.estimate);
  const totals = useTable((table) => table.totals);
  const shelf = useTable((table) => table.shelf);
  const problems = useTable((table) => table.problems);
  const document = useTable((table) => table.document);
  const [by, setBy] = useState<LedgerBy>('fibre');
  const [makes, setMakes] = useState(1);
  const made = useMemo(() => forMakes(estimate, makes), [estimate, makes]);
  const pace = useMemo(() => totalsForMakes(totals, makes), [totals, makes]);
  const { total } = made;
  const isEmpty = estimate.uses.length === 0;
  const open = [...problems, ...missingForPublishing(document)];
  return (
    <aside className={`sheet ${styles.ledger}`} aria-label="One make">
      <h2 className="visually-hidden">One make</h2>
      <ChoicesBar />
      <div className={styles.total}>
        <HowItCame
          title={makes === 1 ? 'One make' : `${makes} makes`}
          lines={makeTotalCame(made, shelf, document)}
        >
          <span className={styles.big}>{isEmpty ? 'no wool yet' : showGrams(total.likelyG)}</span>
        </HowItCame>
        <span className="small">
          <span className="quiet">
            {makes === 1 ? 'one make' : `${makes} makes`}
            {total.unknownCount > 0 && ', at least'}
            <br />
          </span>
          {total.unknownCount > 0 ? (
            <span className="red">{counted(total.unknownCount, 'amount')} unknown</span>
          ) : (
            !isEmpty && (
              <span className="quiet">
                <Term id="likely">likely</Term> {showRange(total)}
              </span>
            )
          )}
        </span>
      </div>
      <JustNow />
      <SinceRevision stored={stored} estimate={estimate} document={document} />
      <div className={styles.views}>
        <Segmented<LedgerBy>
          size="small"
          aria-label="Grams by"
          value={by}
          onChange={setBy}
          options={[
            { value: 'fibre', label: 'by fibre' },
            { value: 'role', label: 'by use' },
            { value: 'part', label: 'by part' },
          ]}
        />
        <NumberField
          label="Makes"
          isLabelHidden
          className={styles.makes ?? ''}
          value={makes}
          bounds={MAKES_BOUNDS}
          isWhole
          suffix="×"
          onValue={setMakes}
        />
      </div>
      {by === 'fibre' && <ByFibre estimate={made} />}
      {by === 'role' && <ByRole estimate={made} />}
      {by === 'part' && <ByPart estimate={made} onChoosePart={onChoosePart} onShow={onShow} />}
      <MostDoubt />
      <dl className={styles.facts}>
        <Findings estimate={made} onShow={onShow} />
        <dt>Needles</dt>
        <dd>
          <button type="button" className="plain-button" onClick={() => onShow('needles')}>
            {totals.needles.length > 0 ? totals.needles.map(wantedName).join(' · ') : 'none named yet'}
          </button>
        </dd>
        <dt>At your pace</dt>
        <PaceFact
          pace={pace}
          unknownCount={totals.minutes.unknownCount}
          isWithoutSteps={isWoolOnly(document)}
          onShow={onShow}
        />
        <dt>Wool costs</dt>
        <dd>
          {isEmpty
            ? 'nothing yet'
            : made.costEnds
              ? `${showMoney(made.costEnds.lowMinor)}–${showMoney(made.costEnds.highMinor)}`
              : showKnownPart({ ...estimate.costMinor, known: made.costMinor.known }, showMoney)}
          {estimate.costMinor.unknownCount > 0 && (
            <span className={styles.more}>
              and {counted(estimate.costMinor.unknownCount, 'fibre')} unpriced
            </span>
          )}
        </dd>
      </dl>
      {open.length > 0 && (
        <Blockers problems={open} document={document} onChoosePart={onChoosePart} onShow={onShow} />
      )}
      <ToLookAt onChoosePart={onChoosePart} onShow={onShow} onOpenStep={onOpenStep} onTogether={onTogether} />
      <p className={`quiet small ${styles.caution}`}>
        Barbed needles are sharp and break: look at the work, pad beneath it, straight in and out.
      </p>
    </aside>
  );
}

const MAKES_BOUNDS = { min: 1, max: 500 };

/** By how much what was just typed or pulled moves one make, as it happens. */
function JustNow() {
  const move = useLastMove(useTable((table) => table.estimate));
  if (!move || Math.abs(move.moreG) < STILL_G) return null;
  return (
    <p className={`small ${styles.since}`}>
      <b>
        {move.moreG < 0 ? '−' : '+'}
        {showGrams(Math.abs(move.moreG))}
      </b>{' '}
      just now
    </p>
  );
}

/** Below this nobody’s scale or eye would tell. */
const STILL_G = 0.005;

/** What most of the range comes from, and what would narrow it. */
function MostDoubt() {
  const document = useTable((table) => table.document);
  const estimate = useTable((table) => table.estimate);
  const shelf = useTable((table) => table.shelf);
  const [most] = estimate.doubts;
  if (!most || most.fraction < 0.2) return null;
  const remedy = CAUSE_REMEDIES[most.cause];
  return (
    <p className={`quiet small ${styles.doubt}`}>
      {Math.round(most.fraction * 100)} % of the doubt is {doubtName(most, shelf, document)}
      {remedy ? `: ${remedy}` : ''}.
    </p>
  );
}

interface FindingsProps {
  estimate: PatternEstimate;
  onShow: (writing: Writing) => void;
}

function Findings({ estimate, onShow }: FindingsProps) {
  const wool = useTable((table) => table.wool);
  if (estimate.findings.length === 0) return null;
  return (
    <>
      <dt>Beside wool</dt>
      <dd>
        {estimate.findings.map(({ findingId, unit, likely, unknownCount }) => (
          <button
            key={findingId}
            type="button"
            className={`plain-button ${styles.finding}`}
            onClick={() => onShow('materials')}
          >
            <span>{wool.findings.get(findingId)?.name}</span>
            <b>
              {unknownCount > 0 ? 'at least ' : ''}
              {findingAmount(likely, unit)}
            </b>
          </button>
        ))}
      </dd>
    </>
  );
}

interface SinceRevisionProps {
  stored: StoredPattern;
  estimate: PatternEstimate;
  document: Pattern;
}

/** How far the draft has moved from what was published. */
function SinceRevision({ stored, estimate, document }: SinceRevisionProps) {
  const wool = useTable((table) => table.wool);
  const choices = useTable((table) => table.choices);
  const { data: revision } = useRevision(stored.revision?.id ?? null);
  const before = useMemo(
    () => revision && estimatePattern(resolveBuild(revision.document, choices), wool),
    [revision, wool, choices],
  );
  if (!revision || !before) return <p className={`quiet small ${styles.since}`}>not published yet</p>;
  const { moreG, mostPartId, isMostInJoins } = compareEstimates(estimate, before);
  if (mostPartId === null && !isMostInJoins) {
    return <p className={`quiet small ${styles.since}`}>the same grams as revision {revision.number}</p>;
  }
  const number = document.parts.findIndex((part) => part.id === mostPartId) + 1;
  const from = isMostInJoins
    ? 'most from joins'
    : number > 0
      ? `most from piece ${number}`
      : 'most from a piece left out';
  return (
    <p className={`small leaf ${styles.since}`}>
      {moreG < 0 ? '−' : '+'}
      {showGrams(Math.abs(moreG))} since revision {revision.number}, {from}{' '}
      <Link to={`/compare?a=revision:${revision.id}&b=draft:${stored.id}`}>side by side</Link>
    </p>
  );
}

interface PaceFactProps {
  pace: ReturnType<typeof totalsForMakes>;
  unknownCount: number;
  isWithoutSteps: boolean;
  onShow: LedgerProps['onShow'];
}

/** Minutes of all makes, what waits by itself, and of how many steps nobody knows. */
function PaceFact({ pace, unknownCount, isWithoutSteps, onShow }: PaceFactProps) {
  return (
    <dd>
      {isWithoutSteps
        ? 'no steps yet'
        : pace.minutes.low < pace.minutes.high
          ? `${showMinutes(pace.minutes.low)} – ${showMinutes(pace.minutes.high)}`
          : showKnownPart({ known: pace.minutes.known, unknownCount }, showMinutes)}
      {pace.waiting.known > 0 && (
        <span className={styles.more}>and {showMinutes(pace.waiting.known)} waiting</span>
      )}
      {unknownCount > 0 && (
        <button type="button" className={`plain-button red ${styles.more}`} onClick={() => onShow('steps')}>
          and {counted(unknownCount, 'step')} unknown
        </button>
      )}
    </dd>
  );
}
