import { isAnyBuildAllowed } from '../document/allowedBuilds.ts';
import type { Option, Swap, ThingRef, ValueRef } from '../document/option.ts';
import type { Pattern } from '../document/pattern.ts';
import type { PatternProblem } from '../document/problem.ts';
import { knownIds, type KnownIds } from '../document/things.ts';

/** Everything about options, colourways and swaps that may not be stored. */
export function checkOptions(pattern: Pattern): PatternProblem[] {
  const known = knownIds(pattern);
  const slotIds = new Set(pattern.slots.map(({ id }) => id));
  const straySlot = (slotId: string, pointer: string): PatternProblem[] =>
    slotIds.has(slotId) ? [] : [{ code: 'thing_not_found', pointer, kind: 'slot', id: slotId }];
  return [
    ...pattern.options.flatMap((option, at) => checkOption(option, known, `/options/${at}`)),
    ...pattern.limits.flatMap(({ a, b }, at) => [
      ...strayValue(a, pattern, `/limits/${at}/a`),
      ...strayValue(b, pattern, `/limits/${at}/b`),
    ]),
    ...(isAnyBuildAllowed(pattern) ? [] : [{ code: 'options_exclude_all', pointer: '/limits' } as const]),
    ...pattern.slots.flatMap(({ places, rule }, at) => [
      ...strayThings(places, known, `/slots/${at}/places`),
      ...(rule ? straySlot(rule.thanSlotId, `/slots/${at}/rule/thanSlotId`) : []),
    ]),
    ...pattern.colourways.flatMap(({ fills }, at) =>
      fills.flatMap(({ slotId }, index) => straySlot(slotId, `/colourways/${at}/fills/${index}/slotId`)),
    ),
    ...pattern.swaps.flatMap((swap, at) => checkSwap(swap, known, `/swaps/${at}`)),
  ];
}

function checkOption(option: Option, known: KnownIds, pointer: string): PatternProblem[] {
  const isDefaultThere =
    option.defaultValueId === null || option.values.some(({ id }) => id === option.defaultValueId);
  return [
    ...option.values.flatMap(({ things }, index) =>
      strayThings(things, known, `${pointer}/values/${index}/things`),
    ),
    ...(isDefaultThere
      ? []
      : [
          {
            code: 'thing_not_found',
            pointer: `${pointer}/defaultValueId`,
            kind: 'value',
            id: option.defaultValueId ?? '',
          } as const,
        ]),
  ];
}

const strayThings = (things: readonly ThingRef[], known: KnownIds, pointer: string): PatternProblem[] =>
  things.flatMap(({ kind, id }, index): PatternProblem[] =>
    known[kind].has(id) ? [] : [{ code: 'thing_not_found', pointer: `${pointer}/${index}`, kind, id }],
  );

function strayValue(
  { optionId, valueId }: ValueRef,
  { options }: Pattern,
  pointer: string,
): PatternProblem[] {
  const option = options.find(({ id }) => id === optionId);
  const isThere = option?.values.some(({ id }) => id === valueId) === true;
  return isThere ? [] : [{ code: 'thing_not_found', pointer, kind: 'value', id: valueId }];
}

function checkSwap({ of, steps }: Swap, known: KnownIds, pointer: string): PatternProblem[] {
  return [
    ...strayThings([of], known, `${pointer}/of`),
    ...steps.flatMap(({ stepId }, index): PatternProblem[] =>
      known.step.has(stepId)
        ? []
        : [{ code: 'step_not_found', pointer: `${pointer}/steps/${index}/stepId`, stepId }],
    ),
  ];
}
