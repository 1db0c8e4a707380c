import { type Static, Type } from '@sinclair/typebox';
import { oneOf, strict } from '../base/index.ts';
import { FIRMNESSES, HAND_MEASURES, PACKINGS } from '../shelf/index.ts';

const Posterior = {
  ln: Type.Number({ description: 'ln of the factor on what is usual' }),
  sigma: Type.Number({ description: 'σ of that' }),
  samples: Type.Integer(),
};
const fibreId = Type.String({ maxLength: 60 });

/**
 * What was learnt, as it is in force: plain, so that a run keeps what it was planned with. Everything that is not in it is as
 * it was before anything was weighed.
 */
export const Learnt = Type.Object(
  {
    /** The studio’s own hands, in everything they felt. */
    maker: Type.Object(Posterior, strict),
    /** What a fibre does at a firmness, the maker’s hands in it. */
    felted: Type.Array(
      Type.Object(
        {
          fibreId,
          firmness: oneOf(FIRMNESSES),
          ...Posterior,
          makerSlope: Type.Number({ description: 'how much of the maker’s own error is left in it, 0–1' }),
        },
        strict,
      ),
    ),
    hiding: Type.Array(Type.Object({ fibreId, ...Posterior }, strict)),
    hair: Type.Array(Type.Object({ fibreId, ...Posterior }, strict)),
    packed: Type.Array(Type.Object({ packing: oneOf(PACKINGS), ...Posterior }, strict)),
    hands: Type.Array(
      Type.Object(
        {
          name: oneOf(HAND_MEASURES),
          massG: Type.Number({ description: 'what one of them is' }),
          sigma: Type.Number({ description: 'σ of ln of one of them' }),
          samples: Type.Integer(),
        },
        strict,
      ),
    ),
    /** Minutes against what is usual for so practised a hand. */
    skills: Type.Array(Type.Object({ skill: Type.String({ maxLength: 20 }), ...Posterior }, strict)),
    acts: Type.Array(Type.Object({ act: Type.String({ maxLength: 60 }), ...Posterior }, strict)),
    /** The maker’s own minutes against those in the patterns. */
    pace: Type.Object(Posterior, strict),
  },
  strict,
);
export type Learnt = Static<typeof Learnt>;
