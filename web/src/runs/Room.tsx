import { percentOf } from '@lanakit/core/base';
import {
  choiceOfSeat,
  hasChoice,
  type PackGroup,
  type RunInput,
  type Seat,
  seatName,
  seatsOf,
} from '@lanakit/core/run';
import { groupWords } from '@lanakit/core/words';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import styles from './Room.module.css';
import { revisionOfSeat, type ShownRun } from './useRunPlan.ts';

interface RoomProps {
  runPlan: ShownRun;
  input: RunInput;
  chosen: number | null;
  onChoose: (seat: number) => void;
}

/** The tables with who sits at them; each seat in the wool that tells its pack from the others. */
export function Room({ runPlan, input, chosen, onChoose }: RoomProps) {
  const seats = seatsOf(input);
  const size = Math.max(1, Math.floor(input.seatsPerTable));
  const tables = Array.from({ length: Math.ceil(seats.length / size) }, (_, at) =>
    seats.slice(at * size, (at + 1) * size),
  );
  return (
    <div className={styles.room}>
      {tables.map((table, at) => (
        <div key={at} className={styles.table} role="group" aria-label={`Table ${at + 1}`}>
          <Side seats={table.filter((_, index) => index % 2 === 0)} {...{ runPlan, chosen, onChoose }} />
          <span className={styles.board}>{at + 1}</span>
          <Side seats={table.filter((_, index) => index % 2 === 1)} {...{ runPlan, chosen, onChoose }} />
        </div>
      ))}
    </div>
  );
}

interface SideProps extends Omit<RoomProps, 'input'> {
  seats: readonly Seat[];
}

const Side = ({ seats, ...room }: SideProps) => (
  <span className={styles.side}>
    {seats.map((seat) => (
      <SeatMark key={seat.seat} seat={seat} {...room} />
    ))}
  </span>
);

function SeatMark({ seat, runPlan, chosen, onChoose }: { seat: Seat } & Omit<RoomProps, 'input'>) {
  const { groups, tellingFibreByGroup, shelf } = runPlan;
  const revision = revisionOfSeat(runPlan, seat);
  const choice = choiceOfSeat(revision.document, seat);
  const group = groups.find(({ seats }) => seats.includes(seat.seat));
  const fibre = shelf.get(tellingFibreByGroup.get(group?.key ?? '') ?? '');
  const isOpen = choice.kind !== 'chosen' && hasChoice(revision.document);
  const words = [seatName(seat), stateWords(choice.kind, group)].join(', ');
  return (
    <button
      type="button"
      className={`${styles.seat} ${chosen === seat.seat ? styles.chosen : ''}`}
      aria-pressed={chosen === seat.seat}
      aria-label={words}
      title={words}
      onClick={() => onChoose(seat.seat)}
    >
      <span className={`${styles.wool} ${isOpen ? styles.undecided : ''}`}>
        {isOpen ? (
          <b className={choice.kind === 'undecided' ? 'amber' : 'red'}>?</b>
        ) : (
          fibre && <FibreSwatch fibre={fibre} width={34} height={34} />
        )}
      </span>
      <span className={styles.name}>
        {seat.name.trim() || seat.seat}
        {seat.sizeFraction !== 1 && <small> {percentOf(seat.sizeFraction)} %</small>}
        {seat.isLeftHanded && <small> left</small>}
        {seat.skill === 'first-timer' && <small> 1st</small>}
      </span>
    </button>
  );
}

function stateWords(kind: ReturnType<typeof choiceOfSeat>['kind'], group: PackGroup | undefined): string {
  switch (kind) {
    case 'chosen':
      return group ? groupWords(group) : '';
    case 'undecided':
      return 'not chosen yet';
    case 'gone':
      return 'chose what this revision does not have';
    case 'forbidden':
      return 'chose what does not go together';
  }
}
