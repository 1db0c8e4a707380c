import { kitAgainst } from '@lanakit/core/needles';
import { makePaper, PAPER_NAMES, type PaperName, type PaperSource, paperTable } from '@lanakit/core/papers';
import {
  checkLabelSheet,
  isOffShelf,
  LABEL_SHEET,
  type LabelSheet,
  type PageSize,
  promiseOf,
  revisionsOfRun,
} from '@lanakit/core/run';
import { recipesOf } from '@lanakit/core/shelf';
import type { Store } from '../db/index.ts';
import { contentProblem, HttpProblem } from '../http/problems.ts';
import type { Route, RouteInput } from '../http/route.ts';
import { runInForce } from '../runBook.ts';
import { todayOf, type RouteDeps } from './deps.ts';
import { shelfOf } from './takings.ts';
import { kitOfRun } from './trays.ts';

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

/** Papers of a run as PDF and as tables, and the whole of a run as JSON. */
export function paperRoutes({ store, now, setPdf }: RouteDeps): Route[] {
  const sourceOf = (id: string): PaperSource => {
    const run = store.runs.find(id);
    if (!run) throw new HttpProblem('not_found');
    return paperSource(store, run.id, todayOf(now()));
  };
  const named = (name: string): PaperName => {
    const own = PAPER_NAMES.find((one) => one === name);
    if (!own) throw new HttpProblem('not_found');
    return own;
  };
  return [
    {
      method: 'get',
      path: '/runs/:id/papers/:name/pdf',
      summary: 'A paper of a run as PDF, its fonts in it',
      query: ['page', 'marks', ...SHEET_FIELDS],
      answers: [200],
      handle: async ({ params: { id = '', name = '' }, query }) => {
        const source = sourceOf(id);
        const own = named(name);
        const labels = readSheet(query);
        if (own === 'labels') checkSheet(labels);
        const paper = makePaper(own, source);
        const bytes = await setPdf({
          paper,
          page: labels.page,
          labels,
          hasCropMarks: query['marks'] === 'yes',
        });
        return {
          status: 200,
          file: { bytes, mime: 'application/pdf', name: `${fileName(source)}-${name}.pdf` },
        };
      },
    },
    {
      method: 'get',
      path: '/runs/:id/papers/:name/csv',
      summary: 'A paper of a run as a table',
      answers: [200],
      handle: ({ params: { id = '', name = '' } }) => {
        const source = sourceOf(id);
        const bytes = Buffer.from(paperTable(makePaper(named(name), source)), 'utf8');
        return {
          status: 200,
          file: { bytes, mime: 'text/csv; charset=utf-8', name: `${fileName(source)}-${name}.csv` },
        };
      },
    },
    {
      method: 'get',
      path: '/runs/:id/json',
      summary: 'The whole of a run, with its portions',
      answers: [200],
      handle: ({ params: { id = '' } }) => {
        const source = sourceOf(id);
        const { input, plan, packs } = source;
        const body = {
          format: 'lanakit-run',
          formatVersion: 1,
          run: input,
          state: store.runs.find(id)?.state,
          packs,
          portions: { ...plan, fibres: plan.fibres.map((row) => ({ ...row, byGroup: [...row.byGroup] })) },
          ticks: store.runs.ticks(id),
        };
        return {
          status: 200,
          file: {
            bytes: Buffer.from(JSON.stringify(body, null, 2), 'utf8'),
            mime: 'application/json',
            name: `${fileName(source)}.run.json`,
          },
        };
      },
    },
  ];
}

/** Everything papers of a run are made from. */
export function paperSource(store: Store, runId: string, today: string): PaperSource {
  const run = store.runs.find(runId);
  if (!run) throw new HttpProblem('not_found');
  const { input, toPack, plan, packs, wool, promised } = runInForce(store, run, today);
  const fibres = store.shelf.fibres();
  return {
    input,
    toPack,
    plan,
    packs,
    // What is on hand is today's, whatever the numbers were planned from.
    wool: { ...wool, findings: new Map(store.shelf.findings().map((finding) => [finding.id, finding])) },
    revisionNumbers: new Map(
      revisionsOfRun(input).flatMap((id) => {
        const revision = store.patterns.findRevision(id);
        return revision ? [[id, revision.number] as const] : [];
      }),
    ),
    kit:
      input.kind === 'class'
        ? kitAgainst(kitOfRun(store, run), (itemId) => promiseOf(promised, itemId).amount)
        : null,
    needles: store.shelf.needles(),
    tools: store.shelf.tools(),
    promised,
    shelf: shelfOf(store).fibres,
    isPacked: isOffShelf(run.state),
    recipes: recipesOf(store.shelf.blends(fibres)),
  };
}

const fileName = ({ input }: PaperSource): string =>
  `${input.name.replaceAll(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}-${input.date}`;

function readSheet(query: RouteInput['query']): LabelSheet {
  const page: PageSize = query['page'] === 'letter' ? 'letter' : 'a4';
  const said = Object.fromEntries(
    SHEET_FIELDS.flatMap((field) => {
      const text = query[field];
      return text === undefined ? [] : [[field, Number(text)] as const];
    }),
  );
  return { ...LABEL_SHEET, ...said, page };
}

function checkSheet(sheet: LabelSheet): void {
  const problems = checkLabelSheet(sheet);
  if (problems.length > 0) throw contentProblem('content_invalid', problems);
}
