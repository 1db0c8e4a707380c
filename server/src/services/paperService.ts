import { makePaper, type PaperName, paperSource, type PaperSource, paperTable } from '@lanakit/core/papers';
import { checkLabelSheet, isOffShelf, type LabelSheet, revisionsOfRun, type Run } from '@lanakit/core/run';
import type { PdfTask } from '../papers/setPdf.ts';
import { todayOf, type ServiceDeps } from './deps.ts';
import { answering, assertSound, foundOr } from './refusal.ts';
import { inForceOf } from './runInForce.ts';
import { designsOf, shelfOf } from './runSources.ts';

export type PaperService = ReturnType<typeof paperService>;

/** What setting a paper takes beside the rest. */
export interface PaperDeps extends ServiceDeps {
  /** Sets a paper as a PDF. */
  readonly setPdf: (task: PdfTask) => Promise<Buffer>;
}

/** How a paper is set: on which page, or which sheet of labels. */
export interface PaperSetting {
  readonly sheet: LabelSheet;
  readonly hasCropMarks: boolean;
}

/** Papers of a run as PDF and as tables, and the whole of a run as JSON. */
export function paperService({ store, now, setPdf }: PaperDeps) {
  const found = (id: string): Run => foundOr(store.runs.find(id));
  const sourceOf = (run: Run): PaperSource => {
    const { packed, promised } = inForceOf(store, run, todayOf(now()));
    const revisions = revisionsOfRun(packed.input).flatMap((id) => store.patterns.findRevision(id) ?? []);
    return paperSource(packed, {
      designs: designsOf(store, packed.input),
      shelf: shelfOf(store),
      blends: store.shelf.blends(store.shelf.fibres()),
      needles: store.shelf.needles(),
      tools: store.shelf.tools(),
      evidence: store.trays.evidence(),
      promised,
      revisionNumbers: new Map(revisions.map(({ id, number }) => [id, number])),
      isPacked: isOffShelf(run.state),
    });
  };
  return answering({
    async pdf(runId: string, name: PaperName, { sheet, hasCropMarks }: PaperSetting) {
      const source = sourceOf(found(runId));
      if (name === 'labels') assertSound(checkLabelSheet(sheet));
      const paper = makePaper(name, source);
      const bytes = await setPdf({ paper, page: sheet.page, labels: sheet, hasCropMarks });
      return { bytes, mime: 'application/pdf', name: `${fileName(source)}-${name}.pdf` };
    },
    csv(runId: string, name: PaperName) {
      const source = sourceOf(found(runId));
      const bytes = Buffer.from(paperTable(makePaper(name, source)), 'utf8');
      return { bytes, mime: 'text/csv; charset=utf-8', name: `${fileName(source)}-${name}.csv` };
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

const fileName = ({ input }: PaperSource): string =>
  `${input.name.replaceAll(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}-${input.date}`;
