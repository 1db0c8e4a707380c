import { showSizesMm } from '@lanakit/core/base';
import { type PartEstimate, sizeLedger, warningsOf } from '@lanakit/core/engine';
import type { Part } from '@lanakit/core/pattern';
import { STAGE_SIZE_WORDS, warningWords } from '@lanakit/core/words';
import { useMemo } from 'react';
import { HowItCame } from '../../ui/look/HowItCame.tsx';
import { cameOfRollUp } from '../../words/howItCame.ts';
import styles from '../../ui/Lists.module.css';
import { useTable } from '../table/tableContext.ts';

/** The sizes of one piece from the table to the figure, and what to look at, right under what was typed. */
export function PartConsequences({ part, estimate }: { part: Part; estimate: PartEstimate }) {
  const document = useTable((table) => table.document);
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  const whole = useTable((table) => table.estimate);
  const shelf = useTable((table) => table.shelf);
  const unit = lengthUnit;
  const stages = useMemo(() => sizeLedger(estimate), [estimate]);
  const warnings = useMemo(
    () => warningsOf(whole, shelf, document).filter(({ partId }) => partId === part.id),
    [whole, shelf, document, part.id],
  );
  if (stages.length === 0 && warnings.length === 0) return null;
  return (
    <div className={`${styles.comes} stacked`}>
      {stages.length > 0 && (
        <table className={styles.sizes} aria-label="Sizes on the way">
          <tbody>
            {stages.map(({ stage, sizesMm, tailMm }) => (
              <tr key={stage}>
                <th scope="row">{STAGE_SIZE_WORDS[stage]}</th>
                <td>
                  {stage === 'rolled' || stage === 'laid-out' ? (
                    <HowItCame
                      title={`${part.name}, ${STAGE_SIZE_WORDS[stage]}`}
                      lines={cameOfRollUp(part, estimate)}
                    >
                      {showSizesMm(sizesMm, unit)}
                    </HowItCame>
                  ) : (
                    showSizesMm(sizesMm, unit)
                  )}
                </td>
                <td className="quiet small">{tailMm > 0 && `with ${showSizesMm([tailMm], unit)} loose`}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {warnings.map((warning) => (
        <span key={warning.code + ('useId' in warning ? warning.useId : '')} className="amber wrapping">
          {warningWords(warning, (id) => shelf.get(id)?.name ?? 'this fibre')}
        </span>
      ))}
    </div>
  );
}
