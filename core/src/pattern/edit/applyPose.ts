import { isEqual } from '../../base/index.ts';
import type { Pattern } from '../document/pattern.ts';
import type { Placement, Stance } from '../document/placement.ts';
import type { PlaceTarget, Pose } from '../document/pose.ts';
import { placedThing } from './setPlacement.ts';

/** A pattern in a pose: what the pose does not name stays; what it names and is not there is left out. */
export function applyPose(pattern: Pattern, pose: Pose): Pattern {
  const posed: Pattern = {
    ...pattern,
    stance: pose.stance ?? pattern.stance,
    parts: pattern.parts.map((part) => ({ ...part, uses: part.uses.map((use) => ({ ...use })) })),
    joins: pattern.joins.map((join) => ({ ...join })),
    findings: pattern.findings.map((finding) => ({ ...finding })),
    cuts: pattern.cuts.map((cut) => ({ ...cut, seat: cut.seat && { ...cut.seat } })),
  };
  let hasMoved = false;
  for (const { of, placement } of pose.places) {
    const thing = placedThing(posed, of);
    if (!thing) continue;
    thing.placement = placement;
    hasMoved = true;
  }
  // Nothing that was not moved is another thing: what is drawn of it stays drawn.
  return hasMoved ? posed : { ...pattern, stance: posed.stance };
}

/** Puts one place into a pose, over the one it had. The pose’s own, to be changed. */
export function placeInPose(pose: Pose, of: PlaceTarget, placement: Placement): void {
  const known = pose.places.find((place) => isEqual(place.of, of));
  if (known) known.placement = placement;
  else pose.places.push({ of, placement });
}

/** A pose that begins as the figure is written. */
export const blankPose = (id: string, name: string, stance: Stance | null): Pose => ({
  id,
  name,
  stance,
  places: [],
});
