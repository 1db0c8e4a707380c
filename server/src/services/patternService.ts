import type { Revision, StoredPattern } from '@lanakit/core/api';
import {
  checkPattern,
  comparePatterns,
  itemsUsed,
  missingForPublishing,
  type Pattern,
} from '@lanakit/core/pattern';
import { reviewOf } from '@lanakit/core/review';
import type { PatternCursor } from '../db/patterns.ts';
import type { ServiceDeps } from './deps.ts';
import { shelfOf } from './runSources.ts';
import { strangeReferences } from './strangeReferences.ts';
import { answering, assertSound, foundOr, Refusal } from './refusal.ts';

export type PatternService = ReturnType<typeof patternService>;

/** Patterns: drafts that are edited, revisions that are not. */
export function patternService({ store, now, newId }: ServiceDeps) {
  const { patterns } = store;
  const at = () => now().toISOString();
  const found = (id: string): StoredPattern => foundOr(patterns.find(id));
  const conflict = (id: string, yours: unknown, version: number) =>
    new Refusal({
      code: 'version_conflict',
      yours,
      theirs: found(id),
      of: { kind: 'pattern', id, version },
    });
  return answering({
    page: (after: PatternCursor | null, limit: number, isArchive: boolean) =>
      patterns.page(after, limit, isArchive),
    find: found,
    named: () => patterns.named(),
    begin(document: Pattern): StoredPattern {
      assertSound([...checkPattern(document), ...strangeReferences(store, document)]);
      const id = newId();
      patterns.insert(id, document, at());
      return found(id);
    },
    save(id: string, version: number, document: Pattern): StoredPattern {
      // What it named before it may name on: a fibre taken off the shelf meanwhile must not keep anybody from saving.
      const before = new Set(itemsUsed(found(id).document));
      assertSound([...checkPattern(document), ...strangeReferences(store, document, before)]);
      if (!patterns.update(id, version, document, at())) throw conflict(id, document, version);
      return found(id);
    },
    remove(id: string, version: number): void {
      found(id);
      if (!patterns.remove(id, version, at())) throw conflict(id, null, version);
    },
    restore(id: string): StoredPattern {
      if (!patterns.restore(id)) throw new Refusal({ code: 'not_found' });
      return found(id);
    },
    setArchived(id: string, isArchived: boolean): StoredPattern {
      found(id);
      patterns.setArchived(id, isArchived ? at() : null);
      return found(id);
    },
    /** The newest first, without their documents. */
    revisionsOf: (id: string) =>
      patterns.revisionsOf(found(id).id).map(({ document: _document, ...revision }) => revision),
    /** The draft as a revision that never changes. @param note what is new in it */
    publish(id: string, version: number, note: string): Revision {
      const { version: stands, document, revision } = found(id);
      if (stands !== version) throw conflict(id, null, version);
      const problems = [...missingForPublishing(document), ...strangeReferences(store, document)];
      if (problems.length > 0) throw new Refusal({ code: 'pattern_incomplete', problems });
      const last = revision && patterns.findRevision(revision.id);
      if (last && comparePatterns(document, last.document).length === 0)
        throw new Refusal({ code: 'revision_unchanged', number: last.number });
      const revisionId = newId();
      const { open } = reviewOf(document, shelfOf(store));
      patterns.publish(revisionId, id, document, { at: at(), note, openRemarks: open });
      return foundOr(patterns.findRevision(revisionId));
    },
    findRevision: (id: string): Revision => foundOr(patterns.findRevision(id)),
  });
}
