import { OWNER } from '../access/caller.ts';
import { PAPER_NAMES, type PaperName } from '@lanakit/core/papers';
import { LABEL_SHEET, type LabelSheet, type PageSize } from '@lanakit/core/run';
import { filed } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { PaperService } from '../services/paperService.ts';
import { Refusal } from '../services/refusal.ts';

/** Query fields of a sheet of labels, each a number. */
const SHEET_FIELDS = [
  'rows',
  'columns',
  'topMm',
  'leftMm',
  'heightMm',
  'widthMm',
  'gapDownMm',
  'gapAcrossMm',
  'used',
] as const satisfies readonly (keyof LabelSheet)[];
type SheetField = (typeof SHEET_FIELDS)[number];

/** Papers of a run as PDF and as tables, and the whole of a run as JSON. */
export const paperRoutes = (papers: PaperService): Route[] => [
  route({
    method: 'get',
    path: '/runs/:id/papers/:name/pdf',
    summary: 'A paper of a run as PDF, its fonts in it',
    roles: OWNER,
    query: ['page', 'marks', ...SHEET_FIELDS],
    answers: [200],
    handle: async ({ params: { id, name }, query, signal }) => {
      const paper = named(name);
      if (!paper) return new Refusal({ code: 'not_found' });
      return filed(
        await papers.pdf(id, paper, { sheet: readSheet(query), hasCropMarks: query.marks === 'yes' }, signal),
      );
    },
  }),
  route({
    method: 'get',
    path: '/runs/:id/papers/:name/csv',
    summary: 'A paper of a run as a table',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id, name } }) => {
      const paper = named(name);
      return paper ? filed(papers.csv(id, paper)) : new Refusal({ code: 'not_found' });
    },
  }),
  route({
    method: 'get',
    path: '/runs/:id/papers/:name/xlsx',
    summary: 'A paper of a run as a spreadsheet workbook, units in its headings',
    roles: OWNER,
    answers: [200],
    handle: async ({ params: { id, name } }) => {
      const paper = named(name);
      return paper ? filed(await papers.workbook(id, paper)) : new Refusal({ code: 'not_found' });
    },
  }),
  route({
    method: 'get',
    path: '/runs/:id/calendar',
    summary: 'Sittings of a class as iCalendar, with the days to order and to begin by',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => filed(papers.calendar(id)),
  }),
  route({
    method: 'get',
    path: '/runs/:id/json',
    summary: 'The whole of a run, with its portions',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => filed(papers.json(id)),
  }),
];

const named = (name: string): PaperName | undefined => PAPER_NAMES.find((paperName) => paperName === name);

function readSheet(query: Readonly<Partial<Record<SheetField | 'page', string | undefined>>>): LabelSheet {
  const page: PageSize = query.page === 'letter' ? 'letter' : 'a4';
  const fields = Object.fromEntries(
    SHEET_FIELDS.flatMap((field) => {
      const text = query[field];
      return text === undefined ? [] : [[field, Number(text)] as const];
    }),
  );
  return { ...LABEL_SHEET, ...fields, page };
}
