import type { FibreTotal, PatternEstimate, TotalMass } from '@lanakit/core/engine';
import { ROLES_WORDS } from '@lanakit/core/words';
import { Link } from 'react-router';
import { FibreSwatch } from '../../ui/look/FibreSwatch.tsx';
import { HowItCame } from '../../ui/look/HowItCame.tsx';
import { fibreTotalCame } from '../../words/howItCame.ts';
import { PREPARATION_WORDS, showGrams, showLikely, showRange, timesWords } from '../../words/show.ts';
import styles from './Ledger.module.css';
import { useTable } from '../table/tableContext.ts';
import type { Writing } from '../table/writing.ts';

interface ViewProps {
  /** Of as many makes as are looked at. */
  estimate: PatternEstimate;
}

/** Each fibre as a bar as long as its share, with what is on hand against it. */
export function ByFibre({ estimate }: ViewProps) {
  const most = Math.max(...estimate.fibres.map(({ total }) => total.highG), 0.01);
  return (
    <>
      <ul className={styles.fibres}>
        {estimate.fibres.map((fibre) => (
          <FibreLine key={fibre.fibreId} fibre={fibre} estimate={estimate} mostG={most} />
        ))}
      </ul>
      {estimate.ifNeeded.length > 0 && (
        <>
          <h3 className={styles.apart}>Only if needed, packed apart</h3>
          <ul className={styles.fibres}>
            {estimate.ifNeeded.map((fibre) => (
              <FibreLine key={fibre.fibreId} fibre={fibre} estimate={estimate} mostG={most} />
            ))}
          </ul>
        </>
      )}
    </>
  );
}

interface FibreLineProps extends ViewProps {
  fibre: FibreTotal;
  mostG: number;
}

function FibreLine({ fibre: { fibreId, total }, estimate, mostG }: FibreLineProps) {
  const document = useTable((table) => table.document);
  const shelf = useTable((table) => table.shelf);
  const fibre = shelf.get(fibreId);
  if (!fibre) return null;
  const isShort = fibre.onHandG !== null && fibre.onHandG < total.highG;
  return (
    <li className={styles.fibre}>
      <span className={styles.fibreName}>
        <Link to={`/shelf?open=${fibreId}`}>{fibre.name}</Link>{' '}
        <span className="quiet">{PREPARATION_WORDS[fibre.preparation]}</span>
      </span>
      <HowItCame
        title={`${fibre.name} in one make`}
        lines={fibreTotalCame({ fibreId, total }, document, estimate)}
      >
        {total.likelyG > 0 ? showLikely(total.likelyG) : 'unknown'}
      </HowItCame>
      <span className={styles.bar}>
        <FibreSwatch fibre={fibre} width={Math.max(6, (128 * total.likelyG) / mostG)} height={16} />
        <Whisker total={total} mostG={mostG} />
      </span>
      <span className={isShort ? `red ${styles.onHand}` : styles.onHand}>
        {fibre.onHandG === null
          ? 'not counted'
          : isShort
            ? `only ${showGrams(fibre.onHandG)} on hand`
            : `${showGrams(fibre.onHandG)} on hand`}
      </span>
    </li>
  );
}

/** Px of the longest bar. */
const BAR_PX = 128;

/** From low to high, over the end of the bar. */
function Whisker({ total, mostG }: { total: TotalMass; mostG: number }) {
  const at = (massG: number) => (BAR_PX * massG) / mostG;
  if (total.likelyG <= 0) return null;
  return (
    <svg className={styles.whisker} width={BAR_PX + 2} height={16} aria-hidden>
      <path
        d={`M${at(total.lowG)} 8H${at(total.highG)}M${at(total.lowG)} 5v6M${at(total.highG)} 5v6`}
        stroke="var(--ink)"
        strokeWidth={1}
      />
    </svg>
  );
}

/** Cores, coats, joins and the rest, in the order of making. */
export function ByRole({ estimate }: ViewProps) {
  return (
    <ul className={styles.lines}>
      {estimate.roles.map(({ role, total }) => (
        <li key={role}>
          <span>{ROLES_WORDS[role]}</span>
          <Amount total={total} />
        </li>
      ))}
    </ul>
  );
}

interface ByPartProps extends ViewProps {
  onChoosePart: (partId: string) => void;
  onShow: (writing: Writing) => void;
}

/** Each part with all its pieces; covers of joins under their own heading. */
export function ByPart({ estimate, onChoosePart, onShow }: ByPartProps) {
  const parts = useTable((table) => table.document.parts);
  const covers = estimate.roles.find(({ role }) => role === 'join-cover');
  return (
    <ul className={styles.lines}>
      {estimate.parts.map(({ partId, total }) => {
        const index = parts.findIndex(({ id }) => id === partId);
        return (
          <li key={partId}>
            <button type="button" className="plain-button" onClick={() => onChoosePart(partId)}>
              <b>{index + 1}</b> {parts[index]?.name}
              {timesWords(parts[index]?.count ?? null)}
            </button>
            <Amount total={total} />
          </li>
        );
      })}
      {covers && (
        <li>
          <button type="button" className="plain-button" onClick={() => onShow('joins')}>
            covers of joins
          </button>
          <Amount total={covers.total} />
        </li>
      )}
    </ul>
  );
}

function Amount({ total }: { total: TotalMass }) {
  if (total.likelyG <= 0 && total.unknownCount > 0) return <b className="red">unknown</b>;
  // Trimmings, and nothing else.
  if (total.likelyG <= 0) return <span className="quiet">none taken</span>;
  return (
    <span className="num to-right">
      <b>
        {total.unknownCount > 0 && 'at least '}
        {showGrams(total.likelyG)}
      </b>
      <span className="quiet small"> {showRange(total)}</span>
    </span>
  );
}
