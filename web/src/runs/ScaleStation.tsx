import type { ScaleInfo } from '@lanakit/core/api';
import { packNames } from '@lanakit/core/papers';
import { partingOf, partingSteps, type RunTick, type WeighMark } from '@lanakit/core/run';
import type { Taking } from '@lanakit/core/scale';
import type { Lot } from '@lanakit/core/shelf';
import { useState } from 'react';
import styles from '../scale/Scale.module.css';
import { useScale } from '../scale/useScale.ts';
import { PartIt } from './PartIt.tsx';
import { ScaleNow } from './ScaleNow.tsx';
import type { Planned } from './useRunPlan.ts';

interface ScaleStationProps {
  scale: ScaleInfo;
  runPlan: Planned;
  /** In the order they are weighed. */
  marks: readonly WeighMark[];
  ticks: ReadonlyMap<string, RunTick>;
  lotOf: ReadonlyMap<string, Lot>;
  nameOf: (mark: WeighMark) => string;
  onTick: (tick: RunTick) => Promise<void>;
  /** Of the scale, and not of one fibre or one pack: what was kept lies there until it is off, whatever is next. */
  taking: Taking;
  onTaking: (taking: Taking) => void;
}

const NONE: readonly never[] = [];

/** What is weighed now, as large as it is read from two metres: it takes itself when it is right, and goes on to the next. */
export function ScaleStation({
  scale,
  runPlan,
  marks,
  ticks,
  lotOf,
  nameOf,
  onTick,
  taking,
  onTaking,
}: ScaleStationProps) {
  const [skipped, setSkipped] = useState<readonly string[]>(NONE);
  const [parting, setParting] = useState<{ readonly mark: WeighMark; readonly massG: number } | null>(null);
  const open = marks.filter(({ mark }) => ticks.get(mark)?.isDone !== true);
  const current = open.find(({ mark }) => !skipped.includes(mark)) ?? open[0];
  const last = marks.findLast(({ mark }) => ticks.get(mark)?.isDone === true);
  const state = useScale(scale.id);
  const keep = (mark: WeighMark, weighedG: number) => {
    void onTick({
      mark: mark.mark,
      isDone: true,
      massG: mark.massG,
      weighedG,
      lotId: lotOf.get(mark.mark)?.id ?? null,
      scale: scale.name,
    });
    if (mark.parts > 1) setParting({ mark, massG: weighedG });
  };
  if (parting)
    return (
      <section className={styles.at} aria-label="At the scale">
        <PartIt
          name={[runPlan.shelf.get(parting.mark.fibreId)?.name, nameOf(parting.mark)].join(', ')}
          steps={partingSteps(partingOf(parting.mark.parts), parting.massG)}
          bags={packNames(parting.mark.packs)}
          stepG={scale.state.stepG ?? runPlan.input.scaleStepG}
          onParted={() => setParting(null)}
        />
      </section>
    );
  if (!current)
    return (
      <section className={styles.at} aria-label="At the scale">
        <p className={`${styles.advice} leaf`}>Everything here is weighed.</p>
      </section>
    );
  return (
    <ScaleNow
      key={current.mark}
      scale={scale}
      state={state}
      taking={taking}
      onTaking={onTaking}
      fibre={runPlan.shelf.get(current.fibreId)}
      scaleStepG={runPlan.input.scaleStepG}
      mark={current}
      name={nameOf(current)}
      lot={lotOf.get(current.mark) ?? null}
      onKeep={(weighedG) => keep(current, weighedG)}
      onSkip={
        open.length > 1
          ? () => setSkipped([...skipped.filter((each) => each !== current.mark), current.mark])
          : null
      }
      onBack={last ? () => void onTick({ mark: last.mark, isDone: false, massG: last.massG }) : null}
    />
  );
}
