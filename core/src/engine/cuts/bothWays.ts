import { type Length, type LengthUnit, MM_PER_INCH, toMm } from '../../base/index.ts';
import { type Cut, mmOrNull } from '../../pattern/index.ts';
import { handleAcrossMm, pouchBaseMm, rolledAcrossMm, sectorOf, tubeAcrossMm } from './bentPanels.ts';
import { frustumOfCut, handleLength, pouchSquare, rolledStrip, tubePanel } from './lengths.ts';

/** What is cut, where a maker may begin with it: the size of its shape then follows. */
export type CutSizeName = 'panel' | 'strip' | 'slant' | 'square' | 'length';

/** The size of a bent, folded or rolled thing as it is cut; null: it is none. `size` null: something is not said yet. */
export function cutSizeOf(
  cut: Cut,
  unit: LengthUnit,
): { readonly name: CutSizeName; readonly size: Length | null } | null {
  const found = sizeMmOf(cut);
  return (
    found && { name: found.name, size: found.mm === null ? null : { value: fine(found.mm, unit), unit } }
  );
}

function sizeMmOf(cut: Cut): { readonly name: CutSizeName; readonly mm: number | null } | null {
  switch (cut.kind) {
    case 'tube-panel':
      // Its height is nobody’s business here.
      return { name: 'panel', mm: tubePanel({ ...cut, height: ANY_LENGTH })?.lengthMm ?? null };
    case 'rolled-strip': {
      const strip = rolledStrip({ ...cut, length: ANY_LENGTH });
      return { name: 'strip', mm: strip?.kind === 'piece' ? strip.widthMm : null };
    }
    case 'cone-panel': {
      const frustum = frustumOfCut(cut);
      const slant = frustum && (sectorOf(frustum)?.slantMm ?? frustum.heightMm);
      return { name: 'slant', mm: slant };
    }
    case 'pouch-square':
      return { name: 'square', mm: pouchSquare(cut)?.lengthMm ?? null };
    case 'handle':
      return { name: 'length', mm: handleLength(cut) };
    default:
      return null;
  }
}

const ANY_LENGTH: Length = { value: 1, unit: 'mm' };

/** Why a size that is cut comes to no shape. */
export type NoShape = 'too_small' | 'sizes_missing';

/**
 * A bent, folded or rolled thing that is cut to a size: across, or how high its cone stands, follows.
 * @param size as typed; the shape's own size is kept in its unit
 */
export function cutToSize<C extends Cut>(cut: C, size: Length): C | NoShape {
  const mm = toMm(size);
  const typed = (value: number | null): Length | null =>
    value === null ? null : { value: fine(value, size.unit), unit: size.unit };
  switch (cut.kind) {
    case 'tube-panel': {
      const diameter = typed(tubeAcrossMm(mm, mmOrNull(cut.overlap) ?? 0));
      return diameter ? { ...cut, diameter } : 'too_small';
    }
    case 'rolled-strip': {
      const sheetMm = mmOrNull(cut.sheetThickness);
      return sheetMm ? { ...cut, diameter: typed(rolledAcrossMm(mm, sheetMm)) } : 'sizes_missing';
    }
    case 'cone-panel': {
      const [bottom, top] = [mmOrNull(cut.bottomDiameter), mmOrNull(cut.topDiameter)];
      if (bottom === null || top === null) return 'sizes_missing';
      const squared = mm ** 2 - ((bottom - top) / 2) ** 2;
      return squared > 0 ? { ...cut, height: typed(Math.sqrt(squared)) } : 'too_small';
    }
    case 'pouch-square': {
      const wall = mmOrNull(cut.wall);
      if (wall === null) return 'sizes_missing';
      const base = typed(pouchBaseMm(mm, wall));
      return base ? { ...cut, base } : 'too_small';
    }
    case 'handle': {
      const diameter = typed(handleAcrossMm(mm, mmOrNull(cut.tuck) ?? 0));
      return diameter ? { ...cut, diameter } : 'too_small';
    }
    default:
      return 'sizes_missing';
  }
}

/** To a hundredth of a millimetre: what a knife cannot follow is not written down. */
const fine = (mm: number, unit: LengthUnit): number =>
  unit === 'mm' ? Math.round(mm * 100) / 100 : Math.round((mm / MM_PER_INCH) * 10_000) / 10_000;
