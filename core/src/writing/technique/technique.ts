import { checkName, strict } from '../../base/index.ts';
import { BLANK_STEP, Rights, Step } from '../../pattern/index.ts';
import type { TechniqueProblem } from './problem.ts';
import { Type, type Static } from '@sinclair/typebox';

/** Something that is filled in where the technique is used: `{length}` in its texts. */
const TechniqueParameter = Type.Object(
  {
    key: Type.String({ pattern: '^[a-z][a-z0-9-]{0,29}$' }),
    name: Type.String({ maxLength: 60 }),
    standard: Type.String({ maxLength: 120, description: 'what it is unless something else is said' }),
  },
  strict,
);
type TechniqueParameter = Static<typeof TechniqueParameter>;

/** A step of a technique: as in a pattern, but not yet of any part. */
export const TechniqueStep = Type.Pick(
  Step,
  [
    'text',
    'act',
    'stage',
    'place',
    'needle',
    'holder',
    'stroke',
    'depth',
    'cue',
    'minutes',
    'areMinutesEach',
    'waiting',
    'checks',
    'cautions',
  ],
  strict,
);
export type TechniqueStep = Static<typeof TechniqueStep>;

/** A sequence of steps that many patterns share: a rolled limb, a folded ear. */
export const TechniqueInput = Type.Object(
  {
    name: Type.String({ maxLength: 80 }),
    about: Type.String({ maxLength: 400 }),
    parameters: Type.Array(TechniqueParameter, { maxItems: 12 }),
    steps: Type.Array(TechniqueStep, { minItems: 1, maxItems: 40 }),
    rights: Rights,
  },
  strict,
);
export type TechniqueInput = Static<typeof TechniqueInput>;

/** One version of a technique. Versions never change; the newest is what is offered. */
export interface Technique extends TechniqueInput {
  readonly id: string;
  readonly version: number;
}

/** What a technique says of a step; the rest is the pattern’s own. */
export const STEP_KEYS = Object.keys(TechniqueStep.properties) as (keyof TechniqueStep)[];

export const blankTechniqueStep = (): TechniqueStep =>
  Object.fromEntries(STEP_KEYS.map((key) => [key, BLANK_STEP[key]])) as TechniqueStep;

const PLACEHOLDER = /\{([a-z][a-z0-9-]{0,29})\}/g;

/** Keys a text asks for, each once. */
export const keysIn = (text: string): string[] => [
  ...new Set([...text.matchAll(PLACEHOLDER)].map((match) => match[1] ?? '')),
];

export function checkTechnique(technique: TechniqueInput): TechniqueProblem[] {
  const keys = new Set(technique.parameters.map(({ key }) => key));
  return [
    ...checkName(technique.name),
    ...technique.steps.flatMap(({ text, act }, index): TechniqueProblem[] => [
      ...(act.kind === 'choose' || act.kind === 'stand-in'
        ? [{ code: 'technique_act', pointer: `/steps/${index}/act` } as const]
        : []),
      ...keysIn(text)
        .filter((key) => !keys.has(key))
        .map((key) => ({ code: 'parameter_not_found', pointer: `/steps/${index}/text`, key }) as const),
    ]),
  ];
}

/** The text with its parameters filled in; a key nobody gives a value keeps its braces. */
export const fillIn = (text: string, values: ReadonlyMap<string, string>): string =>
  text.replaceAll(PLACEHOLDER, (braces, key: string) => values.get(key) ?? braces);
