import {
  type At,
  type BaseProblem,
  type Bounds,
  checkRange,
  oneOf,
  orUnknown,
  strict,
} from '../base/index.ts';
import { Type, type Static } from '@sinclair/typebox';
import { cutsOf, type CutStick } from './lengthTask.ts';
import { outlineMm2 } from './nestedBlocks.ts';
import {
  type CutArea,
  type CutSheet,
  isKept,
  partsOf,
  type SheetPiece,
  type SheetPlan,
  type SheetTask,
  type TemplateBlock,
} from './sheetTask.ts';

const Mm = Type.Number({ description: 'mm' });

/** How this maker cuts. Ours until she says otherwise. */
export const CuttingTerms = Type.Object(
  {
    kerfMm: Type.Number({ description: 'mm lost with each cut: nothing by scissors, something by a saw' }),
    endWasteMm: Type.Number({ description: 'mm of no use at the end of each stick or reel' }),
    marginMm: Type.Number({ description: 'mm of no use all round each sheet' }),
    offcutFromMm: Type.Number({ description: 'mm; what is left over and no smaller goes back to the shelf' }),
    /** Left out in what was written before: no. */
    keepsPacksTogether: Type.Optional(
      Type.Boolean({ description: 'the pieces of one pack are cut from one length' }),
    ),
  },
  strict,
);
export type CuttingTerms = Static<typeof CuttingTerms>;

export const CUTTING_TERMS: CuttingTerms = { kerfMm: 0, endWasteMm: 0, marginMm: 0, offcutFromMm: 50 };

export const CUTTING_BOUNDS = {
  kerfMm: { min: 0, max: 10 },
  endWasteMm: { min: 0, max: 500 },
  marginMm: { min: 0, max: 100 },
  offcutFromMm: { min: 1, max: 5000 },
} as const satisfies Record<Exclude<keyof CuttingTerms, 'keepsPacksTogether'>, Bounds>;

export const checkCuttingTerms = (terms: CuttingTerms): BaseProblem[] =>
  (Object.keys(CUTTING_BOUNDS) as (keyof typeof CUTTING_BOUNDS)[]).flatMap((key) =>
    checkRange(terms[key], CUTTING_BOUNDS[key], `/${key}`),
  );

/** Where a stick or sheet comes from. */
const CUT_SOURCES = ['whole', 'rest', 'offcut', 'bought'] as const;

/** Corners of what is cut round, mm on its sheet, or of a piece from the corner of its box. */
const Corner = Type.Unsafe<[number, number]>(Type.Array(Mm, { minItems: 2, maxItems: 2 }));
const Outline = Type.Array(Corner, { minItems: 3, maxItems: 600 });

const CutPart = Type.Object(
  {
    kind: oneOf(['piece', 'rest'] as const),
    key: orUnknown(Type.String({ maxLength: 200, description: 'of which piece; null: a rest' })),
    xMm: Mm,
    yMm: Mm,
    lengthMm: Mm,
    widthMm: Type.Number({ description: 'mm; 0: it is cut by length alone' }),
    isTurned: Type.Boolean(),
    isKept: Type.Boolean({ description: 'a rest that goes back to the shelf' }),
    /** Cut round; left out: it is cut straight. */
    outline: Type.Optional(Outline),
  },
  strict,
);
type CutPart = Static<typeof CutPart>;

const CutLine = Type.Object(
  {
    blade: oneOf(['across', 'along'] as const),
    xMm: Mm,
    yMm: Mm,
    spanMm: Type.Number({ description: 'mm; how long the cut is; 0 of a stick' }),
  },
  strict,
);
type CutLine = Static<typeof CutLine>;

/** One stick or sheet, with its cuts in their order and what becomes of it. */
const CutStock = Type.Object(
  {
    source: oneOf(CUT_SOURCES),
    offcutId: orUnknown(Type.String({ maxLength: 40 })),
    lengthMm: Mm,
    widthMm: Type.Number({ description: 'mm; 0: it is cut by length alone' }),
    cuts: Type.Array(CutLine, { maxItems: 2000 }),
    parts: Type.Array(CutPart, { maxItems: 4000 }),
  },
  strict,
);
export type CutStock = Static<typeof CutStock>;

const PlannedPiece = Type.Object(
  {
    key: Type.String({ minLength: 1, maxLength: 200 }),
    name: Type.String({ maxLength: 200 }),
    runId: Type.String({ minLength: 1, maxLength: 40 }),
    lengthMm: Mm,
    widthMm: Type.Number({ description: 'mm; 0: it is cut by length alone' }),
    /** It is cut round; left out: it is its box. */
    outline: Type.Optional(Outline),
  },
  strict,
);
export type PlannedPiece = Static<typeof PlannedPiece>;

/** A plan that is being cut: of one thing of the shelf, for some runs. */
export const CuttingInput = Type.Object(
  {
    itemId: Type.String({ minLength: 1, maxLength: 40 }),
    pieces: Type.Array(PlannedPiece, { minItems: 1, maxItems: 2000 }),
    stocks: Type.Array(CutStock, { minItems: 1, maxItems: 2000 }),
    terms: CuttingTerms,
  },
  strict,
);
export type CuttingInput = Static<typeof CuttingInput>;

export const CuttingDocument = Type.Object(
  {
    ...CuttingInput.properties,
    done: Type.Array(
      Type.Object(
        {
          stock: Type.Integer({ minimum: 0, description: 'which of its sticks or sheets, from 0' }),
          offcutIds: Type.Array(Type.String({ maxLength: 40 }), {
            description: 'of what went back to the shelf',
          }),
          wasteAmount: Type.Number({ description: 'what left the shelf as waste, in the thing’s unit' }),
          lotId: Type.Optional(
            Type.String({ maxLength: 40, description: 'of felt: the lot it left, by the gram' }),
          ),
        },
        strict,
      ),
      { maxItems: 2000, description: 'in the order they were ticked' },
    ),
  },
  strict,
);
export type CuttingDocument = Static<typeof CuttingDocument>;

export interface CuttingPlan extends CuttingDocument {
  readonly id: string;
  readonly version: number;
}

export type CuttingProblem = At &
  (
    | { readonly code: 'part_outside'; readonly stock: number }
    | { readonly code: 'piece_unknown'; readonly key: string }
  );

/** A plan that could not be cut: what lies outside its sheet, or is nobody’s piece. */
export function checkCutting({ pieces, stocks, terms }: CuttingInput): (CuttingProblem | BaseProblem)[] {
  const keys = new Set(pieces.map(({ key }) => key));
  return [
    ...checkCuttingTerms(terms),
    ...stocks.flatMap(({ parts, lengthMm, widthMm }, stock) =>
      parts.flatMap((part, at): CuttingProblem[] => {
        const pointer = `/stocks/${stock}/parts/${at}`;
        const isOutside =
          part.xMm < -0.01 ||
          part.yMm < -0.01 ||
          part.xMm + part.lengthMm > lengthMm + 0.01 ||
          part.yMm + part.widthMm > widthMm + 0.01;
        return [
          ...(isOutside ? [{ code: 'part_outside', pointer, stock } as const] : []),
          ...(part.kind === 'piece' && !keys.has(part.key ?? '')
            ? [{ code: 'piece_unknown', pointer, key: part.key ?? '' } as const]
            : []),
        ];
      }),
    ),
  ];
}

/** In the unit it is stocked in: metres of what is cut by length, cm² of sheet. */
export const amountOfCut = ({ lengthMm, widthMm }: Pick<CutPart, 'lengthMm' | 'widthMm'>): number =>
  widthMm > 0 ? (lengthMm * widthMm) / 100 : lengthMm / 1000;

/** What of a stick or sheet is neither a piece nor goes back to the shelf, in the thing’s unit. */
export const wasteOfStock = (stock: CutStock): number =>
  Math.max(
    0,
    amountOfCut(stock) -
      stock.parts
        .filter(({ kind, isKept: goesBack }) => kind === 'piece' || goesBack)
        .reduce((sum, part) => sum + amountOfPart(part), 0),
  );

/** Of what is cut round what is within it. */
const amountOfPart = (part: CutPart): number =>
  part.outline ? outlineMm2(part.outline) / 100 : amountOfCut(part);

type Source = Pick<CutStock, 'source' | 'offcutId'>;

/** A stick as it is drawn and ticked. */
export function stockOfStick(stick: CutStick, from: Source, kerfMm: number): CutStock {
  let xMm = 0;
  const parts: CutPart[] = [];
  const cuts: CutLine[] = [];
  const count = cutsOf(stick);
  for (const { key, lengthMm } of stick.pieces) {
    parts.push({ kind: 'piece', key, xMm, yMm: 0, lengthMm, widthMm: 0, isTurned: false, isKept: false });
    xMm += lengthMm;
    if (cuts.length < count) cuts.push({ blade: 'across', xMm, yMm: 0, spanMm: 0 });
    xMm += kerfMm;
  }
  if (stick.restMm > 0.01)
    parts.push({
      kind: 'rest',
      key: null,
      xMm: stick.lengthMm - stick.restMm,
      yMm: 0,
      lengthMm: stick.restMm,
      widthMm: 0,
      isTurned: false,
      isKept: stick.isOffcut,
    });
  return { ...from, lengthMm: stick.lengthMm, widthMm: 0, cuts, parts };
}

/** A sheet as it is drawn and ticked: its cuts in their order. */
export function stockOfSheet(
  sheet: CutSheet,
  from: Source,
  terms: Pick<CuttingTerms, 'offcutFromMm'>,
  { blocks, pieces }: Pick<SheetPlan, 'blocks'> & Pick<SheetTask, 'pieces'>,
): CutStock {
  const byKey = new Map(pieces.map((piece) => [piece.key, piece]));
  return {
    ...from,
    lengthMm: sheet.lengthMm,
    widthMm: sheet.widthMm,
    cuts: linesOf(sheet.root),
    parts: partsOf(sheet.root)
      .filter(({ area }) => area.lengthMm > 0.01 && area.widthMm > 0.01)
      .flatMap((part): CutPart[] =>
        part.kind === 'rest'
          ? [{ kind: 'rest', key: null, ...part.area, isTurned: false, isKept: isKept(part.area, terms) }]
          : cutRound(part, blocks.get(part.key) ?? null, byKey.get(part.key)),
      ),
  };
}

/** A piece as it is cut: its box; of a template its outline, of a row of them each. */
function cutRound(
  { area, key, isTurned }: Extract<CutArea, { kind: 'piece' }>,
  block: TemplateBlock | null,
  piece: SheetPiece | undefined,
): CutPart[] {
  const template = block?.piece ?? piece;
  const outline = template?.outline;
  if (!template || !outline) return [{ kind: 'piece', key, ...area, isTurned, isKept: false }];
  const whole = block ?? { ...template, places: [{ xMm: 0, yMm: 0, isHalfTurned: false }] };
  return whole.places.map(({ xMm, yMm, isHalfTurned }): CutPart => {
    const { lengthMm, widthMm } = template;
    const points = outline.map(([x, y]) => {
      const [u, v] = isHalfTurned ? [lengthMm - x, widthMm - y] : [x, y];
      // A turned rectangle is turned by a quarter, not mirrored.
      const [right, down] = isTurned ? [whole.widthMm - (v + yMm), u + xMm] : [u + xMm, v + yMm];
      return [area.xMm + right, area.yMm + down] as [number, number];
    });
    const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
    const [left, top] = [Math.min(...xs), Math.min(...ys)];
    return {
      kind: 'piece',
      key: template.key,
      xMm: left,
      yMm: top,
      lengthMm: Math.max(...xs) - left,
      widthMm: Math.max(...ys) - top,
      isTurned,
      isKept: false,
      outline: points,
    };
  });
}

function linesOf(cut: CutArea): CutLine[] {
  if (cut.kind !== 'cut') return [];
  const { area, blade, atMm } = cut;
  const line: CutLine =
    blade === 'across'
      ? { blade, xMm: area.xMm + atMm, yMm: area.yMm, spanMm: area.widthMm }
      : { blade, xMm: area.xMm, yMm: area.yMm + atMm, spanMm: area.lengthMm };
  return [line, ...linesOf(cut.first), ...linesOf(cut.second)];
}
