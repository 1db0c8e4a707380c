/** The lot one pack’s coat comes from: one for all while it lasts; what is left over says where it changes. */
export interface LotChange {
  /** Lots in the order they are used up. */
  readonly lots: readonly string[];
  /** The pack, by its place from 0, from which on the next lot is used; whole packs stay in one lot. */
  readonly fromPack: readonly number[];
}

/**
 * Where the lot changes in a fibre that is weighed for so many packs: a pack is never begun from what is left of a lot
 * that will not do for the whole of it.
 * @param packG what one pack takes, in the order they are weighed
 */
export function lotChanges(
  packG: readonly number[],
  lots: readonly { readonly name: string; readonly onHandG: number | null }[],
): LotChange | null {
  const held = lots.filter(({ onHandG }) => (onHandG ?? 0) > 0);
  if (held.length < 2) return null;
  const [used, fromPack]: [string[], number[]] = [[held[0]?.name ?? ''], []];
  let [lot, leftG] = [0, held[0]?.onHandG ?? 0];
  packG.forEach((massG, at) => {
    while (leftG < massG - 1e-9 && lot < held.length - 1) {
      lot += 1;
      leftG = held[lot]?.onHandG ?? 0;
      if (fromPack.at(-1) === at) used.pop();
      else fromPack.push(at);
      used.push(held[lot]?.name ?? '');
    }
    leftG -= massG;
  });
  return fromPack.length === 0 ? null : { lots: used, fromPack };
}
