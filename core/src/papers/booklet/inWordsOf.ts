import type { Pattern } from '../../pattern/index.ts';
import { type Reader, type Reading, type ReadingStep, ticksOf } from '../../reading/index.ts';

/** What was read of a build, said in the words of another that differs from it in words alone. */
export function inWordsOf(build: Pattern, reading: Reading, reader: Reader): Reading {
  const stepOf = new Map(build.steps.map((step) => [step.id, step]));
  const sessionOf = new Map(build.sessions.map((session) => [session.id, session]));
  const inWords = (readingStep: ReadingStep): ReadingStep => {
    const step = stepOf.get(readingStep.step.id) ?? readingStep.step;
    const recalled = build.steps[(readingStep.recalls?.number ?? 0) - 1]?.act;
    return {
      ...readingStep,
      step,
      extra: step.readers[reader],
      partNames: step.partIds.flatMap((id) => build.parts.find((part) => part.id === id)?.name ?? []),
      ticks: ticksOf(step, build),
      recalls:
        readingStep.recalls && recalled?.kind === 'decide'
          ? { ...readingStep.recalls, question: recalled.question }
          : readingStep.recalls,
    };
  };
  return {
    ...reading,
    sessions: reading.sessions.map((sitting) => ({
      ...sitting,
      session: sitting.session && (sessionOf.get(sitting.session.id) ?? sitting.session),
      stages: sitting.stages.map((stage) => ({ ...stage, steps: stage.steps.map(inWords) })),
    })),
  };
}
