import { makePaper, type PaperName, type PaperSource, paperTable, workbookSheet } from '@lanakit/core/papers';
import { checkLabelSheet, type LabelSheet, type Run } from '@lanakit/core/run';
import { WORKBOOK_MIME, workbookOf } from '../papers/workbook.ts';
import { todayOf, type WorkDeps } from './deps.ts';
import { classCalendarOf } from './classCalendar.ts';
import { paperSourceOf } from './paperSourceOf.ts';
import { buyingDaysAhead } from './wantsAhead.ts';
import { answering, assertSound, foundOr } from './refusal.ts';

export type PaperService = ReturnType<typeof paperService>;

/** How a paper is set: on which page, or which sheet of labels. */
export interface PaperSetting {
  readonly sheet: LabelSheet;
  readonly hasCropMarks: boolean;
}

/** Papers of a run as PDF and as tables, and the whole of a run as JSON. */
export function paperService({ store, now, work }: WorkDeps) {
  const found = (id: string): Run => foundOr(store.runs.find(id));
  const sourceOf = (run: Run) => paperSourceOf(store, run, todayOf(now()));
  return answering({
    /** @param signal nobody waits for it any more */
    async pdf(runId: string, name: PaperName, { sheet, hasCropMarks }: PaperSetting, signal?: AbortSignal) {
      const { input } = sourceOf(found(runId));
      if (name === 'labels') assertSound(checkLabelSheet(sheet));
      // As it is when its turn comes.
      const make = () => makePaper(name, sourceOf(found(runId)));
      const bytes = await work.setPdf(
        () => ({ paper: make(), page: sheet.page, labels: sheet, hasCropMarks }),
        signal,
      );
      return { bytes, mime: 'application/pdf', name: `${fileName({ input })}-${name}.pdf` };
    },
    csv(runId: string, name: PaperName) {
      const source = sourceOf(found(runId));
      const bytes = Buffer.from(paperTable(makePaper(name, source)), 'utf8');
      return { bytes, mime: 'text/csv; charset=utf-8', name: `${fileName(source)}-${name}.csv` };
    },
    async workbook(runId: string, name: PaperName) {
      const source = sourceOf(found(runId));
      const bytes = await workbookOf(workbookSheet(makePaper(name, source)));
      return { bytes, mime: WORKBOOK_MIME, name: `${fileName(source)}-${name}.xlsx` };
    },
    /** Sittings of a class, and the days before it. */
    calendar(runId: string) {
      const run = found(runId);
      const ahead = buyingDaysAhead(store, todayOf(now())).find((days) => days.run.id === runId);
      const days = ahead ? { orderBy: ahead.isShort ? ahead.day : null, prepareBy: ahead.prepareBy } : null;
      const bytes = classCalendarOf(run, days, now());
      return { bytes, mime: 'text/calendar; charset=utf-8', name: `${fileName({ input: run })}.ics` };
    },
    json(runId: string) {
      const run = found(runId);
      const source = sourceOf(run);
      const { input, plan, packs } = source;
      const body = {
        format: 'lanakit-run',
        formatVersion: 1,
        run: input,
        state: run.state,
        packs,
        portions: { ...plan, fibres: plan.fibres.map((row) => ({ ...row, byGroup: [...row.byGroup] })) },
        ticks: store.runs.ticks(runId),
      };
      const bytes = Buffer.from(JSON.stringify(body, null, 2), 'utf8');
      return { bytes, mime: 'application/json', name: `${fileName(source)}.run.json` };
    },
  });
}

const fileName = ({ input }: Pick<PaperSource, 'input'>): string =>
  `${input.name.replaceAll(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}-${input.date}`;
