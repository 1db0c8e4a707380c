import { type Held, targetOf, type Together } from '@lanakit/core/figure';
import { type PlacedPiece } from '@lanakit/core/placing';
import type { Place, Placement, PlaceTarget } from '@lanakit/core/pattern';

/** What is chosen of a figure, by its key: a piece, or one thing that lies on it. */
export interface Chosen {
  readonly kind: 'piece' | 'detail';
  readonly key: string;
}

/** A thing that can be moved: where it is written, what it says, and on what it sits. */
export interface Grasp {
  readonly target: PlaceTarget;
  readonly placement: Placement;
  readonly isProposed: boolean;
  readonly held: Held;
  readonly host: PlacedPiece;
  /** The held place as this piece of a ring or a row has it. */
  readonly place: Place;
  /** Null: it lies on the surface. */
  readonly piece: PlacedPiece | null;
}

/** Null: it is the piece everything is set on, or it is gone. */
export function graspOf({ figure, details }: Together, chosen: Chosen | null): Grasp | null {
  if (chosen === null) return null;
  return chosen.kind === 'piece' ? graspPiece(figure.pieces, chosen.key) : graspDetail(details, chosen.key);
}

function graspPiece(pieces: readonly PlacedPiece[], key: string): Grasp | null {
  const piece = pieces.find((candidate) => candidate.key === key);
  const host = pieces.find((candidate) => candidate.key === piece?.set?.hostKey);
  if (!piece?.set || !host) return null;
  const { joinId, placement, isProposed, placeIndex, isImage } = piece.set;
  const place = placement.places[placeIndex];
  return place
    ? {
        target: { kind: 'join', joinId },
        placement,
        isProposed,
        held: { placeIndex, isImage },
        host,
        place,
        piece,
      }
    : null;
}

function graspDetail(details: Together['details'], key: string): Grasp | null {
  const detail = details.find((candidate) => candidate.key === key);
  const [spot] = detail?.spots ?? [];
  if (!detail || !spot) return null;
  const { placement, isProposed, host } = detail;
  const held = { placeIndex: spot.index, isImage: spot.isImage };
  return {
    target: targetOf(detail),
    placement,
    isProposed,
    held,
    host,
    place: placement.places[spot.index] ?? spot.place,
    piece: null,
  };
}
