import {
  acrossMm,
  showSizeMm,
  type Part,
  type PartEstimate,
  type Solid,
  tooSmallFor,
  type WoolRole,
} from '@lanakit/core';
import type { ReactNode } from 'react';
import { cameOfUse } from '../words/howItCame.ts';
import { rollUpWords } from '../words/partWords.ts';
import { showLikely } from '../words/show.ts';
import { topsWords } from '../words/topsWords.ts';
import { HowItCame } from '../look/HowItCame.tsx';
import styles from './Lists.module.css';
import { useTable } from './tableContext.ts';

/** What one piece comes to, right under what was typed; each number opens to how it came about. */
export function PartConsequences({ part, estimate }: { part: Part; estimate: PartEstimate }) {
  const { draft, shelf } = useTable();
  const unit = draft.document.lengthUnit;
  const layers = estimate.workings?.layers;
  const opening = (role: WoolRole, children: ReactNode) => {
    const use = estimate.uses.find((candidate) => candidate.role === role);
    if (use?.kind !== 'known') return children;
    const title = `${role === 'core' ? 'Core' : 'Coat'} of one ${part.name}`;
    return (
      <HowItCame title={title} lines={cameOfUse(part, estimate, use, shelf)}>
        {children}
      </HowItCame>
    );
  };
  return (
    <div className={styles.comes}>
      {estimate.rollUp && <span>{opening('core', rollUpWords(estimate.rollUp, unit))}</span>}
      {layers?.isAllCoat && <span className="amber">all coat: too thin for a core</span>}
      {layers && estimate.workings?.coat && !layers.isAllCoat && (
        <span>coat {opening('coat', `${showSizeMm(layers.coatThicknessMm, 'mm')} thick`)}</span>
      )}
      {estimate.solid && <TooSmall part={part} solid={estimate.solid} />}
      {estimate.uses.map((use) =>
        use.kind === 'known' ? (
          <span key={use.role}>
            {use.role} {opening(use.role, showLikely(use.pieceG))}
            {use.tops && (
              <span className="quiet">
                {' '}
                ·{' '}
                {topsWords(
                  use.tops,
                  unit,
                  shelf.get(use.fibreId)?.preparation === 'tops' ? 'tops' : 'sliver',
                )}
              </span>
            )}
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

/** A fibre too coarse for so small a part: said, not forbidden. */
function TooSmall({ part, solid }: { part: Part; solid: Solid }) {
  const { shelf } = useTable();
  const fibre = shelf.get(part.core.fibreId ?? '');
  const smallest = fibre && tooSmallFor(fibre, acrossMm(solid));
  if (!smallest) return null;
  return (
    <span className="amber">
      {fibre.name} is coarse for this: fit from {showSizeMm(smallest.value, 'mm')}
      {smallest.isDefault && ' by our default'}
    </span>
  );
}
