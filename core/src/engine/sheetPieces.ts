import { countRange, isWool, mmOrNull, type Part, type Pattern, type Use } from '../pattern/index.ts';
import type { Solid } from '../shapes/index.ts';
import type { Fibre } from '../shelf/index.ts';
import { boxOfTemplate, type TemplatePoints, templateOf } from './cuts/templateOutline.ts';
import type { FibreLookup } from './wool.ts';

/** Felt or pre-felt that is used as wool, as it is cut from its sheet: by the box round it; for one make. */
export interface SheetPiece {
  readonly fibreId: string;
  readonly useId: string;
  /** Of the part it is for. */
  readonly name: string;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly count: number;
  /** Cut round by its outline; null: its box. */
  readonly outline: TemplatePoints | null;
}

const SHEETS: ReadonlySet<Fibre['preparation']> = new Set(['felt', 'pre-felt']);

/** Comes as a sheet that pieces are cut of. */
export const isSheet = ({ preparation }: Pick<Fibre, 'preparation'>): boolean => SHEETS.has(preparation);

/**
 * Every piece of felt or pre-felt whose shape is known. What is only stated by the gram, or has no size yet, is no piece: it
 * is torn or trimmed from what there is.
 * @param solids by part id
 */
export function sheetPiecesOf(
  { parts }: Pick<Pattern, 'parts'>,
  solids: ReadonlyMap<string, Solid>,
  fibres: FibreLookup,
): SheetPiece[] {
  return parts.flatMap((part) => {
    const made = countRange(part.count)?.high ?? null;
    if (made === null) return [];
    return part.uses.flatMap((use): SheetPiece[] => {
      if (!isWool(use) || use.isIfNeeded || use.fibreId === null) return [];
      const fibre = fibres.get(use.fibreId);
      const size = fibre && isSheet(fibre) ? boxOf(use, part, solids.get(part.id)) : null;
      const each = 'count' in use ? (countRange(use.count)?.high ?? null) : 1;
      return size && each !== null
        ? [{ fibreId: use.fibreId, useId: use.id, name: part.name, ...size, count: made * each }]
        : [];
    });
  });
}

type Box = Pick<SheetPiece, 'lengthMm' | 'widthMm' | 'outline'>;

const box = (length: Parameters<typeof mmOrNull>[0], width: Parameters<typeof mmOrNull>[0]): Box | null => {
  const [lengthMm, widthMm] = [mmOrNull(length), mmOrNull(width)];
  return lengthMm === null || widthMm === null ? null : { lengthMm, widthMm, outline: null };
};

/** As its author says it is cut; else by what it is. */
function boxOf(use: Extract<Use, { amount: unknown }>, part: Part, solid: Solid | undefined): Box | null {
  if (use.amount?.form === 'sheet') return box(use.amount.length, use.amount.width);
  // Any other amount says grams, and no shape.
  if (use.amount !== null) return null;
  switch (use.role) {
    case 'patch':
      return box(use.length, use.width);
    case 'dot':
      return box(use.diameter, use.diameter);
    case 'coat':
      return use.cover.kind === 'patch' ? box(use.cover.length, use.cover.width) : null;
    case 'core':
      return flatBox(part, solid);
    default:
      return null;
  }
}

const FLAT: ReadonlySet<Part['shape']['kind']> = new Set(['flat-ellipse', 'flat-outline', 'plate']);

/** Of what is flat its outline’s box; what is laid on another part by its own sizes. */
function flatBox({ shape }: Part, solid: Solid | undefined): Box | null {
  if (shape.kind === 'patch') return box(shape.length, shape.width);
  if (!FLAT.has(shape.kind) || !solid) return null;
  // Turned by a quarter, not mirrored: its length lies along the sheet.
  const outline = templateOf(solid.outline().map(([x, y]) => [y, solid.widthMm - x] as const));
  return { ...boxOfTemplate(outline), outline };
}
