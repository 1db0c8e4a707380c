import type { Tapped, TrayLine } from '@lanakit/core/needles';
import { type Needle, needleName } from '@lanakit/core/shelf';
import { PILE_WORDS } from '@lanakit/core/words';
import { Button } from 'antd';
import { markLook } from '../ui/NeedleMark.tsx';
import styles from './Tray.module.css';

interface TrayNeedleProps {
  needle: Needle;
  place: number;
  line: TrayLine;
  wanted: number | null;
  mode: Tapped;
  isClosed: boolean;
  onTap: (amount: number) => void;
}

/** One needle of the tray: the whole of it is one more. */
export function TrayNeedle({ needle, place, line, wanted, mode, isClosed, onTap }: TrayNeedleProps) {
  const look = markLook(needle, place);
  const name = needleName(needle);
  const rest = mode === 'out' ? Math.max(0, (wanted ?? 0) - line.out) : mode === 'in' ? line.stillOut : 0;
  const shown = isClosed ? line.in : line[mode];
  return (
    <section className={`sheet ${styles.needle}`} aria-label={name}>
      <button
        type="button"
        className={styles.more}
        disabled={isClosed}
        aria-label={`One more ${PILE_WORDS[mode]}: ${name}`}
        onClick={() => onTap(1)}
      >
        <span aria-hidden className={`${styles.mark} ${look.className}`} style={look.style}>
          {place < 9 && <kbd>{place + 1}</kbd>}
        </span>
        <span className={styles.name}>{name}</span>
        <span className={styles.count}>
          {shown}
          <small>{PILE_WORDS[isClosed ? 'in' : mode]}</small>
        </span>
      </button>
      <div className={styles.foot}>
        <span>
          {line.out} out{mode === 'out' && wanted !== null && !isClosed ? ` of ${wanted}` : ''} · {line.in} in
          {line.broken > 0 && ` · ${line.broken} broken`}
          {line.sold > 0 && ` · ${line.sold} sold`}
          {line.missing > 0 && <b className="red"> · {line.missing} missing</b>}
          {line.givenUp > 0 && ` · ${line.givenUp} given up`}
        </span>
        {!isClosed && (
          <span className={styles.buttons}>
            <Button
              size="large"
              disabled={line[mode] === 0}
              aria-label={`One less ${PILE_WORDS[mode]}: ${name}`}
              onClick={() => onTap(-1)}
            >
              −1
            </Button>
            {rest > 1 && (
              <Button
                size="large"
                aria-label={`All ${rest} ${PILE_WORDS[mode]}: ${name}`}
                onClick={() => onTap(rest)}
              >
                all {rest}
              </Button>
            )}
          </span>
        )}
      </div>
    </section>
  );
}
