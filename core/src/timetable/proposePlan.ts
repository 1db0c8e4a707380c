import { daysAfter } from '../base/index.ts';
import { BLANK_PLAN, type ClassPlan, type PlanRow, type RunInput } from '../run/index.ts';
import type { Pattern } from '../pattern/index.ts';

/** Ours, each to be changed: what a class opens with, what showing takes, after how long hands need a rest. */
const WELCOME_MINUTES = 8;
const SHOW_MINUTES = 4;
const BREAK_MINUTES = 10;
const BREAK_FROM_MINUTES = 150;
const SESSION_MINUTES = 120;
const ROUND_TO = 5;

/** As many sittings as the pattern has sessions, on days one after another. */
function proposeSessions(pattern: Pattern, newId: () => string): ClassPlan['sessions'] {
  const count = Math.max(1, pattern.sessions.length);
  return Array.from({ length: count }, () => ({
    id: newId(),
    date: null,
    startsAt: count > 1 ? '10:00' : '14:00',
    minutes: SESSION_MINUTES * (count > 1 ? 2 : 1),
  }));
}

/** Where the middle of the class is when, from a trial without demonstrations: by step, minutes from its sitting’s beginning. */
type MiddleAt = (stepId: string) => { readonly sessionId: string; readonly minute: number } | null;

/**
 * A day that could be taught as it stands: a welcome, each new thing shown just when the middle of the class comes to it, a
 * break where a sitting is long.
 */
export function proposeRows(
  pattern: Pattern,
  { sessions, clearUpMinutes }: Pick<ClassPlan, 'sessions' | 'clearUpMinutes'>,
  middleAt: MiddleAt,
  newId: () => string,
): PlanRow[] {
  const welcome = sessions.map((session, at): PlanRow => ({
    id: newId(),
    kind: 'talk',
    name: at === 0 ? 'Welcome' : 'Where we are',
    sessionId: session.id,
    atMinute: 0,
    minutes: WELCOME_MINUTES,
    stepIds: [],
    groups: 1,
  }));
  const shown = firstOfEachSort(pattern).flatMap((stepId): PlanRow[] => {
    const at = middleAt(stepId);
    const session = sessions.find(({ id }) => id === at?.sessionId);
    if (!at || !session) return [];
    const latest = session.minutes - clearUpMinutes - SHOW_MINUTES;
    // What most come to only after the end is not shown on that day.
    if (at.minute > latest) return [];
    return [
      {
        id: newId(),
        kind: 'demo',
        name: nameOfShown(pattern, stepId),
        sessionId: session.id,
        atMinute: Math.max(WELCOME_MINUTES, Math.min(latest, rounded(at.minute))),
        minutes: SHOW_MINUTES,
        stepIds: [stepId],
        groups: 1,
      },
    ];
  });
  const breaks = sessions.flatMap(({ id, minutes }): PlanRow[] =>
    minutes < BREAK_FROM_MINUTES
      ? []
      : [
          {
            id: newId(),
            kind: 'break',
            name: 'Break',
            sessionId: id,
            atMinute: rounded(minutes / 2),
            minutes: BREAK_MINUTES,
            stepIds: [],
            groups: 1,
          },
        ],
  );
  return apart([...welcome, ...breaks, ...shown]);
}

const rounded = (minutes: number): number => Math.round(minutes / ROUND_TO) * ROUND_TO;

/** Of each stage the first step that takes hands: that is where something is new. */
function firstOfEachSort({ steps }: Pattern): string[] {
  const seen = new Set<string>();
  return steps.flatMap(({ id, act, stage }) => {
    if (act.kind === 'wait' || act.kind === 'check' || seen.has(stage)) return [];
    seen.add(stage);
    return [id];
  });
}

function nameOfShown({ steps, parts }: Pattern, stepId: string): string {
  const step = steps.find(({ id }) => id === stepId);
  const part = parts.find(({ id }) => id === step?.partIds[0]);
  const stage = step?.stage ?? '';
  return `${stage.charAt(0).toUpperCase()}${stage.slice(1)}${part ? `: ${part.name}` : ''}`;
}

/** Nothing is shown while something else goes on: what meets another row comes right after it. */
function apart(rows: readonly PlanRow[]): PlanRow[] {
  const placed: PlanRow[] = [];
  for (const row of [...rows].sort((a, b) => a.atMinute - b.atMinute)) {
    const before = placed.findLast(({ sessionId }) => sessionId === row.sessionId);
    const free = before ? before.atMinute + before.minutes * before.groups : 0;
    placed.push({ ...row, atMinute: Math.max(row.atMinute, free) });
  }
  return placed;
}

/** A run of a class with sittings, where nobody has said any. */
export const withSessions = <R extends RunInput>(run: R, pattern: Pattern, newId: () => string): R =>
  run.plan.sessions.length > 0
    ? run
    : {
        ...run,
        plan: {
          ...BLANK_PLAN,
          ...run.plan,
          sessions: proposeSessions(pattern, newId).map((session, at) => ({
            ...session,
            date: at === 0 ? null : daysAfter(run.date, at),
          })),
        },
      };
