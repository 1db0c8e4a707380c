import { Select } from 'antd';
import { useScales } from '../api/queries.ts';
import { chooseScale, TOLD_BY, type ToldBy, useScaleChoice } from './scaleChoice.ts';
import styles from './Scale.module.css';

const BY_HAND = ' ';
const TOLD_WORDS: Readonly<Record<ToldBy, string>> = {
  silent: 'silent',
  sound: 'with a sound',
  spoken: 'spoken',
};

/** With which scale this device weighs, and how it tells. */
export function ScaleChooser() {
  const { data } = useScales();
  const { scaleId, toldBy } = useScaleChoice();
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
        ]}
        onChange={(id) => chooseScale({ scaleId: id === BY_HAND ? null : id })}
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
