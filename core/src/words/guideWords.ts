import { showSizesIn, type UnitsShown } from '../base/index.ts';
import { frustumOfCut, sectorOf, sizeLedger, type StageSize } from '../engine/index.ts';
import type {
  CardPlace,
  GuideMark,
  GuidePiece,
  GuideStretch,
  NotInGuide,
  PlaceCard,
} from '../figure/index.ts';
import type { Pattern } from '../pattern/index.ts';
import { counted } from './amounts.ts';
import { proportionWords, sideWords } from './figureWords.ts';
import { CUT_WORDS, ROLE_WORDS } from './woolWords.ts';

type BuildOfGuide = Pick<Pattern, 'parts' | 'lengthUnit' | 'showsBothUnits'>;

/** What a drawing is called on the guide: `3 Wing ×2, mirrored`. */
export function guideTitle(piece: GuidePiece): string {
  if (piece.kind !== 'part') return `${piece.cut.name || CUT_WORDS[piece.cut.kind]}${times(piece.count)}`;
  const { number, part, count, isMirrored } = piece;
  const many = count === null ? ', how many is not said' : times(count);
  return `${number} ${part.name || 'Unnamed'}${many}${isMirrored ? ', mirrored' : ''}`;
}

const times = (count: number): string => (count === 1 ? '' : ` ×${Math.round(count * 10) / 10}`);

/** What each of its outlines is, and its marks by their signs; a line each. */
export function guideLines(piece: GuidePiece, build: BuildOfGuide): string[] {
  switch (piece.kind) {
    case 'part':
      return [...outlineLines(piece, build), ...markLines(piece.marks, build)];
    case 'panel':
      return panelWords(piece, build);
    case 'length':
      return [
        `Cut ${showSizesIn([piece.lengthMm], build)}.`,
        ...(piece.stretches.length > 1 ? [`${stretchesWords(piece.stretches, build)}.`] : []),
      ];
  }
}

function panelWords({ cut, lines }: Extract<GuidePiece, { kind: 'panel' }>, units: UnitsShown): string[] {
  const say = (...sizesMm: readonly number[]) => showSizesIn(sizesMm, units);
  const edge = lines.find(({ is }) => is === 'cut');
  const overlap = lines.some(({ is }) => is === 'overlap')
    ? ['Dashed: as far as this under the other edge.']
    : [];
  switch (cut.kind) {
    case 'cone-panel': {
      const frustum = frustumOfCut(cut);
      const sector = frustum && sectorOf(frustum);
      const arcs = sector
        ? [
            `${sector.innerMm > 0.5 ? `Arcs of ${say(sector.innerMm)} and` : 'An arc of'} ${say(sector.outerMm)}, ${Math.round(sector.angleDeg * 10) / 10}°.`,
          ]
        : [];
      return ['Cut along the solid line.', ...arcs, ...overlap];
    }
    case 'pouch-square':
      return ['Cut along the solid line, fold along the dashed ones.'];
    default:
      return [`Cut ${showSizesIn(edge ? sizeOf(edge.points) : [], units)}: solid.`, ...overlap];
  }
}

type PartPiece = Extract<GuidePiece, { kind: 'part' }>;

function outlineLines({ part, estimate, lines }: PartPiece, units: UnitsShown): string[] {
  const has = (is: (typeof lines)[number]['is']) => lines.some((line) => line.is === is);
  const say = (sizesMm: readonly number[]) => showSizesIn(sizesMm, units);
  const { solid, rollUp } = estimate;
  if (part.shape.kind === 'patch' || part.shape.kind === 'fringe') {
    const [laid] = lines;
    const what = part.shape.kind === 'patch' ? 'Lay it in the dashed line' : 'Its line along the upper edge';
    return [`${what}, ${say(laid ? sizeOf(laid.points) : [])}.`];
  }
  if (!solid) return [];
  const stages = sizeLedger({ ...estimate, tailMm: 0, sunkMm: 0 });
  const stage = (name: StageSize['stage']) => stages.find((size) => size.stage === name)?.sizesMm ?? [];
  const isCoated = stages.some((size) => size.stage === 'coated' || size.stage === 'detailed');
  const isSame = say(stage('felted')) === say(solid.sizesMm);
  return [
    ...(rollUp?.kind === 'rolled' ? [`Roll up to ${say(rollUp.solid.sizesMm)}: dashed.`] : []),
    ...(rollUp?.kind === 'laid'
      ? [
          rollUp.marginMm > 0
            ? `Lay out to the dashed line, ${say([rollUp.marginMm])} all round to turn in.`
            : 'Lay out to the line.',
        ]
      : []),
    ...(isCoated && !isSame
      ? [`Felt to ${say(stage('felted'))}, before its coat${has('felted') ? ': dotted' : ''}.`]
      : []),
    `${isCoated ? 'Finished, with its coat' : 'Felt to'} ${say(solid.sizesMm)}: solid.`,
    ...(has('side') ? [`Beside it from the side, ${say([solid.depthMm])} deep.`] : []),
    ...(has('loose-end') ? [`Leave ${say([looseMm(lines)])} loose.`] : []),
  ];
}

/** As long as the drawn end is. */
function looseMm(lines: PartPiece['lines']): number {
  const end = lines.find(({ is }) => is === 'loose-end');
  const [, height = 0] = end ? sizeOf(end.points, 'across-first') : [];
  return height;
}

/** How large a drawn outline is, mm: down and across, or across and down. */
function sizeOf(
  points: readonly (readonly [number, number])[],
  order: 'down-first' | 'across-first' = 'down-first',
): number[] {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const across = Math.max(...xs) - Math.min(...xs);
  const down = Math.max(...ys) - Math.min(...ys);
  return order === 'down-first' ? [down, across] : [across, down];
}

/** What stands in or beside each mark: numbers of the pieces that are set on, letters for the rest. */
export function guideSigns(marks: readonly GuideMark[], { parts }: Pick<Pattern, 'parts'>): string[] {
  const letters = new Map<string, string>();
  return marks.map(({ of }) => {
    switch (of.kind) {
      case 'join':
        return String(parts.findIndex(({ id }) => id === of.partId) + 1);
      case 'finding':
      case 'use':
      case 'laid':
      case 'cut': {
        const key = JSON.stringify(of);
        const letter = letters.get(key) ?? letterOf(letters.size);
        letters.set(key, letter);
        return letter;
      }
      case 'slot':
      case 'sunk':
      case 'wire':
      case 'hanger':
      case 'flat':
        return '';
    }
  });
}

/** a … z, aa … */
function letterOf(at: number): string {
  const letter = String.fromCodePoint(97 + (at % 26));
  return at < 26 ? letter : letterOf(Math.floor(at / 26) - 1) + letter;
}

function markLines(marks: readonly GuideMark[], build: Pick<Pattern, 'parts'>): string[] {
  const signs = guideSigns(marks, build);
  const words = marks.map((mark, at) => markWords(mark, signs[at] ?? '', build));
  return [...new Set(words)].filter((line) => line !== '');
}

function markWords({ of }: GuideMark, sign: string, { parts }: Pick<Pattern, 'parts'>): string {
  const nameOf = (partId: string) => parts.find(({ id }) => id === partId)?.name ?? '';
  switch (of.kind) {
    case 'join':
      return `${sign} here joins ${nameOf(of.partId)}.`;
    case 'slot':
      return 'Snip a slot along the short heavy line.';
    case 'sunk':
      return 'In its place as deep as the thin line.';
    case 'finding':
      return `${sign} ${of.name}.`;
    case 'cut':
      return `${sign} ${of.cut.name || CUT_WORDS[of.cut.kind]}, from the cross.`;
    case 'laid':
      return `${sign} ${nameOf(of.partId)}, laid on.`;
    case 'use': {
      const use = parts.flatMap(({ uses }) => uses).find(({ id }) => id === of.useId);
      const words = use && 'words' in use ? use.words.trim() : '';
      return use
        ? `${sign} ${ROLE_WORDS[use.role]}${words === '' || words.length > 40 ? '' : `: ${words}`}.`
        : '';
    }
    case 'wire':
      return 'Wire along the line of dashes and dots.';
    case 'hanger':
      return 'It hangs from the cross.';
    case 'flat':
      return 'Felted flat up to the line across it.';
  }
}

const STRETCH_WORDS: Readonly<Record<GuideStretch['is'], string>> = {
  curl: 'curled back',
  stretch: 'straight',
  winding: 'wound round',
  tuck: 'tucked in',
  spare: 'to spare',
};

/** `8 curled back, 60 Leg, …`: from its first end on. */
export const stretchWords = ({ is, name }: GuideStretch): string =>
  is === 'stretch' && name !== '' ? name : STRETCH_WORDS[is];

const stretchesWords = (stretches: readonly GuideStretch[], units: UnitsShown): string =>
  stretches
    .map((stretch) => `${showSizesIn([stretch.toMm - stretch.fromMm], units)} ${stretchWords(stretch)}`)
    .join(', ');

/** Why something is not drawn. */
export function notInGuideWords({ of, why }: NotInGuide): string {
  const name =
    of.kind === 'part' ? `${of.number} ${of.part.name || 'Unnamed'}` : of.cut.name || CUT_WORDS[of.cut.kind];
  return why === 'no_shape'
    ? `${name}: it has no size of its own.`
    : `${name}: not drawn, its size is not known yet.`;
}

/** What the list of tools calls it. */
export const guidePagesWords = (pages: number): string => `printed guide, ${counted(pages, 'page')}`;

/** What is told under the finished figure: how large it is, and where everything sits from the ground. */
export const cardLines = ({ size, places, proportions }: PlaceCard, build: BuildOfGuide): string[] => [
  `Over all ${showSizesIn([size.heightMm], build)} high, ${showSizesIn([size.widthMm], build)} wide, ${showSizesIn([size.depthMm], build)} deep. Heights are from the ground.`,
  ...new Set(places.map((place) => placeWords(place, build))),
  ...proportions.map((told) => `${proportionWords(told, build)}.`),
];

/** Less than this is upright, degrees. */
const UPRIGHT_DEG = 3;

function placeWords({ of, heightMm, apartMm, lean }: CardPlace, units: UnitsShown): string {
  const say = (mm: number) => showSizesIn([Math.max(0, Math.round(mm * 10) / 10)], units);
  const pair = apartMm === null ? '' : `, ${say(apartMm)} from middle to middle`;
  if (of.kind === 'detail') return `${cardName(of)} at ${say(heightMm)}${pair}.`;
  const leaning = lean ? leanWords(lean) : '';
  return `${cardName(of)} meets it at ${say(heightMm)}${pair}${leaning}.`;
}

function leanWords({ fromUprightDeg, toward }: NonNullable<CardPlace['lean']>): string {
  const isDown = fromUprightDeg > 90;
  const leanDeg = isDown ? 180 - fromUprightDeg : fromUprightDeg;
  const lean = leanDeg > UPRIGHT_DEG ? `${Math.round(leanDeg)}° toward ${sideWords(toward)}` : '';
  if (isDown) return lean === '' ? ', straight down' : `, down and ${lean}`;
  return lean === '' ? '' : `, leans ${lean}`;
}

/** `2 Head`, `Bead eye 4 mm`. */
const cardName = (of: CardPlace['of']): string =>
  of.kind === 'part'
    ? `${of.number} ${of.name}`
    : of.name.trim() !== '' && of.name.length <= 40
      ? of.name
      : of.role;
