import { strict } from '@lanakit/core/base';
import { OrderDocument } from '@lanakit/core/buying';
import { ClassAct } from '@lanakit/core/classDay';
import { CommissionInput } from '@lanakit/core/commissions';
import { TranslationInput } from '@lanakit/core/translation';
import { CuttingDocument } from '@lanakit/core/cutting';
import { Learnt } from '@lanakit/core/learning';
import { MakingInput } from '@lanakit/core/logbook';
import { Pattern } from '@lanakit/core/pattern';
import { RunInput } from '@lanakit/core/run';
import {
  BlendInput,
  FibreInput,
  FindingInput,
  LotInput,
  NeedleInput,
  SupplierInput,
  ToolInput,
} from '@lanakit/core/shelf';
import { TechniqueInput } from '@lanakit/core/writing';
import { sharedSchema } from '../sharedSchema.ts';
import { type TObject, type TSchema, Type } from '@sinclair/typebox';
import type { CellKind, Sheet, SheetColumn } from '../../db/sheets.ts';

/** Whether a thing is archived stands beside its properties, not in them. */
const asStored = (input: TObject): TSchema => Type.Omit(input, ['archived'], strict);

/** What is in the documents of each sheet, by the name of the sheet and the key. */
const DOCUMENTS: Readonly<Record<string, TSchema>> = {
  'shelf/fibres properties': asStored(FibreInput),
  'shelf/blends properties': asStored(BlendInput),
  'shelf/findings properties': asStored(FindingInput),
  'shelf/needles properties': asStored(NeedleInput),
  'shelf/tools properties': asStored(ToolInput),
  'shelf/suppliers properties': asStored(SupplierInput),
  'shelf/lots properties': LotInput,
  'technique-versions document': TechniqueInput,
  'patterns document': Pattern,
  'revisions document': Pattern,
  'runs document': RunInput,
  'orders document': OrderDocument,
  'cutting-plans document': CuttingDocument,
  'class-events what': ClassAct,
  'makings document': MakingInput,
  'makings build': Pattern,
  'commissions document': CommissionInput,
  'translations document': TranslationInput,
  'learnt document': Type.Object({ learnt: Learnt, evidenceIds: Type.Array(Type.String()) }, strict),
};

/** Numbers of a run, and what was before: as the Lanakit that wrote them had them. */
const ANY_DOCUMENT = Type.Record(Type.String(), Type.Unknown());

export const documentSchema = (sheet: Sheet, { key }: SheetColumn): TSchema =>
  DOCUMENTS[`${sheet.name} ${key}`] ?? ANY_DOCUMENT;

const LONGEST_TEXT = 20_000;
const MOMENT = '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}:\\d{2}(\\.\\d+)?Z$';

const CELLS: Readonly<Record<Exclude<CellKind, 'document' | 'bytes'>, (about: string) => TSchema>> = {
  id: (description) => Type.String({ minLength: 1, maxLength: 64, description }),
  text: (description) => Type.String({ maxLength: LONGEST_TEXT, description }),
  whole: (description) =>
    Type.Integer({ minimum: Number.MIN_SAFE_INTEGER, maximum: Number.MAX_SAFE_INTEGER, description }),
  number: (description) => Type.Number({ description }),
  yesNo: (description) => Type.Boolean({ description }),
  moment: (description) => Type.String({ pattern: MOMENT, maxLength: 40, description }),
  day: (description) => Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}$', description }),
};

function cellSchema(sheet: Sheet, column: SheetColumn): TSchema {
  const { is, about, isApart } = column;
  if (isApart) return Type.String({ minLength: 1, maxLength: 200, description: about });
  if (is === 'document') return documentSchema(sheet, column);
  return is === 'bytes' ? Type.String() : CELLS[is](about);
}

/** One row of a sheet. */
export const rowSchema = (sheet: Sheet): TObject =>
  Type.Object(
    Object.fromEntries(
      sheet.columns.map((column) => {
        const cell = cellSchema(sheet, column);
        // What may be null may be missing too: a Lanakit that knew less of it wrote none.
        return [column.key, column.canBeNull ? Type.Optional(Type.Union([cell, Type.Null()])) : cell];
      }),
    ),
    strict,
  );

/** The whole of a sheet, as it is described to whoever reads it without Lanakit. */
export const sheetSchema = (sheet: Sheet): TSchema =>
  described(Type.Array(rowSchema(sheet)), sheet.name, sheet.about);

/** A schema to be read by itself: what stands in it more than once is said once. */
export const described = (schema: TSchema, title: string, description: string): TSchema => {
  const $schema = 'https://json-schema.org/draft/2020-12/schema';
  return { $schema, title, description, ...sharedSchema(schema) };
};
