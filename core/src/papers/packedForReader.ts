import {
  bagOfWool,
  type Make,
  type PackedRun,
  type PackedWool,
  sparesInPacks,
  woolInPacks,
} from '../run/index.ts';
import type { Wool } from '../engine/index.ts';
import { bagWords, type NeedLine, packedWoolWords, PREPARATION_WORDS, showWeighed } from '../words/index.ts';

/** Wool of packs, as it was weighed, for whoever reads the pattern with the pack beside it. */
export interface Packed {
  readonly wool: readonly PackedWool[];
  /** What is written on the bag that a use of wool lies in; nothing where there is only one bag. */
  readonly bagOf: ReadonlyMap<string, string>;
  readonly scaleStepG: number;
  /** Of each finding so many in every pack are spare, by its id. */
  readonly spares: ReadonlyMap<string, number>;
  /** Makes that the wool of one pack is for. */
  readonly copies: number;
  readonly hasSpareBag: boolean;
  /** Colours of what is not chosen yet lie out for them. */
  readonly hasLaidOut: boolean;
}

/** What the bags of a sheet hold, as they are weighed out. @param numbers of the seats or boxes it is for */
export function packedForReader(
  { plan, input, toPack, wool }: PackedRun,
  make: Make,
  numbers: readonly number[],
): Packed {
  const fibreName = (id: string) => wool.fibres.get(id)?.name ?? '';
  const { groups } = toPack;
  return {
    bagOf: new Map(
      [...bagOfWool(toPack, make, numbers)].map(([useId, { bag, group }]) => [
        useId,
        bagWords(bag, group, fibreName) || 'the figure’s bag',
      ]),
    ),
    wool: woolInPacks(plan, groups, make, numbers),
    spares: sparesInPacks(toPack, make, numbers, wool.findings, input),
    scaleStepG: input.scaleStepG,
    copies: make.copies,
    hasSpareBag: plan.bags.some(({ holds }) => holds.kind === 'spare-bag'),
    hasLaidOut: groups.some(({ isOpen, seats }) => isOpen && seats.some((seat) => numbers.includes(seat))),
  };
}

/** Wool as it lies in the bag. */
export const packedWoolLines = ({ wool: inBag, scaleStepG }: Packed, { fibres }: Wool): NeedLine[] =>
  inBag.map((packedWool) => {
    const fibre = fibres.get(packedWool.fibreId);
    const ifNeeded =
      packedWool.ifNeededG > 0 ? `${showWeighed(packedWool.ifNeededG, scaleStepG)} of it only if needed` : '';
    return {
      key: packedWool.fibreId,
      fibreId: packedWool.fibreId,
      name: fibre?.name ?? 'not chosen yet',
      about: [fibre ? PREPARATION_WORDS[fibre.preparation] : '', ifNeeded]
        .filter((words) => words !== '')
        .join(', '),
      amount: packedWoolWords(packedWool, scaleStepG),
    };
  });
