import { NO_SCALE, type ScaleState } from '@lanakit/core/scale';
import { useEffect, useState } from 'react';
import { apiPath } from '../api/studio.ts';

/** What a scale shows, as it changes; nothing while no scale is asked for or the studio cannot be reached. */
export function useScale(scaleId: string | null): ScaleState {
  const [shown, setShown] = useState<{ readonly of: string; readonly state: ScaleState } | null>(null);
  useEffect(() => {
    if (scaleId === null) return undefined;
    // It connects again by itself when it was cut.
    const source = new EventSource(apiPath(`/scales/${scaleId}/readings`));
    source.onmessage = ({ data }) => setShown({ of: scaleId, state: JSON.parse(String(data)) as ScaleState });
    source.onerror = () => setShown(null);
    return () => source.close();
  }, [scaleId]);
  return shown && shown.of === scaleId ? shown.state : NO_SCALE;
}
