import { type Pattern, stepOfCut, stepOfFinding, stepOfInsert } from '../pattern/index.ts';
import type { BuildReading } from './reading.ts';

/** In which sittings of a build its things are wanted. Sittings are numbered from 1, what comes before the first session among them. */
export interface Sittings {
  /** What they are called; empty: it has no name. */
  readonly names: readonly string[];
  readonly ofFibre: (fibreId: string) => readonly number[];
  /** Of a use of a finding, by its id. */
  readonly ofFinding: (useId: string) => readonly number[];
  /** Of what is inside a part, by its use. */
  readonly ofInsert: (useId: string) => readonly number[];
  readonly ofCut: (cutId: string) => readonly number[];
  readonly ofSteps: (stepIds: readonly string[]) => readonly number[];
}

/** Null: it is made in one go. */
export function sittingsOf(build: Pattern, { sessions }: Pick<BuildReading, 'sessions'>): Sittings | null {
  if (sessions.length < 2) return null;
  const sittingOfStep = new Map<string, number>();
  const sittingsOfFibre = new Map<string, Set<number>>();
  sessions.forEach(({ stages }, at) => {
    for (const { step, wool } of stages.flatMap(({ steps }) => steps)) {
      sittingOfStep.set(step.id, at + 1);
      const fibreIds = [...(wool?.takes ?? []), ...(wool?.kept ?? [])].flatMap(
        ({ fibreId }) => fibreId ?? [],
      );
      for (const id of fibreIds) {
        const known = sittingsOfFibre.get(id) ?? new Set<number>();
        sittingsOfFibre.set(id, known.add(at + 1));
      }
    }
  });
  const ofSteps = (stepIds: readonly string[]): number[] =>
    [...new Set(stepIds.flatMap((id) => sittingOfStep.get(id) ?? []))].sort((a, b) => a - b);
  const ofStepAt = (at: number | null): number[] => ofSteps([build.steps[at ?? -1]?.id ?? '']);
  return {
    names: sessions.map(({ session }) => session?.name.trim() ?? 'first of all'),
    ofFibre: (fibreId) => [...(sittingsOfFibre.get(fibreId) ?? [])].sort((a, b) => a - b),
    ofFinding: (useId) => {
      const use = build.findings.find(({ id }) => id === useId);
      return use ? ofStepAt(stepOfFinding(build, use)) : [];
    },
    ofInsert: (useId) => {
      const part = build.parts.find(({ uses }) => uses.some(({ id }) => id === useId));
      return part ? ofStepAt(stepOfInsert(build, part)) : [];
    },
    ofCut: (cutId) => {
      const cut = build.cuts.find(({ id }) => id === cutId);
      return cut ? ofStepAt(stepOfCut(build, cut)) : [];
    },
    ofSteps,
  };
}
