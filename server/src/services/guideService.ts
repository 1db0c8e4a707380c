import { estimatePattern, type Wool } from '@lanakit/core/engine';
import { lookOfBuild } from '@lanakit/core/figure';
import {
  figureAtTrueSize,
  guideOf,
  guideOfPattern,
  guideOfRun,
  type GuideRequest,
  piecesSvg,
} from '@lanakit/core/papers';
import { type Choices, itemsUsed, type Pattern } from '@lanakit/core/pattern';
import type { PageSize } from '@lanakit/core/run';
import { todayOf, type WorkDeps } from './deps.ts';
import { slugOf } from './fileNames.ts';
import type { OutFile } from './patternFileService.ts';
import { answering, foundOr, Refusal } from './refusal.ts';
import { inForceOf } from './runInForce.ts';
import { designsOf, shelfOf } from './runSources.ts';

export type GuideService = ReturnType<typeof guideService>;

/** Of which build of a pattern. */
export interface GuideBuildAsked {
  /** Null: the draft. */
  readonly revisionId: string | null;
  readonly choices: Choices;
  /** Of the size as written, linear. */
  readonly sizeFraction: number;
}

/** On which paper, and as what: one page as SVG, from 1, or null for all of it as PDF. */
export interface GuideSetting {
  readonly page: PageSize;
  readonly sheet: number | null;
}

/** The guide at true size, of a pattern and of a run. */
export function guideService({ store, now, work }: WorkDeps) {
  const set = async (
    name: string,
    make: () => { readonly request: GuideRequest; readonly wool: Wool },
    { page, sheet }: GuideSetting,
    signal?: AbortSignal,
  ): Promise<OutFile> => {
    const bytes = await work.setGuide(() => {
      const { request, wool } = make();
      return { request, wool: woolFor(request, wool), page, sheet };
    }, signal);
    if (!bytes) throw new Refusal({ code: 'not_found' });
    const slug = slugOf(name, 60) || 'figure';
    return sheet === null
      ? { bytes, mime: 'application/pdf', name: `${slug}-guide.pdf` }
      : { bytes, mime: 'image/svg+xml', name: `${slug}-guide-${sheet}.svg` };
  };
  const documentOf = (id: string, revisionId: string | null): Pattern => {
    if (revisionId === null) return foundOr(store.patterns.find(id)).document;
    const revision = foundOr(store.patterns.findRevision(revisionId));
    if (revision.patternId !== id) throw new Refusal({ code: 'not_found' });
    return revision.document;
  };
  return answering({
    /** @param signal nobody waits for it any more */
    async ofPattern(id: string, asked: GuideBuildAsked, setting: GuideSetting, signal?: AbortSignal) {
      const { title } = documentOf(id, asked.revisionId);
      const make = () => {
        const whole = documentOf(id, asked.revisionId);
        const request = guideOfPattern(whole, asked.choices, asked.sizeFraction);
        return { request, wool: shelfOf(store) };
      };
      return set(title, make, setting, signal);
    },
    /** The figure together, or all its pieces, as one drawing at true size. */
    drawing(id: string, which: 'figure' | 'pieces', asked: GuideBuildAsked): OutFile {
      const whole = documentOf(id, asked.revisionId);
      const request = guideOfPattern(whole, asked.choices, asked.sizeFraction);
      const wool = shelfOf(store);
      const svg = which === 'figure' ? figureOf(request, whole, wool) : piecesOf(request, wool);
      if (svg === null) throw new Refusal({ code: 'not_found' });
      const bytes = Buffer.from(svg, 'utf8');
      return { bytes, mime: 'image/svg+xml', name: `${slugOf(whole.title, 60) || 'figure'}-${which}.svg` };
    },
    /** @param pack number of a seat or box; null: all of them */
    async ofRun(runId: string, pack: number | null, setting: GuideSetting, signal?: AbortSignal) {
      const { name } = foundOr(store.runs.find(runId));
      const make = () => {
        const { packed } = inForceOf(store, foundOr(store.runs.find(runId)), todayOf(now()));
        const request = guideOfRun(designsOf(store, packed.input), packed.input, pack);
        if (!request) throw new Refusal({ code: 'not_found' });
        return { request, wool: packed.wool };
      };
      return set(name, make, setting, signal);
    },
  });
}

/** Null: nothing of it can be put together. */
function figureOf({ builds: [first] }: GuideRequest, whole: Pattern, wool: Wool): string | null {
  if (!first) return null;
  return figureAtTrueSize(lookOfBuild(first.build, estimatePattern(first.build, wool), wool, whole));
}

/** Null: nothing of it can be drawn. */
function piecesOf(request: GuideRequest, wool: Wool): string | null {
  const { pages } = guideOf(request, wool, 'a4');
  return pages.length === 0 ? null : piecesSvg(pages, 'a4');
}

/** Only what the builds name: the shelf of a large studio is not carried into a thread. */
function woolFor({ builds }: GuideRequest, { fibres, findings, learnt }: Wool): Wool {
  const ids = new Set(builds.flatMap(({ build }) => itemsUsed(build)));
  const kept = <T>(things: ReadonlyMap<string, T>) => new Map([...things].filter(([id]) => ids.has(id)));
  return { fibres: kept(fibres), findings: kept(findings), handMeasures: [], learnt };
}
