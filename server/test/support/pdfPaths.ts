import { inflateSync } from 'node:zlib';

/** A path of a page as it is stroked, mm from the upper left corner. */
export type PdfPath = readonly (readonly [xMm: number, yMm: number])[];

type Matrix = readonly [number, number, number, number, number, number];
const PER_MM = 72 / 25.4;

const times = (a: Matrix, b: Matrix): Matrix => [
  a[0] * b[0] + a[1] * b[2],
  a[0] * b[1] + a[1] * b[3],
  a[2] * b[0] + a[3] * b[2],
  a[2] * b[1] + a[3] * b[3],
  a[4] * b[0] + a[5] * b[2] + b[4],
  a[4] * b[1] + a[5] * b[3] + b[5],
];

/** What is drawn on each page of a PDF, read from its bytes: moves, lines, rectangles and what turns them. */
export function pathsOfPdf(pdf: Buffer): { readonly heightMm: number; readonly paths: readonly PdfPath[] }[] {
  const text = pdf.toString('latin1');
  const heightMm = Number(/MediaBox \[0 0 [\d.]+ ([\d.]+)\]/.exec(text)?.[1]) / PER_MM;
  return streamsOf(pdf, text)
    .filter((stream) => /^[\d. -]+ cm$/m.test(stream))
    .map((stream) => ({ heightMm, paths: pathsOf(stream, heightMm) }));
}

function streamsOf(pdf: Buffer, text: string): string[] {
  return [...text.matchAll(/\/Length (\d+)[^>]*>>\s*stream\r?\n/g)].flatMap((match) => {
    const from = (match.index ?? 0) + match[0].length;
    const bytes = pdf.subarray(from, from + Number(match[1]));
    try {
      return [inflateSync(bytes).toString('latin1')];
    } catch {
      return [];
    }
  });
}

function pathsOf(stream: string, heightMm: number): PdfPath[] {
  let matrix: Matrix = [1, 0, 0, 1, 0, 0];
  const stack: Matrix[] = [];
  const paths: (readonly [number, number])[][] = [];
  let current: (readonly [number, number])[] = [];
  const point = (x: number, y: number) => {
    const [a, b, c, d, e, f] = matrix;
    return [(a * x + c * y + e) / PER_MM, heightMm - (b * x + d * y + f) / PER_MM] as const;
  };
  for (const line of stream.split('\n')) {
    const words = line.trim().split(/\s+/);
    const operator = words.at(-1);
    const n = words.slice(0, -1).map(Number);
    if (operator === 'q') stack.push(matrix);
    else if (operator === 'Q') matrix = stack.pop() ?? matrix;
    else if (operator === 'cm') matrix = times(n as unknown as Matrix, matrix);
    else if (operator === 'm') current.push(point(n[0] ?? NaN, n[1] ?? NaN));
    else if (operator === 'l') current.push(point(n[0] ?? NaN, n[1] ?? NaN));
    else if (operator === 'S' || operator === 's') {
      paths.push(current);
      current = [];
    } else if (operator === 'f' || operator === 'n' || operator === 'W') current = [];
  }
  return paths;
}

export const extent = (path: PdfPath) => {
  const [xs, ys] = [path.map(([x]) => x), path.map(([, y]) => y)];
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  return { left, right, top, bottom, across: right - left, down: bottom - top };
};
/** Across of every round drawn, mm: as wide as high, and all its points as far from its middle. */
export const roundsOf = (pdf: Buffer): number[] =>
  pathsOfPdf(pdf).flatMap(({ paths }) =>
    paths.flatMap((path) => {
      const { left, right, top, bottom, across } = extent(path);
      const [x0, y0] = [(left + right) / 2, (top + bottom) / 2];
      const isRound =
        path.length > 20 && path.every(([x, y]) => Math.abs(Math.hypot(x - x0, y - y0) - across / 2) < 0.05);
      return isRound ? [Math.round(across * 10) / 10] : [];
    }),
  );
