import { boundLength, toMm } from '../base/index.ts';
import { outlineFault } from './outline/outlineFault.ts';
import type { ShapeFault } from './problem.ts';
import { type Shape, type SizeName, sizesOf } from './shape.ts';

/**
 * What makes a shape impossible, each with its place. Missing sizes are no problem here: they are unknown.
 * @param pointer JSON pointer of the shape
 */
export function checkShape(shape: Shape, pointer: string): ShapeFault[] {
  const bounds = [...sizesOf(shape)].flatMap(([name, size]) => {
    // A taper may end in a point: nought is a size there.
    if (size === null || ((name === 'thinEnd' || name === 'wire') && size.value === 0)) return [];
    const bounded = boundLength(size);
    if (bounded.ok || bounded.refusal.code === 'length_not_read') return [];
    return [{ ...bounded.refusal, pointer: `${pointer}/${name}` }];
  });
  if (bounds.length > 0) return bounds;
  return [...checkTogether(shape, pointer), ...checkOutline(shape, pointer)];
}

/** An outline that was read here is sound; one that came with a document from elsewhere may not be. */
function checkOutline(shape: Shape, pointer: string): ShapeFault[] {
  if (shape.kind !== 'flat-outline' || shape.path === '') return [];
  const fault = outlineFault(shape.path);
  return fault ? [{ code: 'outline_unsound', pointer: `${pointer}/path`, fault }] : [];
}

/** By more than the noise of inches turned into millimetres: 1 in is 25.4 mm whatever the last bit says. */
const isLess = (aMm: number, bMm: number): boolean => aMm < bMm * (1 - 1e-12);

function checkTogether(shape: Shape, pointer: string): ShapeFault[] {
  const sizeMm = (name: SizeName) => {
    const size = sizesOf(shape).get(name);
    return size ? toMm(size) : null;
  };
  if (shape.kind === 'limb') {
    const [lengthMm, diameterMm] = [sizeMm('length'), sizeMm('diameter')];
    if (lengthMm !== null && diameterMm !== null && isLess(lengthMm, diameterMm)) {
      return [{ code: 'limb_shorter_than_wide', pointer: `${pointer}/length`, lengthMm, diameterMm }];
    }
  }
  if (shape.kind === 'taper' || shape.kind === 'coil') {
    const [thickMm, thinMm] = [sizeMm('thickEnd'), sizeMm('thinEnd')];
    if (thickMm !== null && thinMm !== null && isLess(thickMm, thinMm)) {
      return [{ code: 'taper_ends_swapped', pointer: `${pointer}/thinEnd`, thickMm, thinMm }];
    }
  }
  if (shape.kind === 'sleeve') {
    const [wireMm, diameterMm] = [sizeMm('wire'), sizeMm('diameter')];
    if (wireMm !== null && diameterMm !== null && wireMm >= diameterMm) {
      return [{ code: 'sleeve_thinner_than_wire', pointer: `${pointer}/diameter`, wireMm, diameterMm }];
    }
  }
  if (shape.kind === 'drop') {
    const [lengthMm, diameterMm] = [sizeMm('length'), sizeMm('diameter')];
    if (lengthMm !== null && diameterMm !== null && lengthMm <= diameterMm / 2) {
      return [{ code: 'drop_without_point', pointer: `${pointer}/length`, lengthMm, diameterMm }];
    }
  }
  if (shape.kind === 'plate' && shape.corner !== null) {
    const cornerMm = toMm(shape.corner);
    const narrowMm = Math.min(sizeMm('length') ?? Infinity, sizeMm('width') ?? Infinity);
    if (cornerMm < 0 || 2 * cornerMm > narrowMm + 1e-9) {
      return [{ code: 'corner_too_round', pointer: `${pointer}/corner`, cornerMm, narrowMm }];
    }
  }
  if (shape.kind === 'ring') {
    const [outerMm, ropeMm] = [sizeMm('outer'), sizeMm('rope')];
    if (outerMm !== null && ropeMm !== null && ropeMm * 2 >= outerMm) {
      return [{ code: 'ring_without_hole', pointer: `${pointer}/rope`, outerMm, ropeMm }];
    }
  }
  return [];
}
