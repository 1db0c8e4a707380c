import { Select } from 'antd';
import { Field } from '../../ui/fields/Field.tsx';
import type { Teaching } from './teaching.ts';

interface SeatChoiceProps {
  label: string;
  teaching: Teaching;
  seatKey: string | null;
  /** What it is where it is nobody’s own. */
  nobody: string;
  onSeat: (seatKey: string | null) => void;
}

const NOBODY = '';

/** One of the seats, or none of them. */
export function SeatChoice({ label, teaching, seatKey, nobody, onSeat }: SeatChoiceProps) {
  const { here, names } = teaching;
  return (
    <Field label={label}>
      {(control) => (
        <Select<string>
          {...control}
          size="large"
          className="wide"
          value={seatKey ?? NOBODY}
          onChange={(key) => onSeat(key === NOBODY ? null : key)}
          options={[
            { value: NOBODY, label: nobody },
            ...here.day.plan.seats.map(({ key }) => ({ value: key, label: names.seat(key) })),
          ]}
        />
      )}
    </Field>
  );
}
