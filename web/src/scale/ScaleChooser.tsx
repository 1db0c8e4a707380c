import { Select } from 'antd';
import { perform } from '../api/mutations/mutation.ts';
import { simulateScale } from '../api/mutations/scales.ts';
import { useScales } from '../api/queries.ts';
import { useAttempt } from '../shell/useAttempt.ts';
import { chooseScale, TOLD_BY, type ToldBy, useScaleChoice } from './scaleChoice.ts';
import styles from './Scale.module.css';

const BY_HAND = ' ';
const ANOTHER = '+';
const TOLD_WORDS: Readonly<Record<ToldBy, string>> = {
  silent: 'silent',
  sound: 'with a sound',
  spoken: 'spoken',
};

/** With which scale this device weighs, and how it tells. */
export function ScaleChooser() {
  const { data } = useScales();
  const { scaleId, toldBy } = useScaleChoice();
  const attempt = useAttempt();
  const another = () =>
    void attempt(async () => {
      const { id } = await perform(simulateScale(`Simulated scale ${(data?.items.length ?? 0) + 1}`));
      chooseScale({ scaleId: id });
      return undefined;
    });
  const isThere = data?.items.some(({ id }) => id === scaleId) === true;
  return (
    <span className={styles.chooser}>
      <Select<string>
        aria-label="Weighed with"
        popupMatchSelectWidth={false}
        value={isThere && scaleId !== null ? scaleId : BY_HAND}
        options={[
          { value: BY_HAND, label: 'Weighed by hand' },
          ...(data?.items ?? []).map(({ id, name }) => ({ value: id, label: name })),
          { value: ANOTHER, label: 'Another simulated scale…' },
        ]}
        onChange={(id) => (id === ANOTHER ? another() : chooseScale({ scaleId: id === BY_HAND ? null : id }))}
      />
      {isThere && (
        <Select<ToldBy>
          aria-label="How it tells"
          popupMatchSelectWidth={false}
          value={toldBy}
          options={TOLD_BY.map((value) => ({ value, label: TOLD_WORDS[value] }))}
          onChange={(next) => chooseScale({ toldBy: next })}
        />
      )}
    </span>
  );
}
