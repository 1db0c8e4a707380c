import { placeOfCode, readLabelCode } from '../codes/labelCode.ts';
import { packedMark, type RunTick } from '../keep/tick.ts';
import { inMark, type PackLine } from './packLines.ts';

/** What a code comes to at the packing table. */
export type Scanned =
  | { readonly kind: 'no-code' }
  | { readonly kind: 'misread' }
  /** A label of another run, or of a pack or bag this one has no more. */
  | { readonly kind: 'not-here' }
  /** The pack itself: it is laid in front. */
  | { readonly kind: 'pack'; readonly packId: string }
  /** A bag that goes into it. */
  | { readonly kind: 'bag'; readonly packId: string; readonly line: PackLine }
  /** A bag of another pack than the one that is being packed: it must not go in. */
  | { readonly kind: 'wrong-pack'; readonly packId: string; readonly line: PackLine };

interface AtTable {
  readonly runId: string;
  /** By pack. */
  readonly lines: ReadonlyMap<string, readonly PackLine[]>;
  readonly ticks: ReadonlyMap<string, RunTick>;
  /** The pack in front of one. */
  readonly frontId: string;
}

/** @param text as it was scanned or typed */
export function scannedAt(text: string, { runId, lines, ticks, frontId }: AtTable): Scanned {
  const read = readLabelCode(text);
  if (read.kind !== 'code') return read;
  const packs = [...lines].map(([packId, inPack]) => ({
    packId,
    bagKeys: inPack.flatMap((line) => (line.kind === 'bag' ? [line.bag.key] : [])),
  }));
  const place = placeOfCode(read.code, runId, packs);
  if (!place) return { kind: 'not-here' };
  const { packId, bagKey } = place;
  const line = lines.get(packId)?.find((each) => each.kind === 'bag' && each.bag.key === bagKey);
  if (!line) return { kind: 'pack', packId };
  const isOther = packId !== frontId && isBegun(frontId, lines.get(frontId) ?? [], ticks);
  return { kind: isOther ? 'wrong-pack' : 'bag', packId, line };
}

/** Something lies in it, and it is not closed. */
const isBegun = (packId: string, lines: readonly PackLine[], ticks: ReadonlyMap<string, RunTick>): boolean =>
  ticks.get(packedMark(packId))?.isDone !== true &&
  lines.some(({ key }) => ticks.get(inMark(packId, key))?.isDone === true);
