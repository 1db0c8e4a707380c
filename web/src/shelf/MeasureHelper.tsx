import { showNumber } from '@lanakit/core/base';
import {
  contradiction,
  cutFraction,
  measure,
  type Measured,
  type Measuring,
  type TypedWeighing,
  weighedPieces,
} from '@lanakit/core/shelf';
import { Button } from 'antd';
import { useState } from 'react';
import { FromScale } from '../scale/FromScale.tsx';
import { NumberField } from '../ui/fields/NumberField.tsx';
import styles from './Panel.module.css';

interface MeasureHelperProps {
  measuring: Measuring;
  /** What is on record, to be compared with; null: nothing. */
  onRecord: number | null;
  onUse: (measured: Measured) => void;
}

const BLANK_ROW: TypedWeighing = { pieces: 1, lengthCm: null, widthCm: null, massG: null };
const UNIT: Readonly<Record<Measuring, string>> = { length: 'g/m', area: 'g/m²', hand: 'g each' };
const SCALE_STEP_G = 0.1;

/** A weighing turned into a property, with its spread; a second weighing narrows it. */
export function MeasureHelper({ measuring, onRecord, onUse }: MeasureHelperProps) {
  const [rows, setRows] = useState<readonly TypedWeighing[]>([
    measuring === 'hand' ? { ...BLANK_ROW, pieces: 20 } : BLANK_ROW,
  ]);
  const [scaleStepG, setScaleStepG] = useState(SCALE_STEP_G);
  const weighings = rows.flatMap((row) => weighedPieces(row, measuring) ?? []);
  const measured = measure(weighings, { scaleStepG, cutFraction: cutFraction(rows, measuring) });
  const decimals = measuring === 'hand' ? 3 : 1;
  const off = measured && onRecord !== null ? contradiction(measured.value, onRecord) : null;
  const change = (index: number, part: Partial<TypedWeighing>) =>
    setRows((before) => before.map((row, i) => (i === index ? { ...row, ...part } : row)));
  return (
    <div className={styles.measure} role="group" aria-label="Weigh it">
      {rows.map((row, index) => (
        <div key={index} className={measuring === 'area' ? styles.two : styles.three}>
          <NumberField
            label={measuring === 'hand' ? 'How many' : 'Pieces'}
            value={row.pieces}
            bounds={{ min: 1, max: 1000 }}
            isWhole
            allowEmpty
            onValue={(pieces) => change(index, { pieces })}
          />
          {measuring !== 'hand' && (
            <NumberField
              label={measuring === 'area' ? 'Long' : 'Each'}
              value={row.lengthCm}
              bounds={{ min: 0.5, max: 5000 }}
              allowEmpty
              suffix="cm"
              onValue={(lengthCm) => change(index, { lengthCm })}
            />
          )}
          {measuring === 'area' && (
            <NumberField
              label="Wide"
              value={row.widthCm}
              bounds={{ min: 0.5, max: 500 }}
              allowEmpty
              suffix="cm"
              onValue={(widthCm) => change(index, { widthCm })}
            />
          )}
          <NumberField
            label="Weigh together"
            value={row.massG}
            bounds={{ min: 0.01, max: 10_000 }}
            allowEmpty
            suffix="g"
            hint={<FromScale label="Weigh together" onMass={(massG) => change(index, { massG })} />}
            onValue={(massG) => change(index, { massG })}
          />
        </div>
      ))}
      <div className={styles.two}>
        <NumberField
          label="The scale reads to"
          value={scaleStepG}
          bounds={{ min: 0.001, max: 10 }}
          suffix="g"
          onValue={setScaleStepG}
        />
        <div className="to-end">
          <Button
            size="small"
            onClick={() =>
              setRows((before) => [
                ...before,
                before.at(-1) ? { ...(before.at(-1) as TypedWeighing), massG: null } : BLANK_ROW,
              ])
            }
          >
            Weigh again
          </Button>
        </div>
      </div>
      {measured ? (
        <p>
          <b className="num">
            {showNumber(measured.value, decimals)} {UNIT[measuring]}
          </b>{' '}
          <span className="quiet">
            {showNumber(measured.low, decimals)}–{showNumber(measured.high, decimals)}, 8 times in 10
          </span>
        </p>
      ) : (
        <p className="quiet small">The number comes as you type.</p>
      )}
      {off !== null && measured && (
        <p className="red" role="alert">
          {Math.round(Math.abs(off) * 100)} % {off > 0 ? 'more' : 'less'} than the{' '}
          {showNumber(onRecord ?? 0, decimals)} {UNIT[measuring]} on record. Weigh again, or it is another
          lot.
        </p>
      )}
      <div>
        <Button disabled={!measured} onClick={() => measured && onUse(measured)}>
          Use it
        </Button>
      </div>
    </div>
  );
}
