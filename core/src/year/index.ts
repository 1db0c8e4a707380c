export type { Known, MadeOf, Work, WorkKind } from './work.ts';
export { studioYear, yearsOf, type StudioYear, type WorkSum } from './studioYear.ts';
export { seasonsOf, toPrepare, type PlannedWork, type SeasonLine, type ToPrepare } from './seasons.ts';
export { madeTogether, workOfCommission, workOfMaking, workOfRun } from './worksOf.ts';
export { yearTable } from './yearTable.ts';
