import { missingForPublishing, type Pattern, workMinutes } from '../../pattern/index.ts';
import type { BookletTerms } from './terms.ts';

/** What a booklet lacks that its reader would look for. */
export type MissingInBooklet =
  | { readonly kind: 'unknown'; readonly count: number }
  | { readonly kind: 'no-words'; readonly steps: readonly number[] }
  | { readonly kind: 'untimed'; readonly steps: readonly number[] }
  | { readonly kind: 'no-picture'; readonly steps: readonly number[] }
  | { readonly kind: 'no-alt'; readonly count: number }
  | { readonly kind: 'no-prerequisites' }
  | { readonly kind: 'no-steps' };

/** @param build as it is made */
export function missingInBooklet(build: Pattern, { parts, hasPictures }: BookletTerms): MissingInBooklet[] {
  const unknown = missingForPublishing(build).length;
  const numbers = (wanted: (step: Pattern['steps'][number]) => boolean) =>
    build.steps.flatMap((step, at) => (wanted(step) ? [at + 1] : []));
  const wordless = numbers(({ text }) => text.trim() === '');
  const untimed = numbers((step) => workMinutes(step, build) === null);
  const bare = numbers(({ id, pictures }) => pictures.length === 0 && !build.drawnStepIds.includes(id));
  const shown = new Set(build.steps.flatMap(({ pictures }) => pictures.map(({ pictureId }) => pictureId)));
  const silent = build.pictures.filter(({ id, alt }) => shown.has(id) && alt.trim() === '').length;
  const hasSteps = parts.includes('steps');
  return [
    ...(unknown > 0 ? [{ kind: 'unknown' as const, count: unknown }] : []),
    ...(hasSteps && build.steps.length === 0 ? [{ kind: 'no-steps' as const }] : []),
    ...(hasSteps && wordless.length > 0 ? [{ kind: 'no-words' as const, steps: wordless }] : []),
    ...(hasSteps && untimed.length > 0 ? [{ kind: 'untimed' as const, steps: untimed }] : []),
    ...(hasSteps && hasPictures && bare.length > 0 ? [{ kind: 'no-picture' as const, steps: bare }] : []),
    ...(hasPictures && silent > 0 ? [{ kind: 'no-alt' as const, count: silent }] : []),
    ...(parts.includes('before') && build.prerequisites.trim() === ''
      ? [{ kind: 'no-prerequisites' as const }]
      : []),
  ];
}
