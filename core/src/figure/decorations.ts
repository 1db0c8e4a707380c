import { type Count, countRange, mmOrNull, type Part, type Use } from '../pattern/index.ts';
import type { Solid } from '../shapes/index.ts';

/** Something laid on a piece, drawn at its true size where we put it; in mm of the front view. */
export type Decoration =
  | {
      readonly kind: 'ellipse';
      readonly fibreId: string | null;
      readonly xMm: number;
      readonly yMm: number;
      readonly rxMm: number;
      readonly ryMm: number;
    }
  | {
      readonly kind: 'line';
      readonly fibreId: string | null;
      readonly xMm: number;
      readonly yMm: number;
      readonly lengthMm: number;
      /** Down the piece, where it is too long to lie across. */
      readonly isUpright: boolean;
    }
  /** From the top down to here. */
  | { readonly kind: 'share'; readonly fibreId: string | null; readonly fraction: number }
  | {
      readonly kind: 'hair';
      readonly fibreId: string | null;
      readonly xMm: number;
      readonly yMm: number;
      readonly lineMm: number;
      readonly dropMm: number;
    }
  /** Something inside that is no wool; only seen cut away, as the ball of its volume. */
  | { readonly kind: 'insert'; readonly xMm: number; readonly yMm: number; readonly diameterMm: number };

/**
 * What is drawn on a piece beside its coats, in the order it is laid. Where a thing sits is the author’s business; here
 * it is put where it can be seen: patches in the middle, dots above, lines below them.
 * @param insertsCm3 volume of what lies inside
 */
export function decorationsOf(part: Part, { widthMm, heightMm }: Solid, insertsCm3: number): Decoration[] {
  return [
    ...insertsOf(part, heightMm, widthMm, insertsCm3),
    ...part.uses.flatMap((use) => decorate(use, widthMm, heightMm)),
  ];
}

/** What lies inside, one above the other in the middle. */
function insertsOf({ uses }: Part, height: number, width: number, insertsCm3: number): Decoration[] {
  const count = uses.reduce((sum, use) => (use.role === 'insert' ? sum + use.count : sum), 0);
  if (count === 0 || insertsCm3 <= 0) return [];
  const diameterMm = Math.cbrt((6000 * insertsCm3) / count / Math.PI);
  return Array.from({ length: count }, (_, i) => ({
    kind: 'insert',
    xMm: width / 2,
    yMm: height / 2 + (i - (count - 1) / 2) * diameterMm,
    diameterMm,
  }));
}

/** As many as there likely are; one where nobody has said. */
const drawnCount = (count: Count): number => Math.round(countRange(count)?.likely ?? 1);

function decorate(use: Use, width: number, height: number): Decoration[] {
  switch (use.role) {
    case 'coat':
      return coatDecorations(use, width, height);
    case 'patch': {
      const size = ellipseSize(use);
      const many = drawnCount(use.count);
      return size ? spread(many, width).map((x) => ellipse(use.fibreId, x, height * 0.52, size, many)) : [];
    }
    case 'dot': {
      const d = mmOrNull(use.diameter);
      if (d === null) return [];
      return spread(drawnCount(use.count), width).map((x, i) =>
        ellipse(use.fibreId, x, height * (0.26 + 0.12 * (i % 3)), [d, d], 1),
      );
    }
    case 'line': {
      const lengthMm = mmOrNull(use.length);
      if (lengthMm === null) return [];
      const many = drawnCount(use.count);
      return Array.from({ length: many }, (_, i): Decoration => ({
        kind: 'line',
        fibreId: use.fibreId,
        xMm: width / 2,
        yMm: height * (0.5 + 0.14 * (i - (many - 1) / 2)),
        lengthMm,
        isUpright: lengthMm > width && lengthMm <= height,
      }));
    }
    case 'hair': {
      const [lineMm, dropMm] = [mmOrNull(use.line), mmOrNull(use.drop)];
      if (lineMm === null || dropMm === null) return [];
      return [{ kind: 'hair', fibreId: use.fibreId, xMm: width / 2, yMm: height * 0.9, lineMm, dropMm }];
    }
    // What is only needled is seen where the figure is together.
    case 'needled':
    case 'insert':
    case 'core':
    case 'added':
      return [];
  }
}

function coatDecorations(use: Use & { role: 'coat' }, width: number, height: number): Decoration[] {
  const { cover, fibreId } = use;
  if (cover.kind === 'share') return [{ kind: 'share', fibreId, fraction: cover.fraction }];
  if (cover.kind === 'all') return [];
  const size = ellipseSize(cover);
  return size ? [ellipse(fibreId, width / 2, height * 0.58, size, 1)] : [];
}

function ellipseSize({
  length,
  width,
}: Pick<Use & { role: 'patch' }, 'length' | 'width'>): [along: number, across: number] | null {
  const [along, across] = [mmOrNull(length), mmOrNull(width)];
  return along === null || across === null ? null : [along, across];
}

const ellipse = (
  fibreId: string | null,
  x: number,
  y: number,
  [along, across]: readonly [number, number],
  count: number,
): Decoration => ({
  kind: 'ellipse',
  fibreId,
  xMm: x,
  yMm: y,
  // Several go round the piece: half of them show, the outer ones from the side.
  rxMm: (across / 2) * (count > 2 ? 0.6 : 1),
  ryMm: along / 2,
});

/** Places across for so many, at most as many as can be told apart. */
function spread(count: number, width: number): number[] {
  const shown = Math.min(9, count);
  return Array.from({ length: shown }, (_, i) => (width * (i + 1)) / (shown + 1));
}
