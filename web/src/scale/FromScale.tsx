import type { ScaleState } from '@lanakit/core/scale';
import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { showWeighed } from '../words/show.ts';
import { useChosenScale } from './useChosenScale.ts';
import { useScale } from './useScale.ts';

interface FromScaleProps {
  /** What it is of, for those who cannot see where it stands. */
  label: string;
  onMass: (massG: number) => void;
}

/** Takes what lies on the scale of this device into the field beside it, as soon as it is stable. Weighed by hand: nothing. */
export function FromScale({ label, onMass }: FromScaleProps) {
  const scale = useChosenScale();
  const [isAsked, setAsked] = useState(false);
  const state = useScale(scale && isAsked ? scale.id : null);
  const settled = isAsked ? settledG(state) : null;
  useEffect(() => {
    if (settled === null) return;
    setAsked(false);
    onMass(settled);
    // Once, when it is stable.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [settled]);
  if (!scale) return null;
  return (
    <Button size="small" aria-label={`${label} from ${scale.name}`} onClick={() => setAsked(!isAsked)}>
      {isAsked
        ? state.massG === null
          ? 'waiting for the scale…'
          : `${showWeighed(state.massG, state.stepG ?? 0.1)}, settling…`
        : 'From the scale'}
    </Button>
  );
}

/** What lies there, once it is sure; null: not yet, or nothing. */
const settledG = ({ massG, isStable, isHere }: ScaleState): number | null =>
  isHere && isStable && massG !== null && massG > 0 ? massG : null;
