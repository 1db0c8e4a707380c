import type { TechniqueInput } from '@lanakit/core/writing';
import { checkTechnique, type Technique } from '@lanakit/core/writing';
import type { ServiceDeps } from './deps.ts';
import { answering, assertSound, foundOr, Refusal } from './refusal.ts';

export type TechniqueService = ReturnType<typeof techniqueService>;

/** Techniques: sequences of steps that patterns share. */
export function techniqueService({ store: { techniques }, now, newId }: ServiceDeps) {
  const at = () => now().toISOString();
  const found = (id: string): Technique => foundOr(techniques.find(id));
  return answering({
    all: () => techniques.all(),
    find: found,
    findVersion: (id: string, version: number) => foundOr(techniques.findVersion(id, version)),
    usesOf: (id: string) => techniques.usesOf(found(id).id),
    begin(input: TechniqueInput): Technique {
      assertSound(checkTechnique(input));
      const id = newId();
      techniques.insert(id, input, at());
      return found(id);
    },
    /** A new version; patterns keep theirs until they take it. */
    save(id: string, version: number, input: TechniqueInput): Technique {
      found(id);
      assertSound(checkTechnique(input));
      if (!techniques.update(id, version, input, at()))
        throw new Refusal({ code: 'version_conflict', yours: input, theirs: found(id) });
      return found(id);
    },
    putAway(id: string): void {
      if (!techniques.archive(id, at())) throw new Refusal({ code: 'not_found' });
    },
    restore(id: string): Technique {
      if (!techniques.restore(id)) throw new Refusal({ code: 'not_found' });
      return found(id);
    },
  });
}
