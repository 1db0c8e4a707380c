import type { ScaleInfo } from '@lanakit/core/api';
import {
  afterReading,
  isContainer,
  isStillOn,
  type OddReading,
  oddReading,
  type ScaleState,
  type Taking,
  type WantedMass,
} from '@lanakit/core/scale';
import { useEffect, useRef, useState } from 'react';
import { perform } from '../api/mutations/mutation.ts';
import { tellScale } from '../api/mutations/scales.ts';
import { useAttempt } from '../shell/useAttempt.ts';
import { chooseScale, useScaleChoice } from './scaleChoice.ts';
import { tell } from './tell.ts';

interface KeepingOf {
  readonly scale: ScaleInfo;
  readonly state: ScaleState;
  readonly wanted: WantedMass;
  /** Of the lot it comes from, grams; null: never counted. */
  readonly onHandG: number | null;
  readonly taking: Taking;
  readonly onTaking: (taking: Taking) => void;
  /** @param massG that is kept */
  readonly onKeep: (massG: number) => void;
  /** What is said when it is kept. */
  readonly wordsOf: (massG: number) => string;
}

/** A reading that cannot be right, and what it showed. */
interface Asked {
  readonly odd: OddReading;
  readonly massG: number;
}

/**
 * Keeps what lies there: by itself when it is right and stable, by a press as soon as it stands still, and never what cannot be
 * right without asking. For one weighing: mount it anew for the next.
 */
export function useKeeping({ scale, state, wanted, onHandG, taking, onTaking, onKeep, wordsOf }: KeepingOf) {
  const attempt = useAttempt();
  const { toldBy, containerG } = useScaleChoice();
  const isKept = useRef(false);
  const [asked, setAsked] = useState<Asked | null>(null);
  const [isHeld, setHeld] = useState(false);
  const keep = (massG: number) => {
    if (isKept.current) return;
    isKept.current = true;
    onTaking({ liesG: massG });
    tell('kept', wordsOf(massG), toldBy);
    onKeep(massG);
  };
  const keepOrAsk = (massG: number) => {
    const odd = oddReading(massG, wanted, onHandG);
    if (!odd) return keep(massG);
    tell('look', 'Look at it once more', toldBy);
    setAsked({ odd, massG });
  };
  useEffect(() => {
    if (isKept.current) return;
    if (asked) {
      // Taken off: there is nothing to answer any more.
      if (!isStillOn({ liesG: asked.massG }, state)) setAsked(null);
      return;
    }
    if (state.tareG === 0 && isContainer(containerG, wanted, state)) {
      void perform(tellScale(scale.id, 'tare')).catch(() => undefined);
      return;
    }
    if (isHeld && state.isStable && state.massG !== null) {
      setHeld(false);
      keepOrAsk(state.massG);
      return;
    }
    const after = afterReading(taking, wanted, state);
    if (after.taking.liesG !== taking.liesG) onTaking(after.taking);
    if (after.massG !== null) keepOrAsk(after.massG);
    // Once for each reading, and for nothing else.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [state, isHeld]);
  return {
    asked,
    isHeld,
    /** While it moves nothing is kept: as soon as it stands still. */
    keepNow: () => setHeld(true),
    keepAnyway: keep,
    // What lies there still is what was asked about: it is looked at again when it has been off.
    weighAgain: () => {
      if (asked) onTaking({ liesG: asked.massG });
      setAsked(null);
    },
    /** What stands there is a bowl, and known again. */
    tare: () =>
      void attempt(async () => {
        const standing = state.massG ?? 0;
        if (standing > 0 && state.isStable) chooseScale({ containerG: standing + state.tareG });
        await perform(tellScale(scale.id, 'tare'));
        return undefined;
      }),
  };
}
