import { type Length, toMm } from '../base/index.ts';
import type { DerivedSize, Part } from '../pattern/index.ts';
import { type SizeName, sizesOf, withSize } from '../shapes/index.ts';
import type { UnknownReason } from './unknown.ts';
import type { Wool } from './wool.ts';

/** A part with every size it has, given or derived; `fault` says why one could not be. */
export interface SizedPart {
  readonly part: Part;
  readonly fault: UnknownReason | null;
}

type Found = { readonly sizeMm: number } | { readonly fault: UnknownReason };

const isSizeName = (part: Part, name: string): name is SizeName => sizesOf(part.shape).has(name as SizeName);

/** Fills in sizes that follow from a bought or found thing or from another part. */
export function resolveSizes(parts: readonly Part[], wool: Wool): SizedPart[] {
  const byId = new Map(parts.map((part) => [part.id, part]));
  const sizeOf = (part: Part, name: string, way: readonly string[]): Found => {
    const key = `${part.id} ${name}`;
    if (way.includes(key)) return { fault: 'derived_circular' };
    const derived = part.derived.find(({ size }) => size === name);
    if (derived) return follow(derived, [...way, key]);
    const size: Length | null = isSizeName(part, name) ? (sizesOf(part.shape).get(name) ?? null) : null;
    return size ? { sizeMm: toMm(size) } : { fault: 'derived_unknown' };
  };
  const follow = (derived: DerivedSize, way: readonly string[]): Found => {
    if (derived.from === 'part') {
      const other = byId.get(derived.partId ?? '');
      const found = other ? sizeOf(other, derived.ofSize, way) : ({ fault: 'derived_unknown' } as const);
      return 'sizeMm' in found ? { sizeMm: found.sizeMm * derived.ratio } : found;
    }
    const measure = wool.findings.get(derived.findingId ?? '')?.measure;
    // Of things of which no two are alike it is made for the widest: what is too large can be felted smaller.
    const insideMm = measure?.by === 'count' ? (measure.innerHighMm ?? measure.innerMm) : null;
    return insideMm === null ? { fault: 'derived_unknown' } : { sizeMm: insideMm - toMm(derived.clearance) };
  };
  return parts.map((part) => fill(part, (name) => sizeOf(part, name, [])));
}

function fill(part: Part, sizeOf: (name: string) => Found): SizedPart {
  let { shape } = part;
  for (const { size } of part.derived) {
    if (!isSizeName(part, size)) continue;
    const found = sizeOf(size);
    if ('fault' in found) return { part, fault: found.fault };
    shape = withSize(shape, size, { value: Number(found.sizeMm.toPrecision(12)), unit: 'mm' });
  }
  return { part: shape === part.shape ? part : { ...part, shape }, fault: null };
}
