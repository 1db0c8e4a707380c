import { Button, Modal, Segmented, Slider } from 'antd';
import { useState } from 'react';
import styles from './Guide.module.css';
import { keepTrueSize, PX_PER_MM_BOUNDS, USUAL_PX_PER_MM, useTrueSize } from './trueSize.ts';

/** Every card for a bank or a library is so large (ISO/IEC 7810 ID-1), mm. */
const CARD_MM = { width: 85.6, height: 53.98 };
const RULER_MM = 100;

type With = 'card' | 'ruler';

/** How fine this screen is, measured once by laying a card or a ruler on it. */
export function ScreenMeasure({ onClose }: { onClose: () => void }) {
  const known = useTrueSize();
  const [pxPerMm, setPxPerMm] = useState(known ?? USUAL_PX_PER_MM);
  const [by, setBy] = useState<With>('card');
  const shown = by === 'card' ? CARD_MM : { width: RULER_MM, height: 16 };
  return (
    <Modal
      open
      title="How large is this screen?"
      width={Math.max(520, shown.width * pxPerMm + 80)}
      onCancel={onClose}
      footer={
        <>
          <Button onClick={onClose}>Leave it</Button>
          <Button
            type="primary"
            onClick={() => {
              keepTrueSize(pxPerMm);
              onClose();
            }}
          >
            Keep it for this screen
          </Button>
        </>
      }
    >
      <Segmented<With>
        aria-label="Measured with"
        value={by}
        onChange={setBy}
        options={[
          { value: 'card', label: 'with a card' },
          { value: 'ruler', label: 'with a ruler' },
        ]}
      />
      <p className="quiet small">
        {by === 'card'
          ? 'Lay a bank or library card on the outline and move the slider until they are the same size.'
          : 'Hold a ruler to the bar and move the slider until it is 100 mm long.'}
      </p>
      <Slider
        ariaLabelForHandle="Size of the outline"
        min={PX_PER_MM_BOUNDS.min}
        max={PX_PER_MM_BOUNDS.max}
        step={0.01}
        value={pxPerMm}
        tooltip={{ formatter: (value) => `${(value ?? 0).toFixed(2)} pixels a millimetre` }}
        onChange={setPxPerMm}
      />
      <svg
        role="img"
        aria-label={by === 'card' ? 'The outline of a card' : 'A bar of 100 mm'}
        width={shown.width * pxPerMm + 2}
        height={shown.height * pxPerMm + 2}
        viewBox={`-1 -1 ${shown.width * pxPerMm + 2} ${shown.height * pxPerMm + 2}`}
        className={styles.measure}
      >
        {by === 'card' ? (
          <rect width={shown.width * pxPerMm} height={shown.height * pxPerMm} rx={3.18 * pxPerMm} />
        ) : (
          <path
            d={
              Array.from(
                { length: RULER_MM / 10 + 1 },
                (_, cm) => `M${cm * 10 * pxPerMm} 0v${(cm % 5 === 0 ? 12 : 7) * pxPerMm}`,
              ).join('') + `M0 0h${RULER_MM * pxPerMm}`
            }
          />
        )}
      </svg>
    </Modal>
  );
}
