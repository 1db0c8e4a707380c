import type { Wool } from '../engine/index.ts';
import { type PackGroup, type PairedThing, pairedThings } from '../run/index.ts';
import { pairWords } from '../words/index.ts';

/** A part of one make and the thing like no other that it goes into, in words. */
interface PairOfPack extends PairedThing {
  readonly makeAt: number;
  readonly words: string;
}

/** Every such pair in one pack of a group. */
export const pairsOfGroup = ({ makes }: PackGroup, { findings }: Pick<Wool, 'findings'>): PairOfPack[] =>
  makes.flatMap(({ build }, makeAt) =>
    pairedThings(build, findings).map((pair) => ({
      ...pair,
      makeAt,
      words: pairWords(
        pair,
        build.parts.find(({ id }) => id === pair.partId)?.name ?? '',
        findings.get(pair.findingId)?.name ?? '',
      ),
    })),
  );
