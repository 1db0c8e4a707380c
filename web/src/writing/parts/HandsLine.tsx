import { handsMeasures, type PartEstimate, type UseEstimate } from '@lanakit/core/engine';
import { handsWords, showGramRange, unknownWords } from '@lanakit/core/words';
import { showGrams } from '../../words/show.ts';
import styles from './Layers.module.css';
import { useTable } from '../table/tableContext.ts';

/** What hands do to get this much; and where it is stated, what the shape would come to. */
export function HandsLine({ useEstimate, estimate }: { useEstimate: UseEstimate; estimate: PartEstimate }) {
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  const wool = useTable((table) => table.wool);
  const whole = useTable((table) => table.estimate);
  if (useEstimate.kind === 'unknown')
    return <p className="red small">Unknown: {unknownWords(useEstimate.reason)}.</p>;
  const fibre = wool.fibres.get(useEstimate.fibreId ?? '');
  if (!fibre || useEstimate.pieceG <= 0) return null;
  const rollMm =
    useEstimate.role === 'core' && estimate.rollUp?.kind === 'rolled' ? estimate.rollUp.solid.heightMm : null;
  const ways = handsMeasures(useEstimate.pieceG, fibre, whole.calibration, rollMm);
  const { comparison } = useEstimate;
  return (
    <div className={styles.hands}>
      {comparison && (
        <p className={comparison.isOff ? 'amber' : 'quiet'}>
          Stated{' '}
          {useEstimate.range
            ? showGramRange(useEstimate.range.lowG, useEstimate.range.highG)
            : showGrams(useEstimate.pieceG)}
          ; the shape comes to {showGrams(comparison.calculatedG)}
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
