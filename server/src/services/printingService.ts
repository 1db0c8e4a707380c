import type { LabelPlaceFound } from '@lanakit/core/api';
import { oneOf, orUnknown, strict } from '@lanakit/core/base';
import type { PrinterPiece } from '@lanakit/core/labelling';
import { makePaper, ROLL_SIZES, rollPieces, sheetPieces, sizeForLabels } from '@lanakit/core/papers';
import {
  checkLabelSheet,
  LABEL_SHEET,
  packLines,
  PAGE_SIZES_MM,
  type PageSize,
  placeOfCode,
  readLabelCode,
  type Run,
  runSigns,
  weighings,
} from '@lanakit/core/run';
import { type Static, Type } from '@sinclair/typebox';
import type { Store } from '../db/index.ts';
import { todayOf, type ServiceDeps } from './deps.ts';
import { paperSourceOf } from './paperSourceOf.ts';
import { answering, assertSound, foundOr, Refusal } from './refusal.ts';
import { inForceOf } from './runInForce.ts';
import { gearOf } from './runSources.ts';

const Mm = Type.Number({ minimum: 0, maximum: 400 });
const Count = Type.Integer({ minimum: 0, maximum: 400 });

/** What is to be printed of a run’s labels, and on what. */
export const LabelJob = Type.Object(
  {
    runId: Type.String({ minLength: 1, maxLength: 40 }),
    /** Codes of the labels; null: all of them. */
    codes: orUnknown(Type.Array(Type.String({ maxLength: 40 }), { maxItems: 1000 })),
    /** Labels off a roll, one by one, of the size that is in it; null: the smallest that does. Or sheets. */
    on: Type.Union([
      Type.Object({ as: Type.Literal('roll'), size: orUnknown(Type.Object({ widthMm: Mm, heightMm: Mm }, strict)) }, strict),
      Type.Object(
        {
          as: Type.Literal('sheets'),
          sheet: Type.Object(
            {
              page: oneOf(Object.keys(PAGE_SIZES_MM) as PageSize[]),
              rows: Count,
              columns: Count,
              topMm: Mm,
              leftMm: Mm,
              heightMm: Mm,
              widthMm: Mm,
              gapDownMm: Mm,
              gapAcrossMm: Mm,
              used: Count,
            },
            strict,
          ),
        },
        strict,
      ),
    ]),
  },
  strict,
); // prettier-ignore
export type LabelJob = Static<typeof LabelJob>;

export type PrintingService = ReturnType<typeof printingService>;

/** Labels of runs as printers take them. */
export function printingService({ store, now, newId }: ServiceDeps) {
  return answering({
    /** Where the label with this code belongs. */
    find(text: string): LabelPlaceFound {
      const read = readLabelCode(text);
      if (read.kind !== 'code') throw new Refusal({ code: 'not_found' });
      for (const run of store.runs.all()) {
        // Cheap first: few runs begin with these signs.
        if (!read.code.startsWith(runSigns(run.id))) continue;
        const place = placeOfCode(read.code, run.id, bagsOfPacks(store, run, todayOf(now())));
        if (place) return { runId: run.id, runName: run.name, packId: place.packId, bagKey: place.bagKey };
      }
      throw new Refusal({ code: 'not_found' });
    },
    pieces({ runId, codes, on }: LabelJob): PrinterPiece[] {
      const paper = makePaper(
        'labels',
        paperSourceOf(store, foundOr(store.runs.find(runId)), todayOf(now())),
      );
      const wanted = codes === null ? null : new Set(codes);
      const labels = wanted === null ? paper.labels : paper.labels.filter(({ code }) => wanted.has(code));
      const chosen = { ...paper, labels };
      if (on.as === 'sheets') {
        const sheet = { ...LABEL_SHEET, ...on.sheet };
        assertSound(checkLabelSheet(sheet));
        return sheetPieces(chosen, sheet, newId);
      }
      const size = on.size ?? sizeForLabels(chosen) ?? ROLL_SIZES[0];
      if (!size || size.widthMm < LEAST_MM || size.heightMm < LEAST_MM)
        assertSound([
          {
            code: 'field_wrong',
            pointer: '/on/size',
            reason: `is smaller than ${LEAST_MM} mm: no label can be read`,
          },
        ]);
      return rollPieces(chosen, size as { widthMm: number; heightMm: number }, newId);
    },
  });
}

const LEAST_MM = 15;

/** Every pack with the keys of its bags. */
function bagsOfPacks(store: Store, run: Run, today: string) {
  const { packed } = inForceOf(store, run, today);
  const { plan, packs, wool, input } = packed;
  const all = weighings(plan, packs, wool.fibres, input.scaleStepG);
  const { needles } = gearOf(store);
  return packs.map((pack) => ({
    packId: pack.id,
    bagKeys: packLines(packed, pack, needles, all, new Map()).flatMap((line) =>
      line.kind === 'bag' ? [line.bag.key] : [],
    ),
  }));
}
