import type { LabelPlaceFound } from '@lanakit/core/api';

/** Where a label belongs: its pack at the packing table, and its bag in it. */
export function pathOfLabel({ runId, packId, bagKey }: LabelPlaceFound): string {
  const query = new URLSearchParams({ pack: packId, ...(bagKey !== null && { bag: bagKey }) });
  return `/runs/${runId}/packing?${query.toString()}`;
}
