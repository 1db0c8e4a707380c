import { fractionOf, percentBounds, percentOf, showLengths } from '@lanakit/core/base';
import { resizeDecisions } from '@lanakit/core/resize';
import { RUN_BOUNDS, type Seat } from '@lanakit/core/run';
import { NumberField } from '../ui/fields/NumberField.tsx';
import type { ShownRun } from './useRunPlan.ts';

interface SeatSizeProps {
  seat: Seat;
  runPlan: ShownRun;
  onSize: (sizeFraction: number) => void;
}

const PERCENT = percentBounds(RUN_BOUNDS.sizeFraction);

/** In which size this seat makes it, how tall that is, and what is bought and so does not grow with it. */
export function SeatSize({ seat, runPlan, onSize }: SeatSizeProps) {
  const { groups, wool, revision } = runPlan;
  const make = groups.find(({ seats }) => seats.includes(seat.seat))?.makes[0];
  const height = (make?.build ?? revision.document).finishedHeight;
  const staying = make
    ? resizeDecisions(make.pattern, seat.sizeFraction, wool).flatMap((resizeDecision) =>
        resizeDecision.kind === 'finding' || resizeDecision.kind === 'wire'
          ? [wool.findings.get(resizeDecision.findingId)?.name ?? '']
          : [],
      )
    : [];
  const hint = [
    height ? `${showLengths([height])} tall` : '',
    staying.length > 0 ? `as bought: ${staying.join(', ')}` : '',
  ]
    .filter((word) => word !== '')
    .join(' · ');
  return (
    <NumberField
      label="Size, of the pattern’s"
      value={percentOf(seat.sizeFraction)}
      bounds={PERCENT}
      suffix="%"
      hint={hint}
      onValue={(percent) => onSize(fractionOf(percent))}
    />
  );
}
