import { Type, type Static } from '@sinclair/typebox';
import { type Bounds, checkRange, discriminated, Id, oneOf, orUnknown, strict } from '../base/index.ts';
import type { Pattern, PatternProblem } from '../pattern/index.ts';
import { checkRun, RUN_DEFAULTS, type RunInput, type RunProblem, usualTerms } from '../run/index.ts';
import { colourDifference, type Fibre, type FibreInput, type ShelfProblem } from '../shelf/index.ts';
import { START_BODIES } from './bodies.ts';
import { START_ROLES, type StartBody, type StartRole } from './body.ts';
import { START_COLOURS, startColour } from './colours.ts';
import { shelfKind } from './shelfKinds.ts';
import { startPattern, type StartWool } from './startPattern.ts';

/** Wool of the shelf, or a colour that is not on it yet. */
export const WoolChoice = discriminated('from', [
  Type.Object({ from: Type.Literal('shelf'), fibreId: Id }, strict),
  Type.Object({ from: Type.Literal('new'), colourId: oneOf(START_COLOURS.map(({ id }) => id)) }, strict),
]);
export type WoolChoice = Static<typeof WoolChoice>;

/** The short way: as much as it takes from nothing to packs; everything else is as is usual until it is asked for. */
export const FirstClassInput = Type.Object(
  {
    title: Type.String({ maxLength: 120 }),
    bodyId: oneOf(START_BODIES.map(({ id }) => id)),
    heightMm: Type.Number(),
    main: WoolChoice,
    second: WoolChoice,
    /** Who comes, and when; null: the pattern alone. */
    class: orUnknown(
      Type.Object(
        { people: Type.Number(), date: Type.String({ maxLength: 10, description: 'YYYY-MM-DD' }) },
        strict,
      ),
    ),
  },
  strict,
);
export type FirstClassInput = Static<typeof FirstClassInput>;

export const START_HEIGHT_MM: Bounds = { min: 20, max: 600 };

export const startBody = (id: string): StartBody | null =>
  START_BODIES.find((body) => body.id === id) ?? null;

/** Where a run says of itself what the short way asks for. */
const ASKED_AS: Readonly<Record<string, string>> = { '/date': '/class/date', '/seats': '/class/people' };

/** The class as any run is checked, each problem beside what was asked for. */
const checkClass = (title: string, asked: NonNullable<FirstClassInput['class']>): RunProblem[] =>
  checkRun(firstRun(title, asked, '-')).flatMap((problem) => {
    const pointer = ASKED_AS[problem.pointer];
    return pointer === undefined ? [] : [{ ...problem, pointer }];
  });

/** What may be wrong with it, each beside its field. */
export function checkFirstClass(
  input: FirstClassInput,
  isOnShelf: (fibreId: string) => boolean,
): (PatternProblem | RunProblem | ShelfProblem)[] {
  const strange = (['main', 'second'] as const).flatMap((role) => {
    const choice = input[role];
    return choice.from === 'shelf' && !isOnShelf(choice.fibreId)
      ? [{ code: 'fibre_not_found' as const, pointer: `/${role}/fibreId`, fibreId: choice.fibreId }]
      : [];
  });
  return [
    ...(input.title.trim() === '' ? [{ code: 'title_empty' as const, pointer: '/title' }] : []),
    ...checkRange(input.heightMm, START_HEIGHT_MM, '/heightMm'),
    ...strange,
    ...(input.class ? checkClass(input.title, input.class) : []),
  ];
}

/** Where the wool of a role comes from: it is there, or it is put on the shelf, uncounted. */
type WoolSource =
  | { readonly is: 'there'; readonly fibreId: string }
  /** @property key alike where it is the same new wool */
  | { readonly is: 'new'; readonly key: string; readonly input: FibreInput };

export type WoolSources = Readonly<Record<StartRole, WoolSource | null>>;

/** Which wool a body takes, by what is on the shelf; null: the body has no use for it. */
export function woolSources(
  { bodyId, main, second }: Pick<FirstClassInput, 'bodyId' | 'main' | 'second'>,
  fibres: readonly Fibre[],
): WoolSources {
  const there = fibres.filter(({ archived }) => !archived);
  const used = rolesOf(startBody(bodyId));
  const of = (role: StartRole, source: () => WoolSource) => (used.has(role) ? source() : null);
  return {
    core: of('core', () => coreOf(there)),
    main: of('main', () => chosen(main, there)),
    second: of('second', () => chosen(second, there)),
    dark: of('dark', () => darkOf(there)),
  };
}

/** Whether a body has a use for a second colour. */
export const takesSecond = (bodyId: string): boolean => rolesOf(startBody(bodyId)).has('second');

function rolesOf(body: StartBody | null): ReadonlySet<StartRole> {
  const roles = (body?.parts ?? []).flatMap(({ wool, coat, marks = [] }) => [
    wool,
    ...(coat ? [coat] : []),
    ...marks.map((mark) => mark.wool),
  ]);
  return new Set(roles);
}

const newWool = (kindId: string, more: Partial<FibreInput>): WoolSource => {
  const kind = shelfKind(kindId);
  if (kind?.kind !== 'fibre') throw new Error(`no kind of wool is called ${kindId}`);
  const input = { ...kind.input, ...more };
  return { is: 'new', key: `${input.name}|${input.preparation}`, input };
};

/** What nobody sees: the core of which most is there, or ordinary white core. */
function coreOf(fibres: readonly Fibre[]): WoolSource {
  const cores = fibres.filter(({ preparation }) => preparation === 'core-batt');
  const [most] = cores.toSorted((a, b) => (b.onHandG ?? -1) - (a.onHandG ?? -1));
  return most ? { is: 'there', fibreId: most.id } : newWool('core-white', {});
}

function chosen(choice: WoolChoice, fibres: readonly Fibre[]): WoolSource {
  if (choice.from === 'shelf') return { is: 'there', fibreId: choice.fibreId };
  const colour = startColour(choice.colourId);
  const known = fibres.find(({ name, preparation }) => name === colour?.name && preparation === 'carded');
  if (known) return { is: 'there', fibreId: known.id };
  return newWool('carded', { name: colour?.name ?? '', colour: colour?.colour ?? '' });
}

const DARK = '#1d1c1e';
/** So like it that eyes of it are black. ΔE00. */
const AS_DARK = 12;
const FINE = new Set<Fibre['preparation']>(['tops', 'carded', 'batt']);

/** For eyes and lines: what is dark already, or black tops. */
function darkOf(fibres: readonly Fibre[]): WoolSource {
  const [best] = fibres
    .filter(({ preparation, feltsAlone }) => FINE.has(preparation) && feltsAlone !== false)
    .map(({ id, colour }) => ({ id, deltaE: colourDifference(colour, DARK) }))
    .filter(({ deltaE }) => deltaE < AS_DARK)
    .toSorted((a, b) => a.deltaE - b.deltaE);
  return best ? { is: 'there', fibreId: best.id } : newWool('tops-fine', { name: 'Soot', colour: DARK });
}

/** @param idOf what a new wool is called once it is on the shelf */
export const startWool = (sources: WoolSources, idOf: (key: string) => string): StartWool =>
  Object.fromEntries(
    START_ROLES.map((role) => {
      const source = sources[role];
      return [role, source && (source.is === 'there' ? source.fibreId : idOf(source.key))];
    }),
  ) as StartWool;

/** What is new of it, each once. */
export function newWools(sources: WoolSources): { readonly key: string; readonly input: FibreInput }[] {
  const byKey = new Map<string, FibreInput>();
  for (const role of START_ROLES) {
    const source = sources[role];
    if (source?.is === 'new') byKey.set(source.key, source.input);
  }
  return [...byKey].map(([key, input]) => ({ key, input }));
}

/** The pattern of the short way, its author’s own. */
export function firstPattern({ title, bodyId, heightMm }: FirstClassInput, wool: StartWool): Pattern {
  const body = startBody(bodyId);
  if (!body) throw new Error(`no body is called ${bodyId}`);
  return startPattern(body, { title: title.trim(), heightMm, wool });
}

/** The class of the short way: a spare pack, and a spare bag for all to come to. */
export const firstRun = (
  title: string,
  { people, date }: NonNullable<FirstClassInput['class']>,
  revisionId: string,
): RunInput => ({
  ...RUN_DEFAULTS,
  recipes: [],
  roster: [],
  swapIds: [],
  findingSpares: [],
  ownBags: [],
  ...usualTerms('class'),
  name: title.trim(),
  date,
  seats: people,
  revisionId,
});
