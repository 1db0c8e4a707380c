import { valuesOf } from '../build/index.ts';
import { type Choices, defaultValues, type Pattern } from '../pattern/index.ts';

/** What is other than usual in somebody’s choices: `russet, without a blush`; empty for the usual build. */
export function choiceWords(pattern: Pattern, choices: Choices): string {
  const usual = defaultValues(pattern);
  const values = valuesOf(pattern, choices);
  const colourway = pattern.colourways.find(({ id }) => id === choices.colourwayId)?.name;
  const answers = pattern.options.flatMap(({ id, kind, name, values: all }) => {
    if (values[id] === usual[id]) return [];
    if (kind === 'extra') return [`${values[id] === 'yes' ? 'with' : 'without'} ${name}`];
    return [all.find((value) => value.id === values[id])?.name ?? ''];
  });
  const swaps = choices.swapIds.map((swapId) => pattern.swaps.find(({ id }) => id === swapId)?.look ?? '');
  return [colourway ?? '', ...answers, ...swaps].filter((word) => word !== '').join(', ');
}
