import { resolveBuild } from '@lanakit/core/build';
import { estimatePattern } from '@lanakit/core/engine';
import {
  findPatternFile,
  mapShelf,
  patternFile,
  PatternFile,
  patternMarkdown,
  type PlainShelf,
  proposeMapping,
} from '@lanakit/core/files';
import { checkPattern, NO_CHOICES, type Pattern } from '@lanakit/core/pattern';
import { checkFibre, checkFinding, checkNeedle } from '@lanakit/core/shelf';
import { Type } from '@sinclair/typebox';
import { contentProblem, HttpProblem } from '../http/problems.ts';
import type { Reply, Route } from '../http/route.ts';
import { fileText, readPatternFile, zipOf } from '../patternFiles.ts';
import { readPicture } from '../pictures.ts';
import type { RouteDeps } from './deps.ts';
import { ITEM_SPECS, writeOf } from './itemSpecs.ts';
import { shelfOf } from './takings.ts';

const Id = Type.String({ minLength: 1, maxLength: 40 });

/** What becomes of each carried thing: an id of this shelf, or null to put it there. */
const BroughtIn = Type.Object(
  {
    file: PatternFile,
    mapping: Type.Array(
      Type.Object(
        {
          kind: Type.Unsafe<'fibre' | 'finding' | 'needle'>({
            type: 'string',
            enum: ['fibre', 'finding', 'needle'],
          }),
          id: Id,
          itemId: Type.Union([Id, Type.Null()]),
        },
        { additionalProperties: false },
      ),
      { maxItems: 1200 },
    ),
  },
  { additionalProperties: false },
);

/** Patterns out of and into files. */
export function patternFileRoutes({ store, now, newId }: RouteDeps): Route[] {
  const at = () => now().toISOString();
  const shelf = (): PlainShelf => {
    const fibres = store.shelf.fibres();
    // A blend travels as the fibre it looks and weighs like: its recipe is of the sender’s shelf.
    const blends = store.shelf.blends(fibres).flatMap(({ asFibre }) => asFibre ?? []);
    return {
      fibres: [...fibres, ...blends],
      findings: store.shelf.findings(),
      needles: store.shelf.needles(),
    };
  };
  const markdownOf = (document: Pattern): string => {
    const wool = shelfOf(store);
    const build = resolveBuild(document, NO_CHOICES);
    return patternMarkdown(build, estimatePattern(build, wool), wool, 'pattern');
  };

  return [
    {
      method: 'get',
      path: '/patterns/:id/file',
      summary: 'A draft as a file: `as=json`, `as=zip` with its pictures, or `as=markdown`',
      query: ['as'],
      answers: [200],
      handle: ({ params: { id = '' }, query }): Reply => {
        const stored = store.patterns.find(id);
        if (!stored) throw new HttpProblem('not_found');
        const { document } = stored;
        const name = fileNameOf(document.title);
        switch (query['as'] ?? 'json') {
          case 'json':
            return download(
              Buffer.from(fileText(patternFile(document, shelf()))),
              'application/json',
              `${name}.json`,
            );
          case 'markdown':
            return download(Buffer.from(markdownOf(document)), 'text/markdown; charset=utf-8', `${name}.md`);
          case 'zip': {
            const pictures = document.pictures.flatMap((picture) => {
              const kept = store.pictures.bytes(picture.id, 'large');
              return kept ? [[picture.id, kept] as const] : [];
            });
            const bytes = zipOf(patternFile(document, shelf()), markdownOf(document), new Map(pictures));
            return download(bytes, 'application/zip', `${name}.zip`);
          }
          default:
            throw new HttpProblem('query_invalid', { field: 'as' });
        }
      },
    },
    {
      method: 'post',
      path: '/pattern-files',
      summary:
        'Read a pattern from JSON, ZIP or Markdown: what is in it, and where it would go on this shelf',
      upload: '64mb',
      answers: [200],
      handle: async ({ bytes }) => {
        const { file, pictures } = readPatternFile(bytes, newId);
        const kept = new Map<string, string>();
        for (const { id } of file.pattern.pictures) {
          const content = pictures.get(id);
          if (content) kept.set(id, store.pictures.keep(newId(), await readPicture(content), at()).id);
          // A JSON file carries none; on the machine it comes from they are still there.
          else if (store.pictures.bytes(id, 'small')) kept.set(id, id);
        }
        const pattern = withPictures(file.pattern, kept);
        return {
          status: 200,
          body: {
            file: { ...file, pattern },
            mapping: proposeMapping(file, shelf()),
            lostPictures: file.pattern.pictures.length - pattern.pictures.length,
          },
        };
      },
    },
    {
      method: 'post',
      path: '/pattern-files/taken',
      summary: 'Take a read pattern in: a new draft, with what the shelf lacks put on it',
      body: BroughtIn,
      largestBody: '32mb',
      answers: [201],
      handle: ({ body }) => {
        const { file, mapping } = body as {
          file: PatternFile;
          mapping: { kind: 'fibre' | 'finding' | 'needle'; id: string; itemId: string | null }[];
        };
        const found = findPatternFile(JSON.stringify(file.pattern));
        if (!found.ok) throw new HttpProblem('file_not_read', { reason: found.refusal.code });
        const id = store.together(() => {
          const newIds = new Map<string, string>();
          for (const { kind, id: theirs, itemId } of mapping)
            newIds.set(theirs, itemId ?? putOn(kind, theirs, file));
          const known = (itemId: string) => store.items.kindOf(itemId) !== null;
          const pattern = mapShelf(file.pattern, (theirs) => {
            const own = newIds.get(theirs) ?? theirs;
            return known(own) ? own : null;
          });
          const problems = checkPattern(pattern);
          if (problems.length > 0) throw contentProblem('content_invalid', problems);
          const patternId = newId();
          store.patterns.insert(patternId, pattern, at());
          return patternId;
        });
        return { status: 201, body: store.patterns.find(id), location: `/api/patterns/${id}` };
      },
    },
  ];

  /** Puts a carried thing on the shelf; its new id. */
  function putOn(kind: 'fibre' | 'finding' | 'needle', id: string, { shelf: carried }: PatternFile): string {
    const [list, check] = {
      fibre: [carried.fibres, checkFibre] as const,
      finding: [carried.findings, checkFinding] as const,
      needle: [carried.needles, checkNeedle] as const,
    }[kind];
    const thing = list.find((one) => one.id === id);
    if (!thing) throw new HttpProblem('file_not_read', { reason: `nothing carried is called ${id}` });
    const problems = (check as (input: unknown) => ReturnType<typeof checkFibre>)(thing.is);
    if (problems.length > 0) throw contentProblem('content_invalid', problems);
    const own = newId();
    store.items.insert(own, writeOf(ITEM_SPECS[kind], thing.is), at());
    return own;
  }
}

const download = (bytes: Buffer, mime: string, name: string): Reply => ({
  status: 200,
  file: { bytes, mime, name },
});

/** Letters, numbers and hyphens: a name no system trips over. */
const fileNameOf = (title: string): string =>
  title
    .normalize('NFKD')
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-+|-+$/g, '')
    .slice(0, 60) || 'pattern';

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
