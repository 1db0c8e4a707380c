import {
  massOfPack,
  notIn,
  type Pack,
  packedMark,
  type PackLine,
  packWeight,
  type PackWeight,
  type RunTick,
  type WeighedPack,
} from '@lanakit/core/run';
import { Button } from 'antd';
import { useState } from 'react';
import { FromScale } from '../scale/FromScale.tsx';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { packLineWords, type PackingNames } from '../words/packingWords.ts';
import { counted, showWeighed } from '../words/show.ts';
import styles from './Packing.module.css';

interface Alike {
  readonly pack: Pack;
  readonly lines: readonly PackLine[];
}

interface ClosePackProps {
  pack: Pack;
  lines: readonly PackLine[];
  names: PackingNames;
  ticks: ReadonlyMap<string, RunTick>;
  /** Packs of the same contents. */
  alike: readonly Alike[];
  onTick: (tick: RunTick) => Promise<void>;
  onNext: (() => void) | null;
}

const PACK_BOUNDS = { min: 0.1, max: 20_000 } as const;

/** Closed when all is in, or when it is told what is not; its weight tells of a bag that is missing. */
export function ClosePack({ pack, lines, names, ticks, alike, onTick, onNext }: ClosePackProps) {
  const closed = ticks.get(packedMark(pack.id));
  const isClosed = closed?.isDone === true;
  const [weighedG, setWeighedG] = useState<number | null>(isClosed ? (closed.weighedG ?? null) : null);
  const [isTold, setTold] = useState(false);
  const missing = notIn(pack.id, lines, ticks);
  const weight =
    weighedG === null ? null : packWeight(lines, weighedAlike(alike, ticks), names.stepG, weighedG);
  const isOdd = weight !== null && weight.kind !== 'right' && weight.kind !== 'first';
  const close = () => {
    if ((missing.length > 0 || isOdd) && !isTold) return setTold(true);
    void onTick({ mark: packedMark(pack.id), isDone: true, massG: 0, weighedG });
    onNext?.();
  };
  const titleOf = (line: PackLine) => packLineWords(line, names).title;
  return (
    <div className={styles.close}>
      <div className={styles.weight}>
        <NumberField
          label="The finished pack weighs"
          value={weighedG}
          bounds={PACK_BOUNDS}
          allowEmpty
          suffix="g"
          placeholder="if you like"
          hint={<FromScale label="The finished pack" onMass={setWeighedG} />}
          onValue={(massG) => {
            setWeighedG(massG);
            setTold(false);
          }}
        />
        {weight && (
          <p role="status" className={isOdd ? 'red' : 'leaf'}>
            {weightWords(weight, names.stepG, titleOf)}
          </p>
        )}
      </div>
      {isTold && !isClosed && (
        <div className={styles.told} role="alert">
          {missing.length > 0 && (
            <>
              <p>
                <b>{counted(missing.length, 'thing')} not in it yet:</b>
              </p>
              <ul>
                {missing.map((line) => (
                  <li key={line.key}>{titleOf(line)}</li>
                ))}
              </ul>
            </>
          )}
          {isOdd && <p>{weightWords(weight, names.stepG, titleOf)}</p>}
        </div>
      )}
      {isClosed ? (
        <div className={styles.acts}>
          <b className="leaf">Packed ✓{closed.device ? `, ${closed.device}` : ''}</b>
          <Button
            size="large"
            onClick={() => void onTick({ mark: packedMark(pack.id), isDone: false, massG: 0 })}
          >
            Open it again
          </Button>
          {onNext && (
            <Button size="large" type="primary" onClick={onNext}>
              The next one
            </Button>
          )}
        </div>
      ) : (
        <div className={styles.acts}>
          <Button size="large" type="primary" onClick={close}>
            {isTold && (missing.length > 0 || isOdd) ? 'Close it all the same' : 'Everything is in: close it'}
          </Button>
          {isTold && (
            <Button size="large" onClick={() => setTold(false)}>
              Look again
            </Button>
          )}
        </div>
      )}
    </div>
  );
}

/** Packs of the same contents that were weighed whole. */
const weighedAlike = (alike: readonly Alike[], ticks: ReadonlyMap<string, RunTick>): WeighedPack[] =>
  alike.flatMap(({ pack, lines }) => {
    const tick = ticks.get(packedMark(pack.id));
    return tick?.isDone && typeof tick.weighedG === 'number'
      ? [{ weighedG: tick.weighedG, knownG: massOfPack(lines).knownG }]
      : [];
  });

function weightWords(weight: PackWeight, stepG: number, titleOf: (line: PackLine) => string): string {
  switch (weight.kind) {
    case 'first':
      return 'The first of its kind: the others are held against it.';
    case 'right':
      return `As it should be (${showWeighed(weight.expectedG, stepG)}).`;
    case 'over':
      return `${showWeighed(weight.byG, stepG)} more than it should be (${showWeighed(weight.expectedG, stepG)}): is something in it twice?`;
    case 'short': {
      const likely = weight.likely.map((lines) => lines.map(titleOf).join(' and '));
      return `${showWeighed(weight.byG, stepG)} less than it should be (${showWeighed(weight.expectedG, stepG)})${
        likely.length > 0 ? `: that is ${likely.slice(0, 3).join(', or ')}` : ''
      }.`;
    }
  }
}
