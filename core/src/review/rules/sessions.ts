import { darkerThan } from '../../build/index.ts';
import { valuesNeverAllowed } from '../../pattern/index.ts';
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
