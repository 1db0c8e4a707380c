export { defaultBuild, leftOut, resolveBuild, valuesOf } from './resolveBuild.ts';
export { nowShows, type NowShows } from './nowShows.ts';
export { partNeeds, unmetNeeds, type PartNeed } from './whatNeeds.ts';
export { darkerThan, writtenFibre, type DarkRule } from './slotRules.ts';
export { planBuilds, summariseBuilds, sumsOf, type BuildPlan, type BuildSummary } from './summariseBuilds.ts';
export { swapEffect, type SwapEffect } from './swapEffect.ts';
