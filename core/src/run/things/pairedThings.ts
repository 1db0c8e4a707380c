import type { Pattern } from '../../pattern/index.ts';
import type { Finding } from '../../shelf/index.ts';

/** A part that is made to go into a found thing of which no two are alike: the two of one pack belong together. */
export interface PairedThing {
  readonly partId: string;
  readonly findingId: string;
  /** The narrowest and the widest of them inside, mm; the part is made for the widest. Null: not measured. */
  readonly insideMm: { readonly least: number; readonly most: number } | null;
}

/** Every part of a build with the found thing it goes into. */
export function pairedThings(
  { parts }: Pick<Pattern, 'parts'>,
  findings: ReadonlyMap<string, Finding>,
): PairedThing[] {
  return parts.flatMap(({ id, derived }) =>
    derived.flatMap((size): PairedThing[] => {
      const finding = size.from === 'finding' ? findings.get(size.findingId ?? '') : undefined;
      if (finding?.measure.by !== 'count' || !finding.measure.sizeVaries) return [];
      const { innerMm, innerHighMm } = finding.measure;
      return [
        {
          partId: id,
          findingId: finding.id,
          insideMm: innerMm === null ? null : { least: innerMm, most: innerHighMm ?? innerMm },
        },
      ];
    }),
  );
}
