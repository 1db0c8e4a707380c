import { checkPart, isWool, type Part, type WoolUse } from '../pattern/index.ts';
import { bodyOfWool, type Solid, solidOf } from '../shapes/index.ts';
import type { SizedPart } from './derivedSizes.ts';
import { laidPart } from './laidPart.ts';
import { layeredPart } from './layeredPart.ts';
import type { PartSurroundings } from './partSurroundings.ts';
import type { PartWorking } from './partWorking.ts';
import type { UnknownReason } from './unknown.ts';
import { alsoStatedOf, fibreOf, oftenOf, stateOf, type UseWorking } from './useWorking.ts';

/** Works one part out. Never throws: what cannot be worked out is unknown, with its reason. */
export function calculatePart(sized: SizedPart, around: PartSurroundings): PartWorking {
  const { part } = sized;
  const uses = part.uses.filter(isWool);
  const body = bodyOf(sized, uses, around);
  if (body.kind === 'unknown') return unknownPart(part, uses, body.reason, around);
  return body.kind === 'solid' ? layeredPart(part, uses, body.solid, around) : laidPart(part, uses, around);
}

/** Parts looked at before: an edit makes a new one of the part it changes, and of no other. */
const possible = new WeakMap<Part, boolean>();

/** A name that is missing makes no number impossible. */
function isPossible(part: Part): boolean {
  const known = possible.get(part);
  if (known !== undefined) return known;
  const is = checkPart(part, '').every(({ pointer }) => pointer === '/name');
  possible.set(part, is);
  return is;
}

type Body =
  | { readonly kind: 'solid'; readonly solid: Solid }
  | { readonly kind: 'laid' }
  | { readonly kind: 'unknown'; readonly reason: UnknownReason };

function bodyOf({ part, fault }: SizedPart, uses: readonly WoolUse[], around: PartSurroundings): Body {
  const unknown = (reason: UnknownReason): Body => ({ kind: 'unknown', reason });
  if (fault) return unknown(fault);
  if (!isPossible(part)) return unknown('part_impossible');
  if (part.shape.kind === 'by-grams') return bodyByGrams(part, uses, around);
  const result = solidOf(part.shape);
  switch (result.kind) {
    case 'solid':
      return result;
    case 'sizes-missing':
      return unknown('sizes_missing');
    case 'outline-missing':
      return unknown('outline_missing');
    case 'by-wool':
      return { kind: 'laid' };
  }
}

/** A piece whose finished mass is said: the ball that it would be. */
function bodyByGrams(part: Part, uses: readonly WoolUse[], around: PartSurroundings): Body {
  const massG = part.shape.kind === 'by-grams' ? part.shape.massG : null;
  if (massG === null) return { kind: 'unknown', reason: 'weight_missing' };
  const core = uses.find(({ role }) => role === 'core');
  const fibre = core ? fibreOf(core.fibreId, around.wool) : null;
  const { value } = around.calibration.finished(typeof fibre === 'object' ? fibre : null, part.firmness);
  return { kind: 'solid', solid: bodyOfWool(part.shape, (massG / value) * 1000) };
}

/** Of what cannot be worked out nothing is taught. */
const UNTAUGHT = { times: 1, sigma: 0, samples: 0 };

function unknownPart(
  part: Part,
  uses: readonly WoolUse[],
  reason: UnknownReason,
  around: PartSurroundings,
): PartWorking {
  const workings = uses.map((use): UseWorking => {
    const fibre = fibreOf(use.fibreId, around.wool);
    return {
      use,
      fibre,
      calculated: { kind: 'unknown', reason },
      stated: stateOf(use, fibre, around, null),
      alsoStated: alsoStatedOf(use, fibre, around, null),
      often: oftenOf(use),
      coat: null,
      hair: null,
      felted: UNTAUGHT,
      laid: UNTAUGHT,
    };
  });
  return { part, uses: workings, solid: null, layers: null, rollUp: null };
}
