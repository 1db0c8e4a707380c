import { resolveBuild } from '@lanakit/core/build';
import type { Wool } from '@lanakit/core/engine';
import {
  type BookletRequest,
  type BookletTerms,
  runBooklets,
  type RunBooklets,
  type RunBookletsAsked,
} from '@lanakit/core/papers';
import { type Choices, itemsUsed, type Pattern } from '@lanakit/core/pattern';
import { resizePattern } from '@lanakit/core/resize';
import { forHand, revisionsOfRun } from '@lanakit/core/run';
import type { Translation } from '@lanakit/core/translation';
import { makeNotes, makeWords } from '@lanakit/core/words';
import type { Store } from '../db/index.ts';
import type { BookletForm } from '../papers/booklet/bookletForms.ts';
import type { BookletTask } from '../papers/setBooklet.ts';
import { todayOf, type WorkDeps } from './deps.ts';
import { slugOf } from './fileNames.ts';
import { type OnceFile, writtenOnce } from './onceFile.ts';
import type { OutFile } from './patternFileService.ts';
import { answering, foundOr, Refusal } from './refusal.ts';
import { inForceOf } from './runInForce.ts';
import { designsOf, shelfOf } from './runSources.ts';
import { sourcesIn } from './sourcesIn.ts';
import { surroundingsIn } from './surroundingsIn.ts';
import type { Watched } from './workshop.ts';

export type BookletService = ReturnType<typeof bookletService>;

/** Of which build of a pattern, and for which hand. */
export interface BookletBuild {
  /** Null: the draft. */
  readonly revisionId: string | null;
  readonly choices: Choices;
  /** Of the size as written, linear. */
  readonly sizeFraction: number;
  readonly isLeftHanded: boolean;
  /** BCP 47; null: as it is written. */
  readonly language: string | null;
}

const FORMS: Readonly<Record<BookletForm, { readonly mime: string; readonly extension: string }>> = {
  pdf: { mime: 'application/pdf', extension: 'pdf' },
  html: { mime: 'text/html; charset=utf-8', extension: 'html' },
  epub: { mime: 'application/epub+zip', extension: 'epub' },
  'listing-text': { mime: 'text/plain; charset=utf-8', extension: 'listing.txt' },
  'listing-html': { mime: 'text/html; charset=utf-8', extension: 'listing.html' },
};

/** A pattern as it leaves the studio: to sell, to teach, to keep beside the work. */
export function bookletService({ store, now, newId, work, dataDir }: WorkDeps) {
  const documentOf = (id: string, revisionId: string | null) => {
    if (revisionId === null) return { document: foundOr(store.patterns.find(id)).document, number: null };
    const revision = foundOr(store.patterns.findRevision(revisionId));
    if (revision.patternId !== id) throw new Refusal({ code: 'not_found' });
    return { document: revision.document, number: revision.number };
  };
  const translationOf = (id: string, language: string | null): Translation | null =>
    language === null
      ? null
      : foundOr(store.translations.of(id).find((each) => each.language === language) ?? null);
  const taskOf = (
    title: string,
    { requests, booklets }: RunBooklets,
    wool: Wool,
    form: BookletForm,
  ): BookletTask => ({
    title,
    requests,
    booklets,
    wool: woolFor(requests, wool),
    pictures: picturesOf(store, requests, form),
    form,
    at: now().toISOString(),
  });
  const bookletsOf = (runId: string, terms: BookletTerms, asked: RunBookletsAsked) => {
    const { packed } = inForceOf(store, foundOr(store.runs.find(runId)), todayOf(now()));
    const revisions = revisionsOfRun(packed.input).flatMap((id) => store.patterns.findRevision(id) ?? []);
    const facts = {
      designs: designsOf(store, packed.input),
      packed,
      revisionNumbers: new Map(revisions.map(({ id, number }) => [id, number])),
      needles: store.shelf.needles(),
      surroundings: new Map(
        revisions.map(({ id, patternId, document }) => [id, surroundingsIn(store, patternId, document)]),
      ),
    };
    return { booklets: runBooklets(facts, terms, asked), wool: packed.wool };
  };
  return answering({
    /** Every pack’s own, or each kind once, in one file. */
    async ofRun(
      runId: string,
      asked: RunBookletsAsked,
      terms: BookletTerms,
      watched: Watched,
    ): Promise<OnceFile> {
      const { name } = foundOr(store.runs.find(runId));
      const make = () => {
        const { booklets, wool } = bookletsOf(runId, terms, asked);
        if (booklets.booklets.length === 0) throw new Refusal({ code: 'not_found' });
        return taskOf(name, booklets, wool, 'pdf');
      };
      const path = await writtenOnce({ dataDir, newId }, 'pdf', (into) =>
        work.setBooklets(make, into, watched),
      );
      return { path, mime: FORMS.pdf.mime, name: `${slugOf(name, 60) || 'run'}-booklets.pdf` };
    },
    /** @param signal nobody waits for it any more */
    async ofPattern(
      id: string,
      asked: BookletBuild,
      terms: BookletTerms,
      form: BookletForm,
      signal?: AbortSignal,
    ): Promise<OutFile> {
      const { document } = documentOf(id, asked.revisionId);
      translationOf(id, asked.language);
      const bytes = await work.setBooklet((): BookletTask => {
        const found = documentOf(id, asked.revisionId);
        const request = requestOf(store, { id, ...found }, asked, terms, translationOf(id, asked.language));
        const booklets = { requests: [request], booklets: [{ request: 0, whose: '' }] };
        return taskOf(document.title, booklets, shelfOf(store), form);
      }, signal);
      const { mime, extension } = FORMS[form];
      return {
        bytes,
        mime,
        name: `${slugOf(document.title, 60) || 'figure'}${asked.language === null ? '' : `-${asked.language}`}.${extension}`,
      };
    },
  });
}

function requestOf(
  store: Store,
  {
    id,
    document: whole,
    number,
  }: { readonly id: string; readonly document: Pattern; readonly number: number | null },
  { choices, sizeFraction, isLeftHanded }: BookletBuild,
  terms: BookletTerms,
  translation: Translation | null,
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
    surroundings: surroundingsIn(store, id, whole),
    sources: sourcesIn(store, build),
    translation,
  };
}

/** Only what the builds name: the shelf of a large studio is not carried into a thread. */
function woolFor(
  requests: readonly BookletRequest[],
  { fibres, findings, handMeasures, learnt }: Wool,
): Wool {
  const ids = new Set(
    requests.flatMap(({ build, sources }) => [
      ...itemsUsed(build),
      ...sources.blends.flatMap(({ of }) => of.map(({ itemId }) => itemId)),
    ]),
  );
  const kept = <T>(things: ReadonlyMap<string, T>) => new Map([...things].filter(([id]) => ids.has(id)));
  return { fibres: kept(fibres), findings: kept(findings), handMeasures, learnt };
}

/** Those of its steps; a listing shows all there are. */
function picturesOf(store: Store, requests: readonly BookletRequest[], form: BookletForm): Map<string, Uint8Array> {
  const isListing = form === 'listing-html';
  const ids = new Set(
    requests.flatMap(({ build, terms }) => {
      if (isListing) return build.pictures.map(({ id }) => id);
      return terms.hasPictures ? build.steps.flatMap(({ pictures }) => pictures.map(({ pictureId }) => pictureId)) : [];
    }),
  );
  return new Map(
    [...ids].flatMap((pictureId) => {
      const picture = store.pictures.bytes(pictureId, 'large');
      return picture ? [[pictureId, picture.bytes] as const] : [];
    }),
  );
} // prettier-ignore
