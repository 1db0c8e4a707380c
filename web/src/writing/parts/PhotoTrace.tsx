import { drawingOfTrace, type GreyPhoto, inkThreshold, tracePhoto } from '@lanakit/core/outline';
import { Slider } from 'antd';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import styles from './OutlineDialog.module.css';

interface PhotoTraceProps {
  photo: GreyPhoto;
  /** What was traced, as a drawing; null: nothing was. */
  onDrawing: (drawing: string | null) => void;
  /** Whether what was traced last is no longer what is asked for. */
  onStale: (isStale: boolean) => void;
}

const WHY = {
  'nothing-dark': 'Nothing dark enough is on it. Draw with a dark pen on light paper, or move the slider to the right.',
  'leaves-the-picture': 'What is drawn runs out of the picture. Take it with paper all round, or move the slider to the left.',
} as const; // prettier-ignore

/** A photograph of a drawing: what of it is ink, and one real length. */
export function PhotoTrace({ photo, onDrawing, onStale }: PhotoTraceProps) {
  const [percent, setPercent] = useState(() => Math.round(inkThreshold(photo) * 100));
  const [heightMm, setHeight] = useState<number | null>(null);
  // A slider that is held runs ahead of what is traced: each place on its way would be traced, and told, for nothing.
  const tracedPercent = useDeferredValue(percent);
  const isStale = tracedPercent !== percent;
  const found = useMemo(() => tracePhoto(photo, tracedPercent / 100), [photo, tracedPercent]);
  useEffect(() => {
    onDrawing(found.ok ? drawingOfTrace(found, heightMm) : null);
  }, [found, heightMm, onDrawing]);
  useEffect(() => onStale(isStale), [isStale, onStale]);
  return (
    <div className={styles.trace}>
      <span id="ink">What of it is ink: darker than {percent} %</span>
      <Slider min={5} max={95} value={percent} onChange={setPercent} ariaLabelledByForHandle="ink" />
      <NumberField<number | null>
        label="How high it really is, from its lowest to its highest point"
        value={heightMm}
        bounds={{ min: 1, max: 1000 }}
        suffix="mm"
        onValue={setHeight}
      />
      {found.ok ? (
        <p className="quiet small">The outer edge of the line is taken; a thick pen makes it wider by its stroke.</p>
      ) : (
        <p className="red" role="alert">
          {WHY[found.why]}
        </p>
      )}
    </div>
  );
} // prettier-ignore
