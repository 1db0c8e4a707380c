import { benchBig } from './big.ts';
import { benchBooklets } from './booklets.ts';
import { benchBuying } from './buying.ts';
import { benchBusy, benchBusyCore } from './busy.ts';
import { benchBrowser } from './browser.ts';
import { benchCore } from './core.ts';
import { benchFigure } from './figure.ts';
import { benchFirstJourney } from './firstJourney.ts';
import { benchGuide } from './guide.ts';
import { benchLogbook } from './logbook.ts';
import type { Row } from './measure.ts';
import { benchServer, startServer } from './server.ts';
import { benchClassDay } from './classDay.ts';
import { benchShelf } from './shelf.ts';
import { benchPdf, benchRuns } from './runs.ts';
import { benchScale } from './scale.ts';
import { benchTimetable } from './timetable.ts';
import { benchNeedles } from './needles.ts';
import { benchWriting } from './writing.ts';

/** `npm run bench -- buying browser`: those alone; all of them without a name. */
const asked = process.argv.slice(2);
const isAsked = (name: string): boolean => asked.length === 0 || asked.includes(name);

const ALONE: readonly (readonly [name: string, bench: () => Promise<Row[]>])[] = [
  ['core', benchCore],
  ['figure', benchFigure],
  ['guide', benchGuide],
  ['writing', benchWriting],
  ['needles', benchNeedles],
  ['runs', benchRuns],
  ['timetable', benchTimetable],
  ['busy', benchBusyCore],
  ['buying', benchBuying],
];
type Server = Awaited<ReturnType<typeof startServer>>;
const ON_SERVER: readonly (readonly [name: string, bench: (server: Server) => Promise<Row[]>])[] = [
  ['server', benchServer],
  ['browser', benchBrowser],
  ['shelf', benchShelf],
  ['pdf', benchPdf],
  ['busy', benchBusy],
  ['booklets', benchBooklets],
];

const rows: Row[] = [];
for (const [name, bench] of ALONE) if (isAsked(name)) rows.push(...(await bench()));
if (ON_SERVER.some(([name]) => isAsked(name))) {
  const server = await startServer();
  try {
    for (const [name, bench] of ON_SERVER) if (isAsked(name)) rows.push(...(await bench(server)));
  } finally {
    server.stop();
  }
}
if (isAsked('scale')) rows.push(...(await benchScale()));
if (isAsked('class')) rows.push(...(await benchClassDay()));
if (isAsked('logbook')) rows.push(...(await benchLogbook()));
if (isAsked('journey')) rows.push(...(await benchFirstJourney()));
if (isAsked('big')) rows.push(...(await benchBig()));
const widths = (['work', 'size', 'median', 'spread'] as const).map((column) => ({
  column,
  width: Math.max(column.length, ...rows.map((row) => row[column].length)),
}));
const line = (row: Row) => `| ${widths.map(({ column, width }) => row[column].padEnd(width)).join(' | ')} |`;
console.log(line({ work: 'work', size: 'size', median: 'median', spread: 'spread' }));
console.log(`|${widths.map(({ width }) => '-'.repeat(width + 2)).join('|')}|`);
for (const row of rows) console.log(line(row));
