import type { Length } from '@lanakit/core/base';
import {
  type Act,
  type Amount,
  BLANK_STEP,
  blankCheck,
  blankCut,
  blankJoin,
  blankPart,
  blankPattern,
  blankUse,
  type Check,
  type Cut,
  type CutSeat,
  type FindingUse,
  type Join,
  type Minutes,
  type Option,
  OWN_RIGHTS,
  type Part,
  type Pattern,
  type Place,
  type Placement,
  type PLAIN_ACTS,
  type Stage,
  type Step,
  type Swap,
  type ThingKind,
  type ThingRef,
  type Use,
  type UseOf,
  type UseRole,
} from '@lanakit/core/pattern';
import { byGauge, type CountInput, type NeedleWanted, type Profile } from '@lanakit/core/shelf';
import type { Technique } from '@lanakit/core/writing';
import type { Drawing } from './drawings.ts';

/** What the demo shelf holds, by key or name. */
export interface DemoShelf {
  readonly fibre: (key: string) => string;
  readonly finding: (name: string) => string;
  readonly needle: (gauge: number, profile: Profile) => string;
  /** How many needles there are, once they are all back. */
  readonly needlesCounted: readonly CountInput[];
  /** The technique of that name, at its newest. */
  readonly technique: (name: string) => Technique;
}

export const size = (valueMm: number): Length => ({ value: valueMm, unit: 'mm' });

export const idOf = (name: string): string => name.toLowerCase().replaceAll(/[^a-z0-9]+/g, '-');

type Shape = Part['shape'];

export const shapes = {
  ball: (diameter: number): Shape => ({ kind: 'ball', diameter: size(diameter) }),
  ellipsoid: (length: number, width: number, height: number): Shape => ({
    kind: 'ellipsoid',
    length: size(length),
    width: size(width),
    height: size(height),
  }),
  egg: (length: number, diameter: number, widestAtFraction = 0.4): Shape => ({
    kind: 'egg',
    length: size(length),
    diameter: size(diameter),
    widestAtFraction,
  }),
  limb: (length: number, diameter: number): Shape => ({
    kind: 'limb',
    length: size(length),
    diameter: size(diameter),
  }),
  taper: (length: number, thickEnd: number, thinEnd: number): Shape => ({
    kind: 'taper',
    length: size(length),
    thickEnd: size(thickEnd),
    thinEnd: size(thinEnd),
  }),
  coil: (length: number, thickEnd: number, thinEnd: number): Shape => ({
    kind: 'coil',
    length: size(length),
    thickEnd: size(thickEnd),
    thinEnd: size(thinEnd),
  }),
  sleeve: (length: number, diameter: number, wire: number): Shape => ({
    kind: 'sleeve',
    length: size(length),
    diameter: size(diameter),
    wire: size(wire),
  }),
  flat: (length: number, width: number, thickness: number): Shape => ({
    kind: 'flat-ellipse',
    length: size(length),
    width: size(width),
    thickness: size(thickness),
  }),
  outline: (path: string, length: number, thickness: number): Shape => ({
    kind: 'flat-outline',
    path,
    length: size(length),
    thickness: size(thickness),
  }),
  patch: (length: number, width: number, onPart: string): Shape => ({
    kind: 'patch',
    length: size(length),
    width: size(width),
    onPartId: idOf(onPart),
  }),
  ring: (outer: number | null, rope: number): Shape => ({
    kind: 'ring',
    outer: outer === null ? null : size(outer),
    rope: size(rope),
  }),
  dome: (diameter: number | null, rise: number): Shape => ({
    kind: 'dome',
    diameter: diameter === null ? null : size(diameter),
    rise: size(rise),
  }),
  fringe: (line: number, drop: number): Shape => ({
    kind: 'fringe',
    line: size(line),
    drop: size(drop),
    weight: 'light',
    fixed: 'end',
    trimFraction: 0.25,
  }),
  byGrams: (massG: number): Shape => ({ kind: 'by-grams', massG }),
  byCount: (): Shape => ({ kind: 'by-count' }),
};

interface PartMore extends Partial<
  Pick<Part, 'placement' | 'count' | 'firmness' | 'packing' | 'derived' | 'sample' | 'exactness' | 'hides'>
> {
  readonly coat?: string;
  /** What is stated of the core. */
  readonly amount?: Amount;
  readonly words?: string;
  /** After core and coat; ids are made from the part’s. */
  readonly uses?: readonly Use[];
}

/** A part; its id is made from its name. */
export function part(name: string, shape: Shape, core: string | null, more: PartMore = {}): Part {
  const { coat, amount, words, uses = [], ...rest } = more;
  const id = idOf(name);
  const ownUse: Use = { ...use('core', core), amount: amount ?? null, words: words ?? '' };
  const all = [ownUse, ...(coat === undefined ? [] : [use('coat', coat)]), ...uses];
  return {
    ...blankPart(id, name),
    shape,
    ...rest,
    uses: all.map((layer, index) => ({ ...layer, id: `${id}-${index + 1}` })),
  };
}

/** A use of wool or a thing inside; the part gives it its id. */
export const use = <R extends UseRole>(
  role: R,
  fibreId: string | null,
  more: Partial<UseOf<R>> = {},
): UseOf<R> => ({ ...blankUse('-', role, fibreId), ...more }) as UseOf<R>;

/** The id of a part’s use by its place, from 1: the core, the coat, and so on. */
export const useId = (partName: string, place: number): string => `${idOf(partName)}-${place}`;

/** A join, named by its two parts. */
export function join(
  partName: string,
  ontoName: string,
  more: Partial<Omit<Join, 'cover'>> & { cover?: string; band?: number } = {},
): Join {
  const { cover, band, ...rest } = more;
  const [partId, ontoId] = [idOf(partName), idOf(ontoName)];
  return {
    ...blankJoin(joinId(partName, ontoName), partId, ontoId),
    acrossBy: 'thickness',
    cover:
      cover === undefined
        ? null
        : {
            fibreId: cover,
            band: band === undefined ? null : size(band),
            words: '',
            wordsSizeFraction: 1,
            isIfNeeded: false,
          },
    ...rest,
  };
}

/** A place: how far round, how high, how it leans there and is turned. */
export const at = (
  aroundDeg: number,
  heightFraction: number,
  { up = 0, aside = 0, twist = 0 }: { up?: number; aside?: number; twist?: number } = {},
): Place => ({ aroundDeg, heightFraction, leanUpDeg: up, leanAsideDeg: aside, twistDeg: twist });

/** Where pieces or details sit, and by which rule they share their places. */
export const sits = (
  rule: Placement['rule'],
  places: Place[],
  more: Partial<Placement> = {},
): { placement: Placement } => ({ placement: { rule, spanDeg: 360, heldBy: 'base', places, ...more } });

/** On the figure: set on this part, running off it so. */
export const seated = (
  partName: string,
  runs: CutSeat['runs'],
  places: { placement: Placement },
  hangByMm: number | null = null,
): { seat: CutSeat } => ({
  seat: { partId: idOf(partName), runs, hangBy: hangByMm === null ? null : size(hangByMm), ...places },
});

export const cut = <K extends Cut['kind']>(
  name: string,
  kind: K,
  findingId: string | null,
  more: Partial<Extract<Cut, { kind: K }>>,
): Cut => ({ ...blankCut(idOf(name), kind), name, findingId, ...more });

export const fitting = (
  findingId: string,
  count: FindingUse['count'],
  partName: string | null = null,
  id = `${findingId.slice(0, 30)}-on`,
): FindingUse => ({
  id,
  findingId,
  partId: partName && idOf(partName),
  count,
  placement: null,
});

type StepMore = Partial<Omit<Step, 'act' | 'minutes' | 'checks' | 'pictures'>> & {
  /** Names of the two parts of each join it makes. */
  readonly on?: readonly (readonly [partName: string, ontoName: string])[];
  readonly checks?: readonly Partial<Check>[];
  readonly drawing?: readonly [key: string, caption: string];
};

/**
 * A step. The act is its word, or the whole of it where there is more to say.
 * @param key what other steps and options call it
 * @param gauge 0: without a needle; null: its stage’s
 */
export function step(
  key: string,
  text: string,
  partNames: readonly string[],
  act: Act | (typeof PLAIN_ACTS)[number],
  stage: Stage,
  gauge: number | NeedleWanted | null,
  minutes: Minutes | null,
  more: StepMore = {},
): Step {
  const { on = [], checks = [], drawing, ...rest } = more;
  return {
    ...BLANK_STEP,
    id: key,
    text,
    partIds: partNames.map(idOf),
    act: typeof act === 'string' ? { kind: act } : act,
    stage,
    needle:
      gauge === null
        ? { by: 'stage' }
        : gauge === 0
          ? { by: 'none' }
          : typeof gauge === 'number'
            ? byGauge(gauge)
            : gauge,
    minutes,
    // As the demo's author timed them: a whole step, however often it is repeated.
    areMinutesEach: false,
    joinIds: on.map(([part_, onto]) => joinId(part_, onto)),
    checks: checks.map((check, index) => ({ ...blankCheck(`${key}-check-${index + 1}`), ...check })),
    pictures: drawing ? [{ id: `${key}-picture`, pictureId: drawing[0], caption: drawing[1] }] : [],
    ...rest,
  };
}

const joinId = (partName: string, ontoName: string): string =>
  `${idOf(partName)}-${idOf(ontoName)}`.slice(0, 40);

export const thing = (kind: ThingKind, id: string): ThingRef => ({ kind, id });

/** One of several, each with what it alone brings. */
export const choice = (
  name: string,
  ...values: readonly (readonly [name: string, ...things: ThingRef[]])[]
): Option => ({
  id: idOf(name),
  name,
  kind: 'one-of',
  values: values.map(([value, ...things]) => ({ id: idOf(value), name: value, things })),
  defaultValueId: idOf(values[0]?.[0] ?? ''),
});

/** Yes or no; what is named comes only with yes. */
export const extra = (name: string, isUsual: boolean, ...things: ThingRef[]): Option => ({
  id: idOf(name),
  name,
  kind: 'extra',
  values: [
    { id: 'yes', name: 'yes', things },
    { id: 'no', name: 'no', things: [] },
  ],
  defaultValueId: isUsual ? 'yes' : 'no',
});

export const swap = (
  id: string,
  of: Swap['of'],
  to: Swap['to'],
  look: string,
  more: Partial<Swap> = {},
): Swap => ({ id, of, to, look, amountFactor: 1, moreMinutes: 0, steps: [], ...more });

type Heading = Pick<Pattern, 'title'> & { heightMm: number | null };
type Rest = Partial<
  Omit<Pattern, 'title' | 'parts' | 'steps' | 'format' | 'formatVersion' | 'finishedHeight' | 'pictures'>
>;

/** A pattern from its parts and steps. Its pictures are those its steps show. */
export function pattern(
  { title, heightMm }: Heading,
  parts: Part[],
  steps: Step[],
  drawings: Readonly<Record<string, Drawing>>,
  more: Rest = {},
): Pattern {
  const shown = new Set(steps.flatMap(({ pictures }) => pictures.map(({ pictureId }) => pictureId)));
  return {
    ...blankPattern(title),
    ...more,
    finishedHeight: heightMm === null ? null : size(heightMm),
    parts,
    steps,
    pictures: [...shown].flatMap((id) => {
      const drawing = drawings[id];
      return drawing ? [{ id, name: drawing.name, alt: drawing.alt, rights: OWN_RIGHTS }] : [];
    }),
  };
}
