import { tableSheet } from '@lanakit/core/papers';
import { strict } from '@lanakit/core/base';
import { Type } from '@sinclair/typebox';
import { OWNER } from '../access/caller.ts';
import { route, type Route } from '../http/route.ts';
import { WORKBOOK_MIME, workbookOf } from '../papers/workbook.ts';

const Table = Type.Object(
  { name: Type.String({ maxLength: 120 }), csv: Type.String({ maxLength: 8_000_000 }) },
  strict,
);

/** Any table that is shown, as a workbook. */
export const tableRoutes = (): Route[] => [
  route({
    method: 'post',
    path: '/tables/xlsx',
    summary: 'A table in CSV (commas, decimal points) as a spreadsheet workbook; nothing of it is kept',
    roles: OWNER,
    body: Table,
    largestBody: '16mb',
    isPassing: true,
    answers: [200],
    handle: async ({ body: { name, csv } }) => ({
      status: 200,
      file: { bytes: await workbookOf(tableSheet(name, csv)), mime: WORKBOOK_MIME, name: `${name}.xlsx` },
    }),
  }),
];
