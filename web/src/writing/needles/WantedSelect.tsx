import { wantedOf } from '@lanakit/core/needles';
import { PATTERN_BOUNDS } from '@lanakit/core/pattern';
import { FEELS, type Needle, type NeedleWanted, wantedKey, wantedOfKey } from '@lanakit/core/shelf';
import { wantedName } from '@lanakit/core/words';
import { Select } from 'antd';
import { useMemo } from 'react';
import { Field } from '../../ui/fields/Field.tsx';

interface WantedSelectProps {
  label: string;
  value: NeedleWanted | null;
  needles: readonly Needle[];
  /** Words of the choice for none; without it one has to be chosen. */
  none?: string;
  problem?: string | null;
  onChoose: (wanted: NeedleWanted | null) => void;
}

const NONE = 'none';

/** A sort of needle: those of the shelf first, then every gauge, then the size words. */
export function WantedSelect({ label, value, needles, none, problem, onChoose }: WantedSelectProps) {
  const groups = useMemo(() => wantedGroups(needles), [needles]);
  const key = value && wantedKey(value);
  const isListed = groups.some(({ options }) => options.some((option) => option.value === key));
  return (
    <Field label={label} problem={problem ?? null}>
      {(control) => (
        <Select<string>
          {...control}
          className="wide"
          popupMatchSelectWidth={false}
          showSearch={{ optionFilterProp: 'label' }}
          value={key ?? (none === undefined ? null : NONE)}
          options={[
            ...(none === undefined ? [] : [{ value: NONE, label: none }]),
            ...(value && key && !isListed ? [{ value: key, label: wantedName(value) }] : []),
            ...groups,
          ]}
          onChange={(chosen: string) => onChoose(chosen === NONE ? null : wantedOfKey(chosen))}
        />
      )}
    </Field>
  );
}

/** Groups of a list of sorts. A sort that is on the shelf is not told again below. */
export function wantedGroups(needles: readonly Needle[]) {
  const named = (wanted: NeedleWanted) => ({ value: wantedKey(wanted), label: wantedName(wanted) });
  const owned = new Map(
    needles
      .filter(({ archived }) => !archived)
      .flatMap((needle) => wantedOf(needle) ?? [])
      .map((wanted) => [wantedKey(wanted), wanted] as const),
  );
  const { min, max } = PATTERN_BOUNDS.gauge;
  const gauges = Array.from({ length: max - min + 1 }, (_, at): NeedleWanted => ({
    by: 'gauge',
    gauge: min + at,
    profile: null,
  }));
  return [
    { label: 'On the shelf', options: [...owned.values()].map(named) },
    { label: 'Any of a gauge', options: gauges.filter((wanted) => !owned.has(wantedKey(wanted))).map(named) },
    {
      label: 'By feel',
      options: FEELS.map((feel): NeedleWanted => ({ by: 'feel', feel }))
        .filter((wanted) => !owned.has(wantedKey(wanted)))
        .map(named),
    },
  ].filter(({ options }) => options.length > 0);
}
