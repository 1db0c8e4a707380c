import { encode } from 'uqr';

/** A QR as one path of whole modules, without the quiet margin round it, which whoever sets it leaves. */
interface QrPath {
  /** Modules along a side. */
  readonly size: number;
  /** Of an SVG `path`, in modules. */
  readonly d: string;
}

/** Of a level that still reads with 15 % of it smudged. @param text capital letters and digits are set smallest */
function qrPath(text: string): QrPath {
  const { data, size } = encode(text, { ecc: 'M', border: 0 });
  const d = data.flatMap((row, y) => runsOf(row).map(([x, length]) => `M${x} ${y}h${length}v1h-${length}z`));
  return { size, d: d.join('') };
}

/** Where dark modules lie side by side: from which, and how many. */
function runsOf(row: readonly boolean[]): [number, number][] {
  const runs: [number, number][] = [];
  row.forEach((isDark, x) => {
    const last = runs.at(-1);
    if (!isDark) return;
    if (last && last[0] + last[1] === x) last[1] += 1;
    else runs.push([x, 1]);
  });
  return runs;
}

/** The same as a picture of its own. */
export const qrSvg = (text: string): string => {
  const { size, d } = qrPath(text);
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${size} ${size}" shape-rendering="crispEdges"><path d="${d}" fill="#000"/></svg>`;
};
