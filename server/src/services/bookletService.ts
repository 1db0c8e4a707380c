import { resolveBuild } from '@lanakit/core/build';
import type { Wool } from '@lanakit/core/engine';
import type { BookletRequest, BookletTerms } from '@lanakit/core/papers';
import { type Choices, itemsUsed, type Pattern } from '@lanakit/core/pattern';
import { resizePattern } from '@lanakit/core/resize';
import { forHand } from '@lanakit/core/run';
import { makeNotes, makeWords } from '@lanakit/core/words';
import type { Store } from '../db/index.ts';
import type { BookletForm, BookletTask } from '../papers/setBooklet.ts';
import type { WorkDeps } from './deps.ts';
import { slugOf } from './fileNames.ts';
import type { OutFile } from './patternFileService.ts';
import { answering, foundOr, Refusal } from './refusal.ts';
import { shelfOf } from './runSources.ts';

export type BookletService = ReturnType<typeof bookletService>;

/** Of which build of a pattern, and for which hand. */
export interface BookletBuild {
  /** Null: the draft. */
  readonly revisionId: string | null;
  readonly choices: Choices;
  /** Of the size as written, linear. */
  readonly sizeFraction: number;
  readonly isLeftHanded: boolean;
}

const FORMS: Readonly<Record<BookletForm, { readonly mime: string; readonly extension: string }>> = {
  pdf: { mime: 'application/pdf', extension: 'pdf' },
  html: { mime: 'text/html; charset=utf-8', extension: 'html' },
  epub: { mime: 'application/epub+zip', extension: 'epub' },
};

/** A pattern as it leaves the studio: to sell, to teach, to keep beside the work. */
export function bookletService({ store, now, work }: WorkDeps) {
  const documentOf = (id: string, revisionId: string | null) => {
    if (revisionId === null) return { document: foundOr(store.patterns.find(id)).document, number: null };
    const revision = foundOr(store.patterns.findRevision(revisionId));
    if (revision.patternId !== id) throw new Refusal({ code: 'not_found' });
    return { document: revision.document, number: revision.number };
  };
  return answering({
    /** @param signal nobody waits for it any more */
    async ofPattern(
      id: string,
      asked: BookletBuild,
      terms: BookletTerms,
      form: BookletForm,
      signal?: AbortSignal,
    ): Promise<OutFile> {
      const { document } = documentOf(id, asked.revisionId);
      const bytes = await work.setBooklet((): BookletTask => {
        const found = documentOf(id, asked.revisionId);
        const request = requestOf(store, found.document, found.number, asked, terms);
        return {
          request,
          wool: woolFor(request.build, shelfOf(store)),
          pictures: picturesOf(store, request.build, terms),
          form,
          at: now().toISOString(),
        };
      }, signal);
      const { mime, extension } = FORMS[form];
      return { bytes, mime, name: `${slugOf(document.title, 60) || 'figure'}.${extension}` };
    },
  });
}

function requestOf(
  store: Store,
  whole: Pattern,
  number: number | null,
  { choices, sizeFraction, isLeftHanded }: BookletBuild,
  terms: BookletTerms,
): BookletRequest {
  const built = resolveBuild(whole, choices);
  const sized = sizeFraction === 1 ? built : resizePattern(built, sizeFraction);
  const build = forHand(sized, isLeftHanded);
  return {
    whole,
    build,
    what: [
      ...makeWords(whole, { choices, sizeFraction }),
      number === null ? 'draft, not published yet' : `revision ${number}`,
    ],
    notes: makeNotes(build, { sizeFraction, isLeftHanded }),
    terms,
    needles: store.shelf.needles(),
    packed: null,
  };
}

/** Only what the build names: the shelf of a large studio is not carried into a thread. */
function woolFor(build: Pattern, { fibres, findings, handMeasures, learnt }: Wool): Wool {
  const ids = new Set(itemsUsed(build));
  const kept = <T>(things: ReadonlyMap<string, T>) => new Map([...things].filter(([id]) => ids.has(id)));
  return { fibres: kept(fibres), findings: kept(findings), handMeasures, learnt };
}

function picturesOf(store: Store, { steps }: Pattern, { hasPictures }: BookletTerms): Map<string, Uint8Array> {
  if (!hasPictures) return new Map();
  const ids = new Set(steps.flatMap(({ pictures }) => pictures.map(({ pictureId }) => pictureId)));
  return new Map(
    [...ids].flatMap((pictureId) => {
      const picture = store.pictures.bytes(pictureId, 'large');
      return picture ? [[pictureId, picture.bytes] as const] : [];
    }),
  );
} // prettier-ignore
