import type { Wool } from '@lanakit/core/engine';
import type { Pattern } from '@lanakit/core/pattern';
import { stepPicture, type StepPicture } from '@lanakit/core/reading';
import { expose } from 'comlink';

const api = {
  pictures: (build: Pattern, stepIds: readonly string[], wool: Wool): StepPicture[] =>
    stepIds.flatMap((stepId) => stepPicture(build, stepId, wool) ?? []),
};
export type StepPicturesApi = typeof api;

expose(api);
