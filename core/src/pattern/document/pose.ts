import { type Static, Type } from '@sinclair/typebox';
import { discriminated, Id, orUnknown, strict } from '../../base/index.ts';
import { Placement, Stance } from './placement.ts';

/** What of a pattern has a place: the pieces of a join, a detail, a part that is laid on another, a bought thing, something cut. */
export const PlaceTarget = discriminated('kind', [
  Type.Object({ kind: Type.Literal('join'), joinId: Id }, strict),
  Type.Object({ kind: Type.Literal('use'), partId: Id, useId: Id }, strict),
  Type.Object({ kind: Type.Literal('laid'), partId: Id }, strict),
  Type.Object({ kind: Type.Literal('finding'), findingUseId: Id }, strict),
  Type.Object({ kind: Type.Literal('cut'), cutId: Id }, strict),
]);
export type PlaceTarget = Static<typeof PlaceTarget>;

/** The figure otherwise: it sits, it lies, it turns its head. What it does not name stays as it is written. */
export const Pose = Type.Object(
  {
    id: Id,
    name: Type.String({ maxLength: 80 }),
    stance: orUnknown(Stance),
    places: Type.Array(Type.Object({ of: PlaceTarget, placement: Placement }, strict), { maxItems: 200 }),
  },
  strict,
);
export type Pose = Static<typeof Pose>;
