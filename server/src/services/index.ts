import type { ItemKind } from '../db/index.ts';
import { benchService } from './benchService.ts';
import { importService } from './importService.ts';
import { ITEM_KINDS } from './itemKinds.ts';
import { itemService, type ItemService } from './itemService.ts';
import { type PaperDeps, paperService } from './paperService.ts';
import { patternFileService } from './patternFileService.ts';
import { patternService } from './patternService.ts';
import { pictureService } from './pictureService.ts';
import { runService } from './runService.ts';
import { stockService } from './stockService.ts';
import { techniqueService } from './techniqueService.ts';
import { trayService } from './trayService.ts';

export { todayOf, type ServiceDeps } from './deps.ts';
export type { PaperDeps } from './paperService.ts';
export { isRefusal, type Outcome, Refusal } from './refusal.ts';

export type Services = ReturnType<typeof createServices>;

/** Everything a studio can do, whoever asks: HTTP, the demo, a test. */
export const createServices = (deps: PaperDeps) => ({
  items: Object.fromEntries(
    Object.values(ITEM_KINDS).map((kind) => [kind.kind, itemService(kind, deps)]),
  ) as Readonly<Record<ItemKind, ItemService>>,
  stock: stockService(deps),
  imports: importService(deps),
  patterns: patternService(deps),
  patternFiles: patternFileService(deps),
  pictures: pictureService(deps),
  techniques: techniqueService(deps),
  runs: runService(deps),
  papers: paperService(deps),
  trays: trayService(deps),
  bench: benchService(deps),
});
