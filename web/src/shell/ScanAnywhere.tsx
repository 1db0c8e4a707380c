import type { LabelPlaceFound, Scans } from '@lanakit/core/api';
import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { ApiProblem, errorWords, get } from '../api/client.ts';
import { apiPath } from '../api/studio.ts';
import { handScan } from '../scan/scanHandlers.ts';
import { useScannerChoice } from '../scan/scannerChoice.ts';
import { useNotice } from './Notice.tsx';
import { pathOfLabel } from './pathOfLabel.ts';

/** Hears the scanner of this device, wherever in the studio one is: what the place itself does not take opens where it belongs. */
export function ScanAnywhere() {
  const scannerId = useScannerChoice((choice) => choice.scannerId);
  const navigate = useNavigate();
  const say = useNotice();
  useEffect(() => {
    if (scannerId === null) return undefined;
    const open = async (code: string) => {
      try {
        const place = await get<LabelPlaceFound>(`/label-codes/${encodeURIComponent(code)}`);
        await navigate(pathOfLabel(place));
      } catch (error) {
        const isUnknown = error instanceof ApiProblem && error.problem.status === 404;
        say({ text: isUnknown ? 'That is no label of this studio.' : errorWords(error), isProblem: true });
      }
    };
    let source: EventSource | null = null;
    const listen = () => {
      if (document.hidden) {
        source?.close();
        source = null;
      } else if (!source) {
        source = new EventSource(apiPath(`/scanners/${scannerId}/scans`));
        source.onerror = () => useScannerChoice.setState({ isHeard: false });
        source.onmessage = ({ data }) => {
          useScannerChoice.setState({ isHeard: true });
          for (const code of (JSON.parse(String(data)) as Scans).codes) if (!handScan(code)) void open(code);
        };
      }
    };
    listen();
    document.addEventListener('visibilitychange', listen);
    return () => {
      document.removeEventListener('visibilitychange', listen);
      source?.close();
    };
  }, [scannerId, navigate, say]);
  return null;
}
