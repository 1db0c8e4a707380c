import { showSizeMm, type Part, type PartEstimate } from '@lanakit/core';
import { rollUpWords } from '../words/partWords.ts';
import { showLikely } from '../words/show.ts';
import { HowItCame } from './HowItCame.tsx';
import { cameOfUse } from '../words/howItCame.ts';
import styles from './Lists.module.css';
import { useTable } from './tableContext.ts';
import { topsWords } from '../words/topsWords.ts';

/** What one piece comes to, right under what was typed. */
export function PartConsequences({ part, estimate }: { part: Part; estimate: PartEstimate }) {
  const { draft, shelf } = useTable();
  const unit = draft.document.lengthUnit;
  const layers = estimate.workings?.layers;
  return (
    <div className={styles.comes}>
      {estimate.rollUp && (
        <span>
          {rollUpWords(estimate.rollUp, unit)} <span className="quiet">before felting</span>
        </span>
      )}
      {layers && estimate.workings?.coat && (
        <span className={layers.isAllCoat ? 'amber' : ''}>
          {layers.isAllCoat
            ? 'all coat: too thin for a core'
            : `coat ${showSizeMm(layers.coatThicknessMm, 'mm')} thick`}
        </span>
      )}
      {estimate.uses.map((use) =>
        use.kind === 'known' ? (
          <span key={use.role}>
            {use.role}{' '}
            <HowItCame
              title={`${use.role === 'core' ? 'Core' : 'Coat'} of one ${part.name}`}
              lines={cameOfUse(part, estimate, use, shelf)}
            >
              {showLikely(use.pieceG)}
            </HowItCame>
            {use.tops && <span className="quiet"> · {topsWords(use.tops, unit)}</span>}
          </span>
        ) : (
          <span key={use.role} className="red">
            {use.role} unknown
          </span>
        ),
      )}
    </div>
  );
}
