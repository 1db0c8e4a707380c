import type { Session } from '../pattern/index.ts';
import type { ReviewContext } from './context.ts';

type Reads = (text: string) => readonly string[];

/** What a reading finds in the words of each step. */
export const inStepWords = (
  { pattern }: ReviewContext,
  read: Reads,
): { readonly stepId: string; readonly inText: string }[] =>
  pattern.steps.flatMap(({ id: stepId, text }) => read(text).map((inText) => ({ stepId, inText })));

/** The same in what is written of each session: what lies on the table, where it is left, what is taken home. */
export const inSessionWords = (
  { pattern }: ReviewContext,
  read: Reads,
): { readonly sessionId: string; readonly inText: string }[] =>
  pattern.sessions.flatMap((session) =>
    [...new Set(textsOf(session).flatMap(read))].map((inText) => ({ sessionId: session.id, inText })),
  );

const textsOf = ({ startState, safeStop, homework }: Session): readonly string[] => [
  startState,
  safeStop,
  homework,
];
