import type { ItemKind } from '../db/index.ts';
import type { ServiceDeps, WorkDeps } from './deps.ts';
import { benchService } from './benchService.ts';
import { binService } from './binService.ts';
import { cardService } from './cardService.ts';
import { bookletService } from './bookletService.ts';
import { buyingService } from './buyingService.ts';
import { classDayService } from './classDayService.ts';
import { commissionService } from './commissionService.ts';
import { cuttingService } from './cuttingService.ts';
import { galleryService } from './galleryService.ts';
import { guideService } from './guideService.ts';
import { historyService } from './historyService.ts';
import { importService } from './importService.ts';
import { ITEM_KINDS } from './itemKinds.ts';
import { itemService, type ItemService } from './itemService.ts';
import { keepingService } from './keepingService.ts';
import { learnerService } from './learnerService.ts';
import { listService } from './listService.ts';
import { learningService } from './learningService.ts';
import { logbookService } from './logbookService.ts';
import { makingService } from './makingService.ts';
import { makesService } from './makesService.ts';
import { orderService } from './orderService.ts';
import { paperService } from './paperService.ts';
import { patternFileService } from './patternFileService.ts';
import { patternService } from './patternService.ts';
import { personService } from './personService.ts';
import { pictureService } from './pictureService.ts';
import { printingService } from './printingService.ts';
import { runService } from './runService.ts';
import { searchService } from './searchService.ts';
import { startService } from './startService.ts';
import { stockService } from './stockService.ts';
import { studioFileService } from './studioFileService.ts';
import { techniqueService } from './techniqueService.ts';
import { translationService } from './translationService.ts';
import { trayService } from './trayService.ts';
import { writeLogService } from './writeLogService.ts';
import { yearService } from './yearService.ts';

export { todayOf, type ServiceDeps, type WorkDeps } from './deps.ts';
export { isRefusal, type Outcome, Refusal } from './refusal.ts';

/** One for each kind of thing on the shelf. */
const itemServices = (deps: ServiceDeps): Readonly<Record<ItemKind, ItemService>> => ({
  fibre: itemService(ITEM_KINDS.fibre, deps),
  blend: itemService(ITEM_KINDS.blend, deps),
  finding: itemService(ITEM_KINDS.finding, deps),
  needle: itemService(ITEM_KINDS.needle, deps),
  tool: itemService(ITEM_KINDS.tool, deps),
  supplier: itemService(ITEM_KINDS.supplier, deps),
});

export type Services = ReturnType<typeof createServices>;

/** Everything a studio can do, whoever asks: HTTP, the demo, a test. */
export const createServices = (deps: WorkDeps) => {
  const search = searchService(deps);
  const forgotten = () => void search.startAnew();
  const commissions = commissionService(deps);
  const [items, patterns, runs] = [itemServices(deps), patternService(deps), runService(deps, forgotten)];
  return {
    items,
    patterns,
    runs,
    starts: startService(deps, { items, patterns, runs }),
    stock: stockService(deps),
    imports: importService(deps),
    patternFiles: patternFileService(deps),
    pictures: pictureService(deps),
    techniques: techniqueService(deps),
    papers: paperService(deps),
    guides: guideService(deps),
    booklets: bookletService(deps),
    cards: cardService(deps),
    translations: translationService(deps),
    trays: trayService(deps),
    printing: printingService(deps),
    logbook: logbookService(deps),
    makings: makingService(deps),
    learning: learningService(deps),
    commissions,
    year: yearService(deps, commissions),
    gallery: galleryService(deps),
    classDays: classDayService(deps),
    bench: benchService(deps),
    buying: buyingService(deps),
    orders: orderService(deps),
    cutting: cuttingService(deps),
    makes: makesService(deps),
    lists: listService(deps),
    search,
    keeping: keepingService(deps),
    learners: learnerService(deps),
    persons: personService(deps, forgotten),
    writeLog: writeLogService(deps),
    studioFile: studioFileService(deps),
    bin: binService(deps),
    history: historyService(deps, { items, patterns, runs }),
  };
};
