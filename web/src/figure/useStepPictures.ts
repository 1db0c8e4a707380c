import type { Wool } from '@lanakit/core/engine';
import type { Pattern } from '@lanakit/core/pattern';
import type { StepPicture } from '@lanakit/core/reading';
import { wrap } from 'comlink';
import { useEffect, useState } from 'react';
import type { StepPicturesApi } from './stepPictures.worker.ts';

const NONE: ReadonlyMap<string, StepPicture> = new Map();

/** Made pictures by step, drawn away from the page; while they are drawn anew those from before stay. */
export function useStepPictures(
  build: Pattern,
  stepIds: readonly string[],
  wool: Wool,
): ReadonlyMap<string, StepPicture> {
  const [pictures, setPictures] = useState(NONE);
  useEffect(() => {
    if (stepIds.length === 0) return undefined;
    const worker = new Worker(new URL('./stepPictures.worker.ts', import.meta.url), { type: 'module' });
    let isWanted = true;
    void wrap<StepPicturesApi>(worker)
      .pictures(build, stepIds, wool)
      .then((made) => {
        worker.terminate();
        if (isWanted) setPictures(new Map(made.map((picture) => [picture.stepId, picture])));
      });
    return () => {
      isWanted = false;
      worker.terminate();
    };
  }, [build, stepIds, wool]);
  return stepIds.length === 0 ? NONE : pictures;
}
