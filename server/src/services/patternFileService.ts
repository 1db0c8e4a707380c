import type { StoredPattern } from '@lanakit/core/api';
import { resolveBuild } from '@lanakit/core/build';
import { estimatePattern } from '@lanakit/core/engine';
import {
  findPatternFile,
  type Mapping,
  mapShelf,
  patternFile,
  type PatternFile,
  patternMarkdown,
  type PlainShelf,
  proposeMapping,
} from '@lanakit/core/files';
import { checkPattern, NO_CHOICES, type Pattern } from '@lanakit/core/pattern';
import { checkFibre, checkFinding, checkNeedle } from '@lanakit/core/shelf';
import type { Store } from '../db/index.ts';
import type { WorkDeps } from './deps.ts';
import { slugOf } from './fileNames.ts';
import { ITEM_KINDS, writeOf } from './itemKinds.ts';
import { fileText, zipOf } from './readPatternFile.ts';
import { answering, assertSound, foundOr, Refusal } from './refusal.ts';
import { shelfOf } from './runSources.ts';
import { strangeReferences } from './strangeReferences.ts';

export type PatternFileService = ReturnType<typeof patternFileService>;

/** A file that goes out. */
export interface OutFile {
  readonly bytes: Buffer;
  readonly mime: string;
  readonly name: string;
}

export const FILE_FORMS = ['json', 'markdown', 'zip'] as const;
export type FileForm = (typeof FILE_FORMS)[number];

/** A carried thing and what becomes of it: an id of this shelf, or null to put it there. */
export interface CarriedTo {
  readonly kind: 'fibre' | 'finding' | 'needle';
  readonly id: string;
  readonly itemId: string | null;
}

/** A pattern as it was read, with where its things would go on this shelf. */
export interface ReadIn {
  readonly file: PatternFile;
  readonly mapping: readonly Mapping[];
  readonly lostPictures: number;
}

/** Patterns out of and into files. */
export function patternFileService({ store, work, now, newId }: WorkDeps) {
  const at = () => now().toISOString();
  /** Pictures that came along, under the ids they are kept by here. */
  const keepPictures = async (pattern: Pattern, pictures: ReadonlyMap<string, Buffer>) => {
    const kept = new Map<string, string>();
    for (const { id } of pattern.pictures) {
      const content = pictures.get(id);
      if (content) kept.set(id, store.pictures.keep(newId(), await work.readPicture(content), at()).id);
      // A JSON file carries none; on the machine it comes from they are still there.
      else if (store.pictures.bytes(id, 'small')) kept.set(id, id);
    }
    return kept;
  };
  /** Puts a carried thing on the shelf; its new id. */
  const putOn = ({ kind, id }: CarriedTo, { shelf: carried }: PatternFile): string => {
    const [list, check] = {
      fibre: [carried.fibres, checkFibre] as const,
      finding: [carried.findings, checkFinding] as const,
      needle: [carried.needles, checkNeedle] as const,
    }[kind];
    const thing = list.find((candidate) => candidate.id === id);
    if (!thing) throw new Refusal({ code: 'file_not_read', reason: `nothing carried is called ${id}` });
    assertSound((check as (input: unknown) => ReturnType<typeof checkFibre>)(thing.is));
    const itemId = newId();
    store.items.insert(itemId, writeOf(ITEM_KINDS[kind], thing.is), at());
    return itemId;
  };
  return answering({
    write(id: string, form: FileForm): OutFile {
      const { document } = foundOr(store.patterns.find(id));
      return writeFile(store, document, form);
    },
    /** What is in a file of JSON, ZIP or Markdown, and where it would go on this shelf. */
    async read(bytes: Buffer): Promise<ReadIn> {
      const { file, pictures } = await work.readPatternFile(bytes);
      const pattern = withPictures(file.pattern, await keepPictures(file.pattern, pictures));
      return {
        file: { ...file, pattern },
        mapping: proposeMapping(file, plainShelf(store)),
        lostPictures: file.pattern.pictures.length - pattern.pictures.length,
      };
    },
    /** A new draft, with what the shelf lacks put on it. */
    takeIn(file: PatternFile, mapping: readonly CarriedTo[]): StoredPattern {
      const read = findPatternFile(JSON.stringify(file.pattern));
      if (!read.ok) throw new Refusal({ code: 'file_not_read', reason: read.refusal.code });
      const id = store.together(() => {
        const newIds = new Map(
          mapping.map((carriedTo) => [carriedTo.id, carriedTo.itemId ?? putOn(carriedTo, file)]),
        );
        const pattern = mapShelf(file.pattern, (theirs) => {
          const itemId = newIds.get(theirs) ?? theirs;
          return store.items.kindOf(itemId) === null ? null : itemId;
        });
        assertSound([...checkPattern(pattern), ...strangeReferences(store, pattern)]);
        const patternId = newId();
        store.patterns.insert(patternId, pattern, at());
        return patternId;
      });
      return foundOr(store.patterns.find(id));
    },
  });
}

/** The shelf as files carry it. */
function plainShelf({ shelf }: Store): PlainShelf {
  const fibres = shelf.fibres();
  // A blend travels as the fibre it looks and weighs like: its recipe is of the sender’s shelf.
  const blends = shelf.blends(fibres).flatMap(({ asFibre }) => asFibre ?? []);
  return { fibres: [...fibres, ...blends], findings: shelf.findings(), needles: shelf.needles() };
}

function markdownOf(store: Store, document: Pattern): string {
  const wool = shelfOf(store);
  const build = resolveBuild(document, NO_CHOICES);
  return patternMarkdown(build, estimatePattern(build, wool), wool, 'pattern');
}

function writeFile(store: Store, document: Pattern, form: FileForm): OutFile {
  const name = fileNameOf(document.title);
  const json = () => patternFile(document, plainShelf(store));
  switch (form) {
    case 'json':
      return { bytes: Buffer.from(fileText(json())), mime: 'application/json', name: `${name}.json` };
    case 'markdown': {
      const bytes = Buffer.from(markdownOf(store, document));
      return { bytes, mime: 'text/markdown; charset=utf-8', name: `${name}.md` };
    }
    case 'zip': {
      const pictures = document.pictures.flatMap(({ id }) => {
        const kept = store.pictures.bytes(id, 'large');
        return kept ? [[id, kept] as const] : [];
      });
      const bytes = zipOf(json(), markdownOf(store, document), new Map(pictures));
      return { bytes, mime: 'application/zip', name: `${name}.zip` };
    }
  }
}

const fileNameOf = (title: string): string => slugOf(title, 60) || 'pattern';

/** Pictures under the ids they are kept by here; those that did not come along are left out of steps too. */
function withPictures(pattern: Pattern, kept: ReadonlyMap<string, string>): Pattern {
  return {
    ...pattern,
    pictures: pattern.pictures.flatMap((picture) => {
      const id = kept.get(picture.id);
      return id === undefined ? [] : [{ ...picture, id }];
    }),
    steps: pattern.steps.map((step) => ({
      ...step,
      pictures: step.pictures.flatMap((picture) => {
        const pictureId = kept.get(picture.pictureId);
        return pictureId === undefined ? [] : [{ ...picture, pictureId }];
      }),
    })),
  };
}
