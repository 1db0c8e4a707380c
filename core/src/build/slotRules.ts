import type { Wool } from '../engine/index.ts';
import { type FibreSlot, isWool, type Pattern } from '../pattern/index.ts';
import { lightness } from '../shelf/index.ts';

/** A slot whose fibre is not as dark, or as light, as its rule asks. */
export interface DarkRule {
  readonly slotId: string;
  readonly thanSlotId: string;
  readonly is: 'darker' | 'lighter';
  /** Null: the pattern as it is written. */
  readonly colourwayId: string | null;
  /** L* of the two, 0 black to 100 white. */
  readonly lightness: number;
  readonly thanLightness: number;
}

/** So much apart before an eye at arm’s length tells one from the other: L*, ours. */
const APART = 5;

/** The fibre a slot holds as the pattern is written: that of its first place. */
export function writtenFibre(slot: FibreSlot, { parts, joins }: Pattern): string | null {
  const [place] = slot.places;
  if (!place) return null;
  if (place.kind === 'join') return joins.find(({ id }) => id === place.id)?.cover?.fibreId ?? null;
  const use = parts.flatMap(({ uses }) => uses).find(({ id }) => id === place.id);
  return use && isWool(use) ? use.fibreId : null;
}

/** Every rule that some colourway, or the pattern as it is written, goes against. */
export function darkerThan(pattern: Pattern, wool: Wool): DarkRule[] {
  const colourways = [
    { id: null, fills: [] as { slotId: string; fibreId: string }[] },
    ...pattern.colourways,
  ];
  return colourways.flatMap(({ id: colourwayId, fills }) => {
    const lightnessIn = (slotId: string): number | null => {
      const slot = pattern.slots.find(({ id }) => id === slotId);
      const fibreId =
        fills.find((fill) => fill.slotId === slotId)?.fibreId ?? (slot && writtenFibre(slot, pattern));
      const colour = wool.fibres.get(fibreId ?? '')?.colour;
      return colour === undefined ? null : lightness(colour);
    };
    return pattern.slots.flatMap((slot): DarkRule[] => {
      if (!slot.rule) return [];
      const { is, thanSlotId } = slot.rule;
      const [lightness, than] = [lightnessIn(slot.id), lightnessIn(thanSlotId)];
      if (lightness === null || than === null) return [];
      const isKept = is === 'darker' ? lightness <= than - APART : lightness >= than + APART;
      return isKept
        ? []
        : [{ slotId: slot.id, thanSlotId, is, colourwayId, lightness: lightness, thanLightness: than }];
    });
  });
}
