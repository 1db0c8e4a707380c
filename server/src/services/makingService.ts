import type { MakingLineOfBook, MakingPage } from '@lanakit/core/api';
import { resolveBuild } from '@lanakit/core/build';
import {
  checkMaking,
  type Making,
  type MakingInput,
  makingQuestions,
  tookOfMaking,
  withoutUncounted,
} from '@lanakit/core/logbook';
import type { Pattern } from '@lanakit/core/pattern';
import { resizePattern } from '@lanakit/core/resize';
import { isEqual } from '@lanakit/core/base';
import type { ServiceDeps } from './deps.ts';
import { evidenceOfMaking, learningNow } from './gatherEvidence.ts';
import { answering, assertSound, foundOr, Refusal } from './refusal.ts';
import { shelfOf } from './runSources.ts';

export type MakingService = ReturnType<typeof makingService>;

/** Figures that were made, as they are written down: by the pattern, or before there is one. */
export function makingService({ store, now, newId }: ServiceDeps) {
  const { makings, patterns } = store;
  const at = () => now().toISOString();
  const found = (id: string): Making => foundOr(makings.find(id));
  /** The pattern as it is chosen and sized; null: there is none. */
  const buildFor = ({ patternId, revisionId, choices, sizeFraction }: MakingInput): Pattern | null => {
    const document =
      revisionId !== null
        ? patterns.findRevision(revisionId)?.document
        : patternId !== null
          ? patterns.find(patternId)?.document
          : undefined;
    if (!document) return null;
    const build = resolveBuild(document, choices);
    return sizeFraction === 1 ? build : resizePattern(build, sizeFraction);
  };
  const pageOf = (making: Making): MakingPage => {
    const build = makings.buildOf(making.id);
    const { judged } = learningNow(store, now());
    const { evidence, untaught } = evidenceOfMaking(store, making);
    const wool = shelfOf(store);
    return {
      making,
      build,
      hasPattern: making.patternId !== null && patterns.find(making.patternId) !== null,
      evidence: judged.filter(({ source }) => source.kind === 'making' && source.makingId === making.id),
      untaught,
      ofPattern:
        making.patternId === null
          ? []
          : makings
              .all()
              .filter(({ patternId }) => patternId === making.patternId)
              .map((other) => withoutUncounted(other, judged)),
      questions: makingQuestions(making, evidence, wool.fibres, makings.all(), now().getTime()),
    };
  };
  const lineOf = (making: Making): MakingLineOfBook => {
    const { id, title, date, madeBy, isDone } = making;
    const { knownG, unknownCount } = tookOfMaking(making);
    return { id, title, date, madeBy, isDone, tookG: knownG, unknownCount };
  };
  return answering({
    /** The last first. */
    list: (): MakingLineOfBook[] => makings.all().toReversed().map(lineOf),
    page: (id: string): MakingPage => pageOf(found(id)),
    find: found,
    begin(input: MakingInput): Making {
      assertSound(checkMaking(input));
      const id = newId();
      makings.insert(id, input, buildFor(input), at());
      return found(id);
    },
    save(id: string, version: number, input: MakingInput): Making {
      const before = found(id);
      assertSound(checkMaking(input));
      // Of another build it is held against that; of the same one it stays what it was made of, whatever became of the pattern.
      const isSameBuild = isEqual(buildChosen(before), buildChosen(input));
      const build = isSameBuild ? undefined : buildFor(input);
      if (!makings.update(id, version, input, build, at()))
        throw new Refusal({ code: 'version_conflict', yours: input, theirs: found(id) });
      return found(id);
    },
    remove(id: string): void {
      if (!makings.remove(id, at())) throw new Refusal({ code: 'not_found' });
    },
    restore(id: string): Making {
      if (!makings.restore(id)) throw new Refusal({ code: 'not_found' });
      return found(id);
    },
  });
}

const buildChosen = ({ patternId, revisionId, choices, sizeFraction }: MakingInput) => ({
  patternId,
  revisionId,
  choices,
  sizeFraction,
});
