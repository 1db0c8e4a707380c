export { defaultBuild, resolveBuild, posesChosen, valuesOf } from './resolveBuild.ts';
export { nowShows } from './nowShows.ts';
export { unmetNeeds, type PartNeed } from './whatNeeds.ts';
export { darkerThan, writtenFibre, type DarkRule } from './slotRules.ts';
export { MOST_BUILDS, planBuilds, summariseBuilds, sumsOf, type BuildSummary } from './summariseBuilds.ts';
export { swapEffect } from './swapEffect.ts';
