import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { OpenedRun } from '@lanakit/core/api';
import { PAPER_NAMES, type PaperName } from '@lanakit/core/papers';
import { blankSeat } from '@lanakit/core/run';
import { readTable } from '@lanakit/core/tables';
import { XMLValidator } from 'fast-xml-parser';
import { strFromU8, unzipSync } from 'fflate';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import readWorkbook from 'read-excel-file/node';
import { workbookOf } from '../../src/papers/workbook.ts';
import { request } from '../support/request.ts';
import {
  addFibre,
  addPattern,
  ballPattern,
  openStudio,
  publish,
  runInput,
  type Studio,
} from '../support/studio.ts';

/** As a reader of spreadsheets sees it that is not ours. */
async function read(bytes: Buffer) {
  const [sheet] = await readWorkbook(bytes);
  if (!sheet) throw new Error('no sheet in the workbook');
  return { name: sheet.sheet, rows: sheet.data };
}

describe('a workbook', () => {
  test('numbers are numbers, words stay words whatever they begin with', async () => {
    const evil = ['=1+1', '+SUM(A1:A9)', '-2', '@cmd', '1e5', '\u0007bell', '007', ' spaced '];
    const bytes = await workbookOf({
      name: 'Pears: Saturday/Sunday [all of them, even those at home]',
      headings: ['Said', 'Wool (g)'],
      rows: evil.map((words, at) => [{ words }, { number: at + 0.25, decimals: 2 }]),
    });
    const { name, rows } = await read(bytes);
    expect(name.length).toBeLessThanOrEqual(31);
    expect(rows.slice(1).map(([, number]) => number)).toEqual(evil.map((_, at) => at + 0.25));
    expect(rows.slice(1).map(([words]) => String(words).trim())).toEqual(
      evil.map((words) => words.replace('\u0007', '').trim()),
    );
    const files = Object.entries(unzipSync(new Uint8Array(bytes))).filter(([path]) =>
      /\.(xml|rels)$/.test(path),
    );
    expect(files.length).toBeGreaterThan(4);
    for (const [path, content] of files) {
      expect([path, XMLValidator.validate(strFromU8(content))]).toEqual([path, true]);
      expect(strFromU8(content)).not.toMatch(/<f[ >]/);
    }
  });
});

/** By a reader that is not ours: its letters, hyphens and breaks of lines not counted, and what stands beyond the edges of its pages. */
async function readPdf(bytes: Buffer): Promise<{ letters: string; beyond: string[] }> {
  const loading = getDocument({ data: new Uint8Array(bytes), useSystemFonts: false, verbosity: 0 });
  const pdf = await loading.promise;
  const pages = await Promise.all(
    Array.from({ length: pdf.numPages }, async (_each, at) => {
      const page = await pdf.getPage(at + 1);
      const [, , widthPt = 0] = page.view;
      const items = (await page.getTextContent()).items.flatMap((item) => ('str' in item ? [item] : []));
      const beyond = items.filter(
        ({ transform, width }) =>
          Number(transform[4]) < 0 || Number(transform[4]) + width > widthPt - EDGE_PT,
      );
      return { letters: items.map(({ str }) => str).join(''), beyond: beyond.map(({ str }) => str) };
    }),
  );
  await loading.destroy();
  return {
    letters: pages
      .map(({ letters }) => letters)
      .join('')
      .replaceAll(/\s/g, ''),
    beyond: pages.flatMap(({ beyond }) => beyond),
  };
}
/** No printer reaches the last quarter of an inch. */
const EDGE_PT = 18;
const LONG = 'of wool that was washed, carded, dyed and combed by hand ';

let studio: Studio;
let runId: string;
beforeAll(async () => {
  studio = openStudio();
  const fibre = await addFibre(studio, { name: `Chalk & foam ${LONG}`.trim() }, 250);
  const revisionId = await publish(
    studio,
    await addPattern(studio, ballPattern(fibre.id, { title: `A ball ${LONG}${LONG}`.trim() })),
  );
  const input = runInput(revisionId, {
    seats: 3,
    roster: [{ ...blankSeat(1), name: '=HYPERLINK("x")', note: LONG.repeat(3) }],
  });
  runId = ((await request(studio.app).post('/api/runs').send(input).expect(201)).body as OpenedRun).id;
});
afterAll(() => studio.close());

const fileOf = async (name: PaperName, form: 'pdf' | 'xlsx') => {
  const answer = await request(studio.app)
    .get(`/api/runs/${runId}/papers/${name}/${form}`)
    .responseType('blob')
    .expect(200);
  expect(answer.headers['content-disposition']).toContain(`-${name}.${form}`);
  return answer.body as Buffer;
};
const tableOf = async (name: PaperName) =>
  readTable((await request(studio.app).get(`/api/runs/${runId}/papers/${name}/csv`).expect(200)).text, ',');

describe.each(PAPER_NAMES)('%s of a class', (name) => {
  test('as a workbook says what its CSV says, and its numbers can be added up', async () => {
    const { rows } = await read(await fileOf(name, 'xlsx'));
    const { header, rows: lines } = await tableOf(name);
    const [headings = [], ...cells] = rows;
    // Only what is added up changes its heading, by its unit.
    expect(headings.map((heading) => String(heading).replace(/ \((g|m|ml|cm²)\)$/, ''))).toEqual(header.map((heading) => (heading === 'Grams' ? 'Wool' : heading)));
    expect(cells.length).toBe(lines.length);
    lines.forEach((line, at) =>
      [...line.cells.values()].forEach((told, column) => {
        const value = cells[at]?.[column] ?? '';
        if (typeof value === 'number') expect([told, Number.parseFloat(told)]).toEqual([told, value]);
        else expect(String(value)).toContain(told);
      }));
  });
  test('as PDF has every word and number of its table, and none beyond its page', async () => {
    const { letters, beyond } = await readPdf(await fileOf(name, 'pdf'));
    expect(beyond).toEqual([]);
    const { rows } = await tableOf(name);
    const told = new Set(rows.flatMap(({ cells }) => [...cells.values()].flatMap((cell) => cell.split(/\s+/))));
    // A label of the only bag says what is in it and not which bag it is; the table has to name it.
    told.delete('figure');
    expect([...told].filter((word) => !letters.includes(word))).toEqual([]);
  });
}); // prettier-ignore

test('any table that is shown comes back as a workbook, and none of it is kept', async () => {
  const studio = openStudio();
  const csv = '\ufeffWhat,Wool (g)\r\n"Chalk, core",12.50\r\n\'=1+1,0.3\r\n';
  const answer = await request(studio.app).post('/api/tables/xlsx').set('X-Lanakit', '1').send({ name: 'Year 2026', csv }).responseType('blob').expect(200);
  const { name, rows } = await read(answer.body as Buffer);
  expect(name).toBe('Year 2026');
  expect(rows).toEqual([['What', 'Wool (g)'], ['Chalk, core', 12.5], ['=1+1', 0.3]]);
  await request(studio.app).post('/api/tables/xlsx').set('X-Lanakit', '1').send({ name: 'No table' }).expect(400);
  studio.close();
}); // prettier-ignore
