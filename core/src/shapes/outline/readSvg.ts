import { XMLParser, XMLValidator } from 'fast-xml-parser';
import svgpath from 'svgpath';
import { MM_PER_INCH } from '../../base/index.ts';

/** What a drawing holds: paths with every transform applied, and what one of its units is. */
export interface SvgOutline {
  readonly paths: readonly string[];
  /** Null where the drawing does not say: pixels are not a size. */
  readonly scale: SvgScale | null;
}

type SvgScale =
  | { readonly kind: 'scale'; readonly mmPerUnit: number }
  /** Width and height disagree about how large one unit is. */
  | { readonly kind: 'contradiction'; readonly acrossMm: number; readonly downMm: number };

/** One element as the parser gives it with its order kept: its name, its attributes, its children. */
interface XmlNode {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly XmlNode[];
}

/** What one unit of length in an SVG is, mm; pixels are left out, for they are no size. */
const MM_PER_SVG_UNIT: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  in: MM_PER_INCH,
  pt: MM_PER_INCH / 72,
  pc: MM_PER_INCH / 6,
};

const parser = new XMLParser({
  preserveOrder: true,
  ignoreAttributes: false,
  attributeNamePrefix: '',
  parseAttributeValue: false,
  // What stands for something else could stand for far more.
  processEntities: false,
});

/** Deeper no drawing program nests its groups, and moves none in more words. */
const DEEPEST = 100;
const LONGEST_TRANSFORM = 2000;

class Entangled extends Error {}

/** Reads the text of an SVG file, or bare path data. Null when it is neither. */
export function readSvg(text: string): SvgOutline | null {
  const trimmed = text.trim();
  if (!trimmed.startsWith('<')) return trimmed === '' ? null : { paths: [trimmed], scale: null };
  if (XMLValidator.validate(trimmed) !== true) return null;
  try {
    const root = nodesOf(parsed(trimmed), 0).find(({ name }) => name === 'svg');
    return root ? { paths: pathsIn(root, ''), scale: scaleOf(root.attributes) } : null;
  } catch (error) {
    if (error instanceof Entangled) return null;
    throw error;
  }
}

/** @throws Entangled where it is nested deeper than the parser goes */
function parsed(text: string): unknown[] {
  try {
    return parser.parse(text) as unknown[];
  } catch {
    throw new Entangled();
  }
}

function nodesOf(raw: readonly unknown[], depth: number): XmlNode[] {
  if (depth > DEEPEST) throw new Entangled();
  return raw.flatMap((entry): XmlNode[] => {
    const fields = entry as Record<string, unknown>;
    const name = Object.keys(fields).find((key) => key !== ':@');
    if (name === undefined || name.startsWith('#')) return [];
    const children = Array.isArray(fields[name]) ? nodesOf(fields[name] as unknown[], depth + 1) : [];
    return [{ name, attributes: (fields[':@'] ?? {}) as Record<string, string>, children }];
  });
}

/** Not drawn where they stand. */
const HIDDEN = new Set(['defs', 'clipPath', 'mask', 'symbol', 'marker', 'pattern', 'metadata']);

/** @param outer transforms of what it lies in, outermost first */
function pathsIn(node: XmlNode, outer: string): string[] {
  if (HIDDEN.has(node.name)) return [];
  const transform = `${outer} ${node.attributes['transform'] ?? ''}`.trim();
  if (transform.length > LONGEST_TRANSFORM) throw new Entangled();
  const path = pathOf(node);
  const placed =
    path === null ? [] : [transform === '' ? path : svgpath(path).transform(transform).toString()];
  return [...placed, ...node.children.flatMap((child) => pathsIn(child, transform))];
}

/** The outline of one element as path data; null for what has none. */
function pathOf({ name, attributes }: XmlNode): string | null {
  const n = (key: string): number => Number(attributes[key] ?? 0);
  switch (name) {
    case 'path':
      return attributes['d'] ?? null;
    case 'polygon':
      return `M${attributes['points'] ?? ''}Z`;
    case 'polyline':
      return `M${attributes['points'] ?? ''}`;
    case 'rect':
      return `M${n('x')} ${n('y')}h${n('width')}v${n('height')}h${-n('width')}Z`;
    case 'circle':
      return ovalPath(n('cx'), n('cy'), n('r'), n('r'));
    case 'ellipse':
      return ovalPath(n('cx'), n('cy'), n('rx'), n('ry'));
    default:
      return null;
  }
}

const ovalPath = (cx: number, cy: number, rx: number, ry: number): string =>
  `M${cx - rx} ${cy}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0Z`;

/** Sides that differ by more are no rounding. */
const SAME_FRACTION = 0.005;

/** Only real units together with a viewBox tell how large one unit is. */
function scaleOf(attributes: Readonly<Record<string, string>>): SvgScale | null {
  const [acrossMm, downMm] = [realMm(attributes['width']), realMm(attributes['height'])];
  const box = (attributes['viewBox'] ?? '').split(/[\s,]+/).map(Number);
  const [, , across = NaN, down = NaN] = box;
  if (acrossMm === null || downMm === null || !(across > 0) || !(down > 0)) return null;
  const [x, y] = [acrossMm / across, downMm / down];
  return Math.abs(x / y - 1) > SAME_FRACTION
    ? { kind: 'contradiction', acrossMm, downMm }
    : { kind: 'scale', mmPerUnit: x };
}

function realMm(text: string | undefined): number | null {
  const [, value, unit = ''] = /^\s*([\d.]+)\s*(mm|cm|in|pt|pc)\s*$/.exec(text ?? '') ?? [];
  const mmPerUnit = MM_PER_SVG_UNIT[unit];
  return value === undefined || mmPerUnit === undefined ? null : Number(value) * mmPerUnit;
}
