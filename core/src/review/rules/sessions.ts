import { isNamed } from '../isNamed.ts';
import { darkerThan } from '../../build/index.ts';
import { type Pattern, valuesNeverAllowed } from '../../pattern/index.ts';
import { sessionAt } from '../place.ts';
import { promisedAbsent } from '../promised.ts';
import { rule } from '../rule.ts';

/** Sessions, options, colours. */
export const SESSION_RULES = [
  rule('session_without_step', 'sessions', 'stumble', ({ pattern }) =>
    pattern.sessions.flatMap(({ id, firstStepId }) => (firstStepId === null ? [{ sessionId: id }] : [])),
  ),
  rule('session_not_described', 'sessions', 'look', ({ pattern }) =>
    pattern.sessions.flatMap(({ id, startState, safeStop }, at) =>
      safeStop.trim() === '' || (at > 0 && startState.trim() === '') ? [{ sessionId: id }] : [],
    ),
  ),
  rule('session_starts_without', 'sessions', 'stumble', ({ pattern }) =>
    pattern.sessions.flatMap(({ id: sessionId, firstStepId, startState }) => {
      const firstAt = pattern.steps.findIndex(({ id }) => id === firstStepId);
      // On the first day nothing is made yet: what lies there are materials.
      if (firstAt <= 0) return [];
      return pattern.parts.flatMap(({ id, name }) =>
        isNamed(startState, name) && beginsAt(pattern, id) >= firstAt ? [{ sessionId, name }] : [],
      );
    }),
  ),
  rule('session_promise_absent', 'sessions', 'stumble', (context) =>
    context.pattern.sessions.flatMap((session) => {
      const lastAt = lastStepOf(context.pattern, session.id);
      return [session.safeStop, session.homework].flatMap((text) =>
        promisedAbsent(text, lastAt, context).map((inText) => ({ sessionId: session.id, inText })),
      );
    }),
  ),
  rule('value_never_allowed', 'sessions', 'stumble', ({ pattern }) =>
    valuesNeverAllowed(pattern).map((value) => ({ ...value })),
  ),
  rule('slot_rule_broken', 'sessions', 'stumble', ({ pattern, wool }) =>
    darkerThan(pattern, wool).map((broken) => ({ rule: broken })),
  ),
  rule('slot_without_places', 'sessions', 'look', ({ pattern }) =>
    pattern.slots.flatMap(({ id, places }) => (places.length === 0 ? [{ slotId: id }] : [])),
  ),
  rule('colourway_as_written', 'sessions', 'look', ({ pattern }) =>
    pattern.colourways.flatMap(({ id, fills }) => (fills.length === 0 ? [{ colourwayId: id }] : [])),
  ),
];

/** The first step on a part; -1: none, and that is told. */
function beginsAt({ steps }: Pattern, partId: string): number {
  const at = steps.findIndex(({ partIds }) => partIds.includes(partId));
  return at < 0 ? -1 : at;
}

const lastStepOf = (pattern: Pattern, sessionId: string): number =>
  pattern.steps.findLastIndex((_step, at) => sessionAt(pattern, at) === sessionId);
