import {
  type Act,
  BLANK_STEP,
  blankJoin,
  type Join,
  type Pattern,
  type PLAIN_ACTS,
  type Stage,
  type Step,
} from '../../src/pattern/index.ts';
import { part, pattern, shapes } from './make.ts';

type Plain = (typeof PLAIN_ACTS)[number];

/** A step that does one thing to some parts; its id is its text. */
export const step = (
  id: string,
  act: Act | Plain,
  partIds: readonly string[] = [],
  more: Partial<Step> & { stage?: Stage } = {},
): Step => ({
  ...BLANK_STEP,
  id,
  text: id,
  act: typeof act === 'string' ? { kind: act } : act,
  partIds: [...partIds],
  needle: { by: 'gauge', gauge: 38, profile: null },
  minutes: 5,
  ...more,
});

export const joined = (partId: string, ontoId: string, more: Partial<Join> = {}): Join => ({
  ...blankJoin(`${partId}-${ontoId}`, partId, ontoId),
  ...more,
});

/** A body with two legs: made, joined, coated. */
export const legged = (steps: Step[], more: Partial<Pattern> = {}): Pattern =>
  pattern([part('body', shapes.ball(60), { coat: 'coat' }), part('leg', shapes.limb(40, 12), { count: 2 })], {
    joins: [joined('leg', 'body')],
    steps,
    ...more,
  });
