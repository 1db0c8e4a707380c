import type { UseEstimate } from '@lanakit/core/engine';
import type { Amount, WoolUse } from '@lanakit/core/pattern';
import { FORM_WORDS, showGramRange } from '@lanakit/core/words';
import { Button } from 'antd';
import { AmountFields } from './AmountFields.tsx';
import styles from '../../ui/Lists.module.css';

interface AlsoSaidProps {
  use: WoolUse;
  estimate: UseEstimate | undefined;
  onChange: (alsoSaid: Amount[], what: string) => void;
  /** Another statement counts from now on. */
  onCount: (amount: Amount, alsoSaid: Amount[]) => void;
}

const MOST = 4;

/** Other statements of the same amount: grams beside a length, held against the one that counts. */
export function AlsoSaid({ use, estimate, onChange, onCount }: AlsoSaidProps) {
  const { amount, alsoSaid } = use;
  if (amount === null) return null;
  const others = estimate?.kind === 'known' ? estimate.otherStatements : [];
  return (
    <>
      {alsoSaid.map((other, at) => {
        const held = others.find((otherStatement) => otherStatement.at === at);
        const without = alsoSaid.filter((_, index) => index !== at);
        return (
          <div key={at} className={styles.span12}>
            <div className={styles.grid}>
              <AmountFields
                use={{ ...use, amount: other }}
                label="Also said"
                none="nothing more"
                onAmount={(next, what) =>
                  onChange(
                    next === null ? without : alsoSaid.map((before, index) => (index === at ? next : before)),
                    `${at}.${what}`,
                  )
                }
              />
              <p className={`${held?.isOff ? 'amber' : 'quiet'} small ${styles.span6}`}>
                {held
                  ? `comes to ${showGramRange(held.lowG, held.highG)}${held.isOff ? ': not what counts' : ', as what counts'}`
                  : `${FORM_WORDS[other.form]}: cannot be held against it yet`}
              </p>
              <Button
                size="small"
                className={styles.span3 ?? ''}
                onClick={() => onCount(other, [amount, ...without])}
              >
                Let this count
              </Button>
            </div>
          </div>
        );
      })}
      {alsoSaid.length < MOST && (
        <Button
          size="small"
          className={styles.span4 ?? ''}
          onClick={() => onChange([...alsoSaid, beside(amount)], 'new')}
        >
          Also said another way
        </Button>
      )}
    </>
  );
}

/** Beside grams usually a length of tops is said, beside anything else grams. */
const beside = ({ form }: Amount): Amount =>
  form === 'grams'
    ? { form: 'tops', length: null, highLength: null, ways: 1 }
    : { form: 'grams', massG: null, highG: null, isWeighed: false };
