import { handsMeasures, type PartEstimate, type UseEstimate } from '@lanakit/core/engine';
import { handsWords, showGramRange, unknownWords } from '@lanakit/core/words';
import { showGrams } from '../../words/show.ts';
import styles from './Layers.module.css';
import { useTable } from '../table/tableContext.ts';

/** What hands do to get this much; and where it is stated, what the shape would come to. */
export function HandsLine({ own, estimate }: { own: UseEstimate; estimate: PartEstimate }) {
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  const wool = useTable((table) => table.wool);
  const whole = useTable((table) => table.estimate);
  if (own.kind === 'unknown') return <p className="red small">Unknown: {unknownWords(own.reason)}.</p>;
  const fibre = wool.fibres.get(own.fibreId ?? '');
  if (!fibre || own.pieceG <= 0) return null;
  const rollMm =
    own.role === 'core' && estimate.rollUp?.kind === 'rolled' ? estimate.rollUp.solid.heightMm : null;
  const ways = handsMeasures(own.pieceG, fibre, whole.calibration, rollMm);
  const { comparison } = own;
  return (
    <div className={styles.hands}>
      {comparison && (
        <p className={comparison.isOff ? 'amber' : 'quiet'}>
          Stated {own.range ? showGramRange(own.range.lowG, own.range.highG) : showGrams(own.pieceG)}; the
          shape comes to {showGrams(comparison.calculatedG)}
          {comparison.isOff ? ': further apart than that is usually off' : ''}.
        </p>
      )}
      {ways.length > 0 && (
        <ul>
          {ways.map((way) => (
            <li key={way.kind}>{handsWords(way, lengthUnit, fibre.preparation)}</li>
          ))}
        </ul>
      )}
    </div>
  );
}
