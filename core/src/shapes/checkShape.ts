import type { Problem } from '../problems/index.ts';
import { boundLength, toMm } from '../units/index.ts';
import { sizesOf, type Shape, type SizeName } from './shape.ts';

/**
 * What makes a shape impossible, each with its place. Missing sizes are no problem here: they are unknown.
 * @param pointer JSON pointer of the shape
 */
export function checkShape(shape: Shape, pointer: string): Problem[] {
  const bounds = [...sizesOf(shape)].flatMap(([name, size]) => {
    // A taper may end in a point: nought is a size there.
    if (size === null || (name === 'thinEnd' && size.value === 0)) return [];
    const bounded = boundLength(size);
    if (bounded.ok || bounded.refusal.code === 'length_not_read') return [];
    return [{ ...bounded.refusal, pointer: `${pointer}/${name}` }];
  });
  return bounds.length > 0 ? bounds : checkTogether(shape, pointer);
}

function checkTogether(shape: Shape, pointer: string): Problem[] {
  const sizeMm = (name: SizeName) => {
    const size = sizesOf(shape).get(name);
    return size ? toMm(size) : null;
  };
  if (shape.kind === 'limb') {
    const [lengthMm, diameterMm] = [sizeMm('length'), sizeMm('diameter')];
    if (lengthMm !== null && diameterMm !== null && lengthMm < diameterMm) {
      return [{ code: 'limb_shorter_than_wide', pointer: `${pointer}/length`, lengthMm, diameterMm }];
    }
  }
  if (shape.kind === 'taper') {
    const [thickMm, thinMm] = [sizeMm('thickEnd'), sizeMm('thinEnd')];
    if (thickMm !== null && thinMm !== null && thinMm > thickMm) {
      return [{ code: 'taper_ends_swapped', pointer: `${pointer}/thinEnd`, thickMm, thinMm }];
    }
  }
  if (shape.kind === 'drop') {
    const [lengthMm, diameterMm] = [sizeMm('length'), sizeMm('diameter')];
    if (lengthMm !== null && diameterMm !== null && lengthMm <= diameterMm / 2) {
      return [{ code: 'drop_without_point', pointer: `${pointer}/length`, lengthMm, diameterMm }];
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
