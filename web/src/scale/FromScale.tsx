import { afterAsked, answerG, JUST_ASKED, type ScaleState } from '@lanakit/core/scale';
import { Button } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { showWeighed } from '../words/show.ts';
import { useChosenScale } from './useChosenScale.ts';
import { useScale } from './useScale.ts';

interface FromScaleProps {
  /** What it is of, for those who cannot see where it stands. */
  label: string;
  onMass: (massG: number) => void;
}

/** Takes what lies on the scale of this device into the field beside it, as soon as it is sure. Weighed by hand: nothing. */
export function FromScale({ label, onMass }: FromScaleProps) {
  const scale = useChosenScale();
  const [isAsked, setAsked] = useState(false);
  const state = useScale(scale && isAsked ? scale.id : null);
  const asking = useRef(JUST_ASKED);
  useEffect(() => {
    asking.current = isAsked ? afterAsked(asking.current, state) : JUST_ASKED;
    const massG = answerG(asking.current);
    if (massG === null) return;
    setAsked(false);
    onMass(massG);
    // Once for each reading, and for nothing else.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [state, isAsked]);
  if (!scale) return null;
  return (
    <Button size="small" aria-label={`${label} from ${scale.name}`} onClick={() => setAsked(!isAsked)}>
      {isAsked ? waitingWords(state) : 'From the scale'}
    </Button>
  );
}

const waitingWords = ({ massG, stepG }: ScaleState): string =>
  massG === null ? 'waiting for the scale…' : `${showWeighed(massG, stepG ?? 0.1)}, settling…`;
