import { avoidedBy, choiceOfSeat, type Seat, seatName } from '@lanakit/core/run';
import { FIBRE_FLAG_WORDS } from '@lanakit/core/words';
import { revisionOfSeat, type ShownRun } from './useRunPlan.ts';

/** What stands in the way of this seat’s pack. */
export function seatFindings(seat: Seat, runPlan: ShownRun): string[] {
  const { groups, wool } = runPlan;
  const revision = revisionOfSeat(runPlan, seat);
  const choice = choiceOfSeat(revision.document, seat);
  const group = groups.find(({ seats }) => seats.includes(seat.seat));
  const avoided = group ? avoidedBy(seat, group.build, wool) : [];
  return [
    ...(choice.kind === 'gone'
      ? [
          `${seatName(seat)} chose something that revision ${revision.number} does not have; the usual is packed until it is chosen anew.`,
        ]
      : []),
    ...(choice.kind === 'forbidden'
      ? [
          `What ${seatName(seat)} chose does not go together${choice.limit.reason ? `: ${choice.limit.reason}` : ''}. The usual is packed until one of the two is changed.`,
        ]
      : []),
    ...avoided.map(
      ({ fibreId, flags }) =>
        `${seatName(seat)} may not touch ${flags.map((flag) => FIBRE_FLAG_WORDS[flag]).join(', ')}: ${wool.fibres.get(fibreId)?.name ?? 'a fibre'} is in this pack. Ask, and choose other wool.`,
    ),
  ];
}
