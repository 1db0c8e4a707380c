import type { Wool } from '@lanakit/core/engine';
import { type Guide, guideOf, type GuideRequest } from '@lanakit/core/papers';
import type { PageSize } from '@lanakit/core/run';
import { expose } from 'comlink';

const api = {
  guide: (request: GuideRequest, wool: Wool, page: PageSize): Guide => guideOf(request, wool, page),
};
export type GuideApi = typeof api;

expose(api);
