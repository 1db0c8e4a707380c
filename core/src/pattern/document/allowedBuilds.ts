import { canBeChosen, limitGroups } from './limitGroups.ts';
import type { OptionLimit } from './option.ts';
import type { Pattern } from './pattern.ts';

/** A value for every option, by option id. */
export type Values = Readonly<Record<string, string>>;

type OptionsOf = Pick<Pattern, 'options' | 'limits'>;

/** The first limit these values break; null when they go together. Options without a value break nothing. */
export function brokenLimit(values: Values, limits: readonly OptionLimit[]): OptionLimit | null {
  return (
    limits.find(({ kind, a, b }) => {
      if (values[a.optionId] !== a.valueId) return false;
      const other = values[b.optionId];
      if (other === undefined) return false;
      return kind === 'needs' ? other !== b.valueId : other === b.valueId;
    }) ?? null
  );
}

/** The values somebody gets who chooses nothing. */
export const defaultValues = ({ options }: Pick<Pattern, 'options'>): Values =>
  Object.fromEntries(
    options.flatMap(({ id, defaultValueId, values }) => {
      const valueId = defaultValueId ?? values[0]?.id;
      return valueId === undefined ? [] : [[id, valueId]];
    }),
  );

/**
 * Every allowed set of values, in the order of the options. No branch is entered that holds none: the next one always comes
 * at once, however many there are.
 */
export function* allowedValues({ options, limits }: OptionsOf, fixed: Values = {}): Generator<Values> {
  const open = options.filter(({ values }) => values.length > 0);
  const groups = limitGroups({ options, limits });
  if (!groups.every((group) => canBeChosen(group, fixed))) return;
  const groupOf = (optionId: string) =>
    groups.find((group) => group.options.some(({ id }) => id === optionId));
  function* extend(at: number, soFar: Values): Generator<Values> {
    const option = open[at];
    if (!option) {
      yield soFar;
      return;
    }
    for (const { id } of option.values) {
      if (fixed[option.id] !== undefined && fixed[option.id] !== id) continue;
      const values = { ...soFar, [option.id]: id };
      const group = groupOf(option.id);
      if (!group || canBeChosen(group, { ...fixed, ...values })) yield* extend(at + 1, values);
    }
  }
  yield* extend(0, {});
}

/** Whether the limits leave anything to choose. */
export const isAnyBuildAllowed = (pattern: OptionsOf): boolean =>
  limitGroups(pattern).every((group) => canBeChosen(group, {}));

/** Values that are in no allowed build: an author meant something else. */
export function valuesNeverAllowed(pattern: OptionsOf): { optionId: string; valueId: string }[] {
  const groups = limitGroups(pattern);
  const isNoneAllowed = !groups.every((group) => canBeChosen(group, {}));
  return pattern.options.flatMap(({ id: optionId, values }) => {
    const group = groups.find(({ options }) => options.some(({ id }) => id === optionId));
    return values
      .filter(({ id }) => isNoneAllowed || (group && !canBeChosen(group, { [optionId]: id })))
      .map(({ id: valueId }) => ({ optionId, valueId }));
  });
}
