import type { ScaleInfo } from '@lanakit/core/api';
import type { WeighMark } from '@lanakit/core/run';
import { balanceOf, inHands, type ScaleState, type Taking } from '@lanakit/core/scale';
import type { Fibre, Lot } from '@lanakit/core/shelf';
import { Button } from 'antd';
import { useHotkeys } from 'react-hotkeys-hook';
import { useHandMeasures } from '../api/queries.ts';
import { PlayScale } from '../scale/PlayScale.tsx';
import styles from '../scale/Scale.module.css';
import { ScaleBar } from '../scale/ScaleBar.tsx';
import { useKeeping } from '../scale/useKeeping.ts';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import { balanceWords, oddWords, scaleNotes } from '../words/scaleWords.ts';
import { showWeighed } from '../words/show.ts';

const NONE: readonly never[] = [];

interface ScaleNowProps {
  scale: ScaleInfo;
  state: ScaleState;
  mark: WeighMark;
  name: string;
  fibre: Fibre | undefined;
  lot: Lot | null;
  /** What the run weighs to, where the scale does not say. */
  scaleStepG: number;
  taking: Taking;
  onTaking: (taking: Taking) => void;
  onKeep: (weighedG: number) => void;
  onSkip: (() => void) | null;
  onBack: (() => void) | null;
}

/** One weighing, as large as it is read from two metres. */
export function ScaleNow(props: ScaleNowProps) {
  const { scale, state, mark, name, fibre, lot, scaleStepG, taking, onTaking, onKeep, onSkip, onBack } =
    props;
  const hands = useHandMeasures().data?.items ?? NONE;
  const stepG = state.stepG ?? scaleStepG;
  const balance = balanceOf(mark, state);
  const shown = taking.liesG !== null && balance.kind !== 'no-scale' ? 'kept' : balance.kind;
  const keeping = useKeeping({
    scale,
    state,
    wanted: mark,
    onHandG: lot?.onHandG ?? null,
    taking,
    onTaking,
    onKeep,
    wordsOf: (massG) => `${name}, ${showWeighed(massG, stepG)}`,
  });
  useHotkeys('enter', keeping.keepNow, { preventDefault: true }, [keeping]);
  useHotkeys('t', keeping.tare, {}, [keeping]);
  useHotkeys('s', () => onSkip?.(), {}, [onSkip]);
  useHotkeys('backspace', () => onBack?.(), { preventDefault: true }, [onBack]);
  return (
    <section className={styles.at} aria-label="At the scale">
      <div className={styles.line}>
        <span className={styles.whose}>
          {name}
          <small>
            {fibre && <FibreSwatch fibre={fibre} width={52} height={22} />} {fibre?.name}
            {lot && `, lot ${lot.name}`}
          </small>
        </span>
        <span className={styles.wanted}>
          wanted <b>{showWeighed(mark.massG, stepG)}</b> ± {showWeighed(mark.toleranceG, stepG)}
        </span>
      </div>
      <div className={styles.line}>
        <output className={styles.reading} data-stable={state.isStable} aria-label="On the scale">
          {state.massG === null ? '––' : showWeighed(state.massG, stepG)}
        </output>
        <span className="quiet">
          {scale.name}
          {scaleNotes(state, stepG).map((note) => (
            <span key={note}>, {note}</span>
          ))}
        </span>
      </div>
      <ScaleBar wanted={mark} massG={state.massG} kind={shown} />
      <p className={styles.advice} data-balance={shown} role="status">
        {keeping.isHeld
          ? 'Hold still'
          : shown === 'kept'
            ? 'Kept. Into its bag, and off the scale'
            : balanceWords(
                balance,
                balance.kind === 'under' || balance.kind === 'over'
                  ? inHands(balance.differenceG, hands)
                  : null,
                stepG,
              )}
      </p>
      {keeping.asked && (
        <div className={styles.odd} role="alert">
          <p>{oddWords(keeping.asked.odd, keeping.asked.massG, mark.massG, stepG)}</p>
          <div className={styles.acts}>
            <Button size="large" type="primary" onClick={keeping.weighAgain}>
              Weigh it again
            </Button>
            {keeping.asked.odd.code !== 'below_nought' && (
              <Button size="large" onClick={() => keeping.asked && keeping.keepAnyway(keeping.asked.massG)}>
                It is so: keep {showWeighed(keeping.asked.massG, stepG)}
              </Button>
            )}
          </div>
        </div>
      )}
      <div className={styles.acts}>
        <Button size="large" onClick={keeping.keepNow} disabled={state.massG === null}>
          Keep what lies there <kbd>Enter</kbd>
        </Button>
        <Button size="large" onClick={keeping.tare} disabled={!scale.hears || !state.isHere}>
          Tare <kbd>T</kbd>
        </Button>
        {onSkip && (
          <Button size="large" onClick={onSkip}>
            Another first <kbd>S</kbd>
          </Button>
        )}
        {onBack && (
          <Button size="large" onClick={onBack}>
            The last one again <kbd>⌫</kbd>
          </Button>
        )}
      </div>
      {scale.kind === 'simulated' && (
        <PlayScale
          scaleId={scale.id}
          isPlugged={state.isHere}
          isBatteryLow={state.isBatteryLow}
          aboutG={mark.massG}
        />
      )}
    </section>
  );
}
