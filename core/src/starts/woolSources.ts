import { colourDifference, type Fibre, type FibreInput } from '../shelf/index.ts';
import { startBody } from './bodies.ts';
import { START_ROLES, type StartBody, type StartRole } from './body.ts';
import { startColour } from './colours.ts';
import type { FirstClassInput, WoolChoice } from './firstClass.ts';
import { shelfKind } from './shelfKinds.ts';
import type { StartWool } from './startPattern.ts';

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
