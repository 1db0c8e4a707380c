import type { At, BaseProblem } from '../../base/index.ts';

/** What is wrong with a thing of the shelf. */
export type ShelfProblem =
  | BaseProblem
  | (At &
      (
        | { readonly code: 'colour_not_read'; readonly text: string }
        | { readonly code: 'name_taken'; readonly name: string }
        | { readonly code: 'inner_over_outer'; readonly innerMm: number; readonly outerMm: number }
        /** `leastMm` null: only the widest is said. */
        | { readonly code: 'inner_range_reversed'; readonly leastMm: number | null }
        | { readonly code: 'needle_nameless' }
        | { readonly code: 'pack_twice' }
        | { readonly code: 'break_out_of_order' }
        | { readonly code: 'break_dearer' }
        | { readonly code: 'assortment_empty' }
        | { readonly code: 'content_twice' }
        | { readonly code: 'blend_empty' }
        | { readonly code: 'part_twice' }
        | { readonly code: 'fibre_not_found'; readonly fibreId: string }
        /** The names on the way round, the first and the last the same. */
        | { readonly code: 'blend_circular'; readonly names: readonly string[] }
      ));
