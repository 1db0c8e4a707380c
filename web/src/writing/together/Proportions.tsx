import {
  measuredSizes,
  proportionsOf,
  proportionToKeep,
  type ProportionTold,
  proposedSizes,
  type Together,
} from '@lanakit/core/figure';
import type { MeasuredSize, Proportion } from '@lanakit/core/pattern';
import { measuredWords, proportionWords } from '@lanakit/core/words';
import { Button } from 'antd';
import { nanoid } from 'nanoid';
import { useMemo } from 'react';
import { Choice } from '../../ui/fields/Choice.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import { useTable } from '../table/tableContext.ts';
import styles from './Together.module.css';

const RATIOS = { min: 0.001, max: 1000 };
const TOLERANCES = { min: 0.1, max: 100 };

/** Sizes their author wants to stay in proportion, each with what it comes to now. */
export function Proportions({ together }: { together: Together }) {
  const build = useTable((table) => table.figure);
  const estimate = useTable((table) => table.estimate);
  const edit = useTable((table) => table.edit);
  const told = useMemo(() => proportionsOf(together.figure, build, estimate), [together, build, estimate]);
  const sizes = useMemo(
    () => proposedSizes(together.figure, build.parts, estimate),
    [together, build, estimate],
  );
  const add = () => {
    const proportion = sizes && proportionToKeep(nanoid(10), together.figure, sizes, estimate);
    if (proportion) edit('a proportion', (draft) => void draft.proportions.push(proportion));
  };
  if (told.length === 0 && !sizes) return null;
  return (
    <section aria-label="Proportions" className={styles.wants}>
      <h3>Proportions</h3>
      {told.map((each) => (
        <ProportionRow key={each.proportion.id} told={each} />
      ))}
      <Button size="small" disabled={!sizes} onClick={add}>
        Keep a proportion
      </Button>
    </section>
  );
}

const keyOf = (size: MeasuredSize): string => JSON.stringify(size);

function ProportionRow({ told }: { told: ProportionTold }) {
  const parts = useTable((table) => table.document.parts);
  const edit = useTable((table) => table.edit);
  const { proportion } = told;
  const words = useMemo(
    () =>
      Object.fromEntries(measuredSizes(parts).map((size) => [keyOf(size), measuredWords(size, { parts })])),
    [parts],
  );
  const change = (label: string, more: Partial<Proportion>, key: string) =>
    edit(
      label,
      (draft) => {
        const found = draft.proportions.find(({ id }) => id === proportion.id);
        if (found) Object.assign(found, more);
      },
      `${proportion.id} ${key}`,
    );
  const size = (label: string, key: 'a' | 'b') => (
    <Choice
      label={label}
      value={keyOf(proportion[key])}
      words={words}
      onChoose={(chosen) =>
        chosen !== null && change('a proportion', { [key]: JSON.parse(chosen) as MeasuredSize }, key)
      }
    />
  );
  return (
    <div className={styles.want}>
      <p className={told.kind === 'told' && told.isBroken ? 'red' : ''}>
        {proportionWords(told, { parts })}.
      </p>
      <div className={styles.two}>
        {size('This', 'a')}
        {size('to this', 'b')}
        <NumberField
          label="is wanted"
          value={proportion.ratio}
          bounds={RATIOS}
          onValue={(ratio) => change('what is wanted', { ratio }, 'ratio')}
        />
        <NumberField
          label="give or take"
          value={Math.round(proportion.toleranceFraction * 1000) / 10}
          bounds={TOLERANCES}
          suffix="%"
          onValue={(percent) => change('what is wanted', { toleranceFraction: percent / 100 }, 'tolerance')}
        />
        <div className={styles.places}>
          {told.kind === 'told' && told.isBroken && (
            <Button
              size="small"
              onClick={() =>
                change('what is wanted', { ratio: Math.round(told.ratio * 1000) / 1000 }, 'ratio')
              }
            >
              Want it as it is
            </Button>
          )}
          <Button
            size="small"
            onClick={() =>
              edit('a proportion less', (draft) => {
                draft.proportions = draft.proportions.filter(({ id }) => id !== proportion.id);
              })
            }
          >
            Forget it
          </Button>
        </div>
      </div>
    </div>
  );
}
