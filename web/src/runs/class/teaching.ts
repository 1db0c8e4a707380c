import type { OpenedRun } from '@lanakit/core/api';
import type { Clock, RoomNow, SeatBehind, ShowNow } from '@lanakit/core/classDay';
import type { Seat } from '@lanakit/core/run';
import type { Fibre } from '@lanakit/core/shelf';
import type { ActNames } from '../../words/classWords.ts';
import type { ClassHere } from './useClassDay.ts';

/** A class as it stands at this moment, for everything that shows a side of it. */
export interface Teaching {
  readonly run: OpenedRun;
  readonly here: ClassHere;
  readonly names: ActNames;
  readonly seatOf: (seatKey: string) => Seat | undefined;
  readonly fibreOf: (fibreId: string) => Fibre | undefined;
  readonly room: RoomNow;
  /** Null: nobody has said when it is. */
  readonly show: ShowNow | null;
  /** None where nobody marks pieces. */
  readonly behind: readonly SeatBehind[];
  readonly clock: Clock;
  /** Minutes of the clock. */
  readonly now: number;
  readonly nowMs: number;
}
