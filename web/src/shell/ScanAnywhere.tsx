import type { LabelPlaceFound, Scans } from '@lanakit/core/api';
import { useNavigate } from 'react-router';
import { ApiProblem, errorWords, get } from '../api/client.ts';
import { useServerEvents } from '../api/useServerEvents.ts';
import { handScan } from '../scan/scanHandlers.ts';
import { useScannerChoice } from '../scan/scannerChoice.ts';
import { useNotice } from './Notice.tsx';
import { pathOfLabel } from './pathOfLabel.ts';

/** Hears the scanner of this device, wherever in the studio one is: what the place itself does not take opens where it belongs. */
export function ScanAnywhere() {
  const scannerId = useScannerChoice((choice) => choice.scannerId);
  const navigate = useNavigate();
  const say = useNotice();
  const open = async (code: string) => {
    try {
      const place = await get<LabelPlaceFound>(`/label-codes/${encodeURIComponent(code)}`);
      await navigate(pathOfLabel(place));
    } catch (error) {
      const isUnknown = error instanceof ApiProblem && error.problem.status === 404;
      say({ text: isUnknown ? 'That is no label of this studio.' : errorWords(error), isProblem: true });
    }
  };
  useServerEvents<Scans>(scannerId === null ? null : `/scanners/${scannerId}/scans`, {
    onEvent: ({ codes }) => {
      useScannerChoice.setState({ isHeard: true });
      for (const code of codes) if (!handScan(code)) void open(code);
    },
    onLost: () => useScannerChoice.setState({ isHeard: false }),
  });
  return null;
}
