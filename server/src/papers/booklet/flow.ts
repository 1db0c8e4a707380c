import { heightOf, type Unit } from './units.ts';

/** Where units are set, one column after the other. */
export interface Room {
  /** So much is left in this column. */
  readonly leftPt: () => number;
  /** Of a whole column. */
  readonly columnPt: number;
  readonly isAtTop: () => boolean;
  readonly nextColumn: () => void;
  readonly nextPage: () => void;
  readonly place: (unit: Unit, isRepeat: boolean) => void;
}

/**
 * Sets units in columns: what keeps together is moved on as a whole, unless a column cannot hold it; then it is broken where it
 * must be.
 */
export function flow(units: readonly Unit[], room: Room): void {
  let at = 0;
  while (at < units.length) {
    let end = at;
    while (units[end]?.keepsNext && end < units.length - 1 && !units[end + 1]?.isNewPage) end += 1;
    set(units.slice(at, end + 1), room);
    at = end + 1;
  }
}

function set(chunk: readonly Unit[], room: Room): void {
  if (chunk[0]?.isNewPage && !room.isAtTop()) room.nextPage();
  const wantedPt = heightOf(chunk) + (room.isAtTop() ? 0 : (chunk[0]?.abovePt ?? 0));
  if (wantedPt > room.leftPt() + 1e-6 && !room.isAtTop() && heightOf(chunk) <= room.columnPt)
    room.nextColumn();
  for (const unit of chunk) {
    const abovePt = room.isAtTop() ? 0 : unit.abovePt;
    if (unit.heightPt + abovePt > room.leftPt() + 1e-6 && !room.isAtTop()) room.nextColumn();
    if (room.isAtTop() && unit.repeated) room.place(unit.repeated, true);
    room.place(unit, false);
  }
}
