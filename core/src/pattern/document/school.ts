import { Type, type Static } from '@sinclair/typebox';
import { discriminated, strict } from '../../base/index.ts';
import { byGauge, NeedleWanted } from '../../shelf/index.ts';
import type { Stage } from './stage.ts';
import type { Step } from './step.ts';

export const SCHOOLS = ['one', 'two', 'ladder', 'by-feel', 'own'] as const;
export type SchoolKind = (typeof SCHOOLS)[number];

/** How this author uses needles. Makers differ, and all of these are good. */
export const School = discriminated('kind', [
  /** One for everything: fewest to buy, mark and count. */
  Type.Object({ kind: Type.Literal('one'), needle: NeedleWanted }, strict),
  /** One to build and join, one for the surface. */
  Type.Object({ kind: Type.Literal('two'), build: NeedleWanted, surface: NeedleWanted }, strict),
  /** To build, to finish, for details. */
  Type.Object(
    { kind: Type.Literal('ladder'), build: NeedleWanted, surface: NeedleWanted, detail: NeedleWanted },
    strict,
  ),
  /** Large, medium, small: no numbers. */
  Type.Object({ kind: Type.Literal('by-feel') }, strict),
  /** The maker’s own table, a needle for each stage: `stageNeedles`. */
  Type.Object({ kind: Type.Literal('own') }, strict),
]);
export type School = Static<typeof School>;

/** Each school as it is begun. */
export const SCHOOL_DEFAULTS: Readonly<Record<SchoolKind, School>> = {
  one: { kind: 'one', needle: byGauge(38) },
  two: { kind: 'two', build: byGauge(36), surface: byGauge(38, 'star') },
  ladder: { kind: 'ladder', build: byGauge(38), surface: byGauge(40), detail: byGauge(42) },
  'by-feel': { kind: 'by-feel' },
  own: { kind: 'own' },
};

/** What a needle is to do, as the schools tell it apart. */
const NEEDLE_TASKS = ['build', 'surface', 'detail'] as const;
export type NeedleTask = (typeof NEEDLE_TASKS)[number];

const TASK_OF_STAGE: Readonly<Record<Stage, NeedleTask>> = {
  skeleton: 'build',
  core: 'build',
  shape: 'build',
  coat: 'surface',
  join: 'build',
  detail: 'detail',
  hair: 'build',
  mount: 'build',
  finish: 'surface',
};

/** What goes right through is built with, whatever its stage is called; details stay details. */
export const needleTask = ({ stage, depth }: Pick<Step, 'stage' | 'depth'>): NeedleTask =>
  depth === 'through' && TASK_OF_STAGE[stage] === 'surface' ? 'build' : TASK_OF_STAGE[stage];

type Table = readonly { readonly stage: Stage; readonly needle: NeedleWanted }[];

/** What a school proposes for a step; null where the maker’s own table has a gap. */
export function proposedNeedle(
  school: School,
  table: Table,
  step: Pick<Step, 'stage' | 'depth'>,
): NeedleWanted | null {
  const task = needleTask(step);
  switch (school.kind) {
    case 'one':
      return school.needle;
    case 'two':
      return task === 'build' ? school.build : school.surface;
    case 'ladder':
      return school[task];
    case 'by-feel':
      return FEEL_OF_TASK[task];
    case 'own':
      return table.find(({ stage }) => stage === step.stage)?.needle ?? null;
  }
}

const FEEL_OF_TASK: Readonly<Record<NeedleTask, NeedleWanted>> = {
  build: { by: 'feel', feel: 'large' },
  surface: { by: 'feel', feel: 'medium' },
  detail: { by: 'feel', feel: 'small' },
};

/** What the needles of a school are for: one for everything, or one for each task. */
export type RungName = 'needle' | NeedleTask;

/** The needles a school names, each with what it is for; a size word and one’s own table name none. */
export function rungsOfSchool(school: School): { readonly name: RungName; readonly wanted: NeedleWanted }[] {
  switch (school.kind) {
    case 'one':
      return [{ name: 'needle', wanted: school.needle }];
    case 'two':
      return [
        { name: 'build', wanted: school.build },
        { name: 'surface', wanted: school.surface },
      ];
    case 'ladder':
      return NEEDLE_TASKS.map((name) => ({ name, wanted: school[name] }));
    case 'by-feel':
    case 'own':
      return [];
  }
}

/** The school with another needle for one of its rungs; a rung it has not changes nothing. */
export function withRung(school: School, name: RungName, wanted: NeedleWanted): School {
  return rungsOfSchool(school).some((rung) => rung.name === name) ? { ...school, [name]: wanted } : school;
}

/** Every sort a school may propose, in the order it tells of them. */
export function needlesOfSchool(school: School, table: Table): NeedleWanted[] {
  if (school.kind === 'by-feel') return Object.values(FEEL_OF_TASK);
  if (school.kind === 'own') return table.map(({ needle }) => needle);
  return rungsOfSchool(school).map(({ wanted }) => wanted);
}
