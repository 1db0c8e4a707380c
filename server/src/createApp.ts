import { ANYBODY, OWNER } from './access/caller.ts';
import compression from 'compression';
import express, { type Express, type Request, type RequestHandler, type Response } from 'express';
import { DEMO_STUDIO_PATH } from '@lanakit/core/api';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { errorHandler } from './http/errorHandler.ts';
import { studioDoor, type StudioDoor } from './http/studioDoor.ts';
import { onlyOwnNames, onlyOwnPages } from './http/guards.ts';
import { mountRoutes, operationOf } from './http/mount.ts';
import { openApiDocument } from './http/openapi.ts';
import { HttpProblem } from './http/problems.ts';
import { ok } from './http/replies.ts';
import { route, type Route } from './http/route.ts';
import { benchRoutes } from './routes/bench.ts';
import { startRoutes } from './routes/starts.ts';
import { binRoutes } from './routes/bin.ts';
import { buyingRoutes } from './routes/buying.ts';
import { classDayRoutes } from './routes/classDay.ts';
import { cuttingRoutes } from './routes/cutting.ts';
import { historyRoutes } from './routes/history.ts';
import { importRoutes } from './routes/imports.ts';
import { itemRoutes } from './routes/items.ts';
import { learningRoutes, makingRoutes } from './routes/learning.ts';
import { bookletRoutes } from './routes/booklets.ts';
import { commissionRoutes, yearRoutes } from './routes/commissions.ts';
import { logbookRoutes } from './routes/logbook.ts';
import { keepingRoutes } from './routes/keeping.ts';
import { listRoutes } from './routes/lists.ts';
import { paperRoutes } from './routes/papers.ts';
import { translationRoutes } from './routes/translations.ts';
import { tableRoutes } from './routes/tables.ts';
import { guideRoutes } from './routes/guides.ts';
import { patternFileRoutes } from './routes/patternFiles.ts';
import { patternRoutes } from './routes/patterns.ts';
import { pictureRoutes } from './routes/pictures.ts';
import { networkRoutes } from './routes/network.ts';
import { packCodeRoutes } from './routes/packCodes.ts';
import { personRoutes } from './routes/persons.ts';
import { writeLogRoutes } from './routes/writeLog.ts';
import { scaleRoutes } from './routes/scales.ts';
import { printerRoutes } from './routes/printers.ts';
import { scannerRoutes } from './routes/scanners.ts';
import { type Devices, simulatedDevices } from './devices/index.ts';
import { sessionRoutes } from './routes/session.ts';
import { runRoutes } from './routes/runs.ts';
import { stockRoutes } from './routes/stock.ts';
import { studioFileRoutes } from './routes/studioFile.ts';
import { techniqueRoutes } from './routes/techniques.ts';
import { trayRoutes } from './routes/trays.ts';
import { runNews } from './http/runNews.ts';
import { paperProgressBoard } from './services/paperProgress.ts';
import { createServices, type Services, type WorkDeps } from './services/index.ts';

export interface AppDeps extends WorkDeps {
  /** Where who starts it has use for them too. */
  readonly services?: Services;
  readonly log: Logger;
  /** The names it answers to, as they stand in a URL. */
  readonly names: ReadonlySet<string>;
  /** Who is let in; nothing: on loopback nobody is asked. */
  readonly door?: StudioDoor;
  /** Scales, scanners and printers at the table; nothing: one of each that is simulated. */
  readonly devices?: Devices;
  /** The built interface; null serves the API alone. */
  readonly webDir: string | null;
  /** The demo studio beside this one. */
  readonly demoStudio?: RequestHandler;
}

/** The whole application, not yet listening. */
export function createApp(deps: AppDeps): Express {
  const app = express();
  app.disable('x-powered-by');
  app.disable('etag');
  app.use(helmet({ contentSecurityPolicy: CONTENT_SECURITY, strictTransportSecurity: false }));
  app.use(onlyOwnNames(deps.names), onlyOwnPages);
  const door = deps.door ?? studioDoor({ owner: null });
  if (deps.demoStudio) app.use(DEMO_STUDIO_PATH, deps.demoStudio);
  // What is small goes faster as it is: on loopback, and even on a studio's own network.
  app.use(compression({ threshold: '16kb', filter: isWorthPacking }));
  const news = runNews();
  const services = deps.services ?? createServices(deps);
  mountRoutes(app, allRoutes(services, door, deps.devices ?? simulatedDevices(), news), {
    ...deps,
    door,
    news,
  });
  app.use('/api', () => {
    throw new HttpProblem('not_found');
  });
  if (deps.webDir !== null) serveInterface(app, deps.webDir);
  app.use(() => {
    throw new HttpProblem('not_found');
  });
  app.use(errorHandler(deps.log));
  return app;
}

/** Within one machine packing takes longer than passing. */
function isWorthPacking(request: Request, response: Response): boolean {
  const isNear = LOOPBACK_ADDRESSES.has(request.socket.remoteAddress ?? '');
  return !isNear && compression.filter(request, response);
}

const LOOPBACK_ADDRESSES = new Set(['127.0.0.1', '::1', '::ffff:127.0.0.1']);

/** All of the logbook. */
const bookRoutes = (services: Services): Route[] => [
  ...logbookRoutes(services.logbook),
  ...makingRoutes(services.makings),
  ...commissionRoutes(services.commissions),
  ...yearRoutes(services.year, services.gallery),
  ...learningRoutes(services.learning),
];

/** All that leaves the studio on paper or as a file. */
const paperOfStudioRoutes = (services: Services): Route[] => [
  ...paperRoutes(services.papers),
  ...tableRoutes(),
  ...translationRoutes(services.translations),
  ...guideRoutes(services.guides),
  ...bookletRoutes(services.booklets, services.cards, paperProgressBoard()),
];

/** Every operation, the one that describes them included. */
export function allRoutes(
  services: Services,
  door: StudioDoor,
  { scales, scanners, printers }: Devices,
  news = runNews(),
): Route[] {
  const wordsOf = (operation: string): string =>
    routes.find((each) => operationOf(each) === operation)?.summary ?? operation;
  const routes: Route[] = [
    ...itemRoutes(services),
    ...stockRoutes(services.stock),
    ...buyingRoutes(services.buying, services.orders, services.makes),
    ...cuttingRoutes(services.cutting),
    ...importRoutes(services.imports),
    ...patternRoutes(services.patterns),
    ...patternFileRoutes(services.patternFiles),
    ...pictureRoutes(services.pictures, services.learners),
    ...techniqueRoutes(services.techniques),
    ...runRoutes(services.runs),
    ...paperOfStudioRoutes(services),
    ...trayRoutes(services.trays),
    ...classDayRoutes(services.classDays, services.runs, news),
    ...benchRoutes(services.bench),
    ...startRoutes(services.starts),
    ...listRoutes(services.lists, services.search),
    ...keepingRoutes(services.keeping),
    ...studioFileRoutes(services.studioFile),
    ...binRoutes(services.bin),
    ...historyRoutes(services.history),
    ...scaleRoutes(scales),
    ...scannerRoutes(scanners),
    ...bookRoutes(services),
    ...printerRoutes(printers, services.printing),
    ...sessionRoutes(door, services.learners, services.classDays, news),
    ...networkRoutes(door),
    ...writeLogRoutes(services.writeLog, wordsOf),
    ...personRoutes(services.persons),
    ...packCodeRoutes(services.learners, door),
    route({
      method: 'get',
      path: '/health',
      summary: 'Is it up',
      roles: ANYBODY,
      answers: [200],
      handle: () => ok({ up: true }),
    }),
    route({
      method: 'get',
      path: '/openapi.json',
      summary: 'This document',
      roles: OWNER,
      answers: [200],
      handle: () => ok(openApiDocument(routes)),
    }),
  ];
  return routes;
}

/** Everything comes from this server; antd writes its styles inline. */
const CONTENT_SECURITY = {
  useDefaults: false,
  directives: {
    defaultSrc: ["'self'"],
    // The solver that plans purchases and cuts is WebAssembly.
    scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
    styleSrc: ["'self'", "'unsafe-inline'"],
    // A photo that is held in the page alone is a blob of it.
    imgSrc: ["'self'", 'data:', 'blob:'],
    fontSrc: ["'self'"],
    workerSrc: ["'self'"],
    objectSrc: ["'none'"],
    baseUri: ["'self'"],
    formAction: ["'self'"],
    frameAncestors: ["'none'"],
  },
};

function serveInterface(app: Express, webDir: string): void {
  app.use((request, _response, next) => {
    if (request.method !== 'GET' && request.method !== 'HEAD') throw new HttpProblem('method_not_allowed');
    next();
  });
  app.use(
    '/assets',
    express.static(`${webDir}/assets`, { immutable: true, maxAge: '1y', fallthrough: false }),
  );
  app.use(express.static(webDir, { index: false }));
  app.get('/{*path}', (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile('index.html', { root: webDir });
  });
}
