import { NO_SCALE, type ScaleState } from '@lanakit/core/scale';
import { useState } from 'react';
import { useServerEvents } from '../api/useServerEvents.ts';

/** What a scale shows, as it changes; nothing while no scale is asked for or the studio cannot be reached. */
export function useScale(scaleId: string | null): ScaleState {
  const [shown, setShown] = useState<{ readonly of: string; readonly state: ScaleState } | null>(null);
  useServerEvents<ScaleState>(scaleId === null ? null : `/scales/${scaleId}/readings`, {
    onEvent: (state) => setShown(scaleId === null ? null : { of: scaleId, state }),
    onLost: () => setShown(null),
  });
  return shown && shown.of === scaleId ? shown.state : NO_SCALE;
}
