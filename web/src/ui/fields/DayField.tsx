import { DatePicker } from 'antd';
import enGB from 'antd/es/date-picker/locale/en_GB';
import dayjs, { type Dayjs } from 'dayjs';
import 'dayjs/locale/en-gb';
import { useRef } from 'react';
import { Field } from './Field.tsx';

interface DayFieldProps {
  label: string;
  /** Its label is said and not shown. */
  isLabelHidden?: boolean;
  /** YYYY-MM-DD; null: no day. */
  day: string | null;
  /** Whether it may be left without one. */
  allowEmpty?: boolean;
  problem?: string | null;
  className?: string;
  onDay: (day: string | null) => void;
}

/** How a day is kept and sent. */
const KEPT = 'YYYY-MM-DD';
/** As a day may be typed, whatever country it is typed in: none of these can be read as another day. */
const TYPED = [KEPT, 'ddd D MMM YYYY', 'D MMM YYYY', 'ddd D MMM', 'D MMM', 'D.M.YYYY'];

/** A day as people say it: Sat 5 Dec, with its year where that is not this one. */
export function DayField({
  label,
  isLabelHidden,
  day,
  allowEmpty,
  problem,
  className,
  onDay,
}: DayFieldProps) {
  /** What is understood of what is being typed; null: nothing yet. */
  const typed = useRef<Dayjs | null>(null);
  const take = (picked: Dayjs | null) => {
    typed.current = null;
    const next = picked ? picked.format(KEPT) : null;
    if (next !== null || allowEmpty === true) onDay(next);
  };
  const value = day === null || day === '' ? null : dayjs(day, KEPT);
  const isThisYear = value !== null && value.year() === dayjs().year();
  const shown = isThisYear ? 'ddd D MMM' : 'ddd D MMM YYYY';
  return (
    <Field
      label={label}
      isLabelHidden={isLabelHidden ?? false}
      problem={problem ?? null}
      className={className ?? ''}
    >
      {(control) => (
        <DatePicker
          {...control}
          className="wide"
          locale={enGB}
          placeholder="5 Dec"
          value={value}
          onCalendarChange={(picked) => (typed.current = Array.isArray(picked) ? null : picked)}
          onKeyDown={(event) => {
            // The calendar's own Enter does not read a day with its weekday: what was understood of it is taken.
            if (event.key !== 'Enter' || !typed.current) return;
            take(typed.current);
            event.preventDefault();
          }}
          allowClear={allowEmpty ?? false}
          format={[shown, ...TYPED]}
          onChange={take}
        />
      )}
    </Field>
  );
}
