import { benchBig } from './big.ts';
import { benchBuying } from './buying.ts';
import { benchBusy, benchBusyCore } from './busy.ts';
import { benchBrowser } from './browser.ts';
import { benchCore } from './core.ts';
import { benchFigure } from './figure.ts';
import { benchFirstJourney } from './firstJourney.ts';
import { benchGuide } from './guide.ts';
import type { Row } from './measure.ts';
import { benchServer, startServer } from './server.ts';
import { benchShelf } from './shelf.ts';
import { benchPdf, benchRuns } from './runs.ts';
import { benchNeedles } from './needles.ts';
import { benchWriting } from './writing.ts';

const rows: Row[] = [
  ...(await benchCore()),
  ...(await benchFigure()),
  ...(await benchGuide()),
  ...(await benchWriting()),
  ...(await benchNeedles()),
  ...(await benchRuns()),
  ...(await benchBusyCore()),
  ...(await benchBuying()),
];
const server = await startServer();
try {
  rows.push(
    ...(await benchServer(server)),
    ...(await benchBrowser(server)),
    ...(await benchShelf(server)),
    ...(await benchPdf(server)),
    ...(await benchBusy(server)),
  );
} finally {
  server.stop();
}
rows.push(...(await benchFirstJourney()));
rows.push(...(await benchBig()));
const widths = (['work', 'size', 'median', 'spread'] as const).map((column) => ({
  column,
  width: Math.max(column.length, ...rows.map((row) => row[column].length)),
}));
const line = (row: Row) => `| ${widths.map(({ column, width }) => row[column].padEnd(width)).join(' | ')} |`;
console.log(line({ work: 'work', size: 'size', median: 'median', spread: 'spread' }));
console.log(`|${widths.map(({ width }) => '-'.repeat(width + 2)).join('|')}|`);
for (const row of rows) console.log(line(row));
