import type { Wool } from '@lanakit/core/engine';
import type { Pattern } from '@lanakit/core/pattern';
import type { StepWool } from '@lanakit/core/reading';
import { fibreNamesOf, keepsWords, keptWords, ownerWords, ROLE_WORDS, showLikely } from '@lanakit/core/words';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import styles from './StepWoolLines.module.css';

interface StepWoolLinesProps {
  of: StepWool;
  build: Pattern;
  wool: Wool;
  /** What is written on the bag a use lies in. */
  bagOf: ReadonlyMap<string, string> | undefined;
}

/** The wool that a step takes up, from which bag, and what of it is kept back or was. */
export function StepWoolLines({ of, build, wool, bagOf }: StepWoolLinesProps) {
  const fibreName = fibreNamesOf(wool);
  return (
    <div className={styles.lines}>
      {of.takes.map((use) => {
        const fibre = wool.fibres.get(use.fibreId ?? '');
        const bag = bagOf?.get(use.useId);
        return (
          <span key={use.useId} className={styles.take}>
            {fibre && <FibreSwatch fibre={fibre} width={22} height={10} />}
            <span>
              {fibreName(use.fibreId)}{' '}
              <b>{use.kind === 'known' ? showLikely(use.all.likelyG) : 'amount unknown'}</b>,{' '}
              {ownerWords(use.owner, build)} {ROLE_WORDS[use.role]}
              {bag !== undefined && `, from “${bag}”`}
            </span>
          </span>
        );
      })}
      {[...keptWords(of, fibreName), ...keepsWords(of, fibreName)].map((words) => (
        <span key={words} className={styles.kept}>
          {words}
        </span>
      ))}
    </div>
  );
}
