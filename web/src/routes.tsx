import { createBrowserRouter, type LoaderFunctionArgs } from 'react-router';
import { askEarly } from './api/askedEarly.ts';
import { send } from './api/client.ts';
import { studioPath } from './api/studio.ts';
import { NotFound } from './shell/NotFound.tsx';
import { Paired } from './shell/Paired.tsx';
import { Shell } from './shell/Shell.tsx';
import { PageError } from './shell/PageError.tsx';

/** What a place is of is asked for while the place itself is still being fetched, once each time it is gone to. */
const asksEarly = (path: string) => ({
  loader: ({ params }: LoaderFunctionArgs) => {
    if (params['id'] !== undefined) askEarly(`${path}/${params['id']}`, (early) => send('GET', early));
    return null;
  },
  shouldRevalidate: () => false,
});

/** Every place has its own chunk. */
export const router = createBrowserRouter(
  [
    {
      path: 'pack',
      ErrorBoundary: PageError,
      HydrateFallback: () => null,
      lazy: async () => ({ Component: (await import('./pack/PackPage.tsx')).PackPage }),
    },
    {
      Component: Shell,
      ErrorBoundary: PageError,
      HydrateFallback: () => null,
      children: [
        { index: true, lazy: async () => ({ Component: (await import('./bench/BenchPage.tsx')).BenchPage }) },
        {
          path: 'patterns',
          lazy: async () => ({ Component: (await import('./patterns/PatternsPage.tsx')).PatternsPage }),
        },
        {
          path: 'patterns/:id',
          ...asksEarly('/patterns'),
          lazy: async () => ({ Component: (await import('./writing/PatternPage.tsx')).PatternPage }),
        },
        {
          path: 'patterns/:id/read',
          lazy: async () => ({ Component: (await import('./reading/ReadingPage.tsx')).ReadingPage }),
        },
        {
          path: 'patterns/:id/needles',
          lazy: async () => ({
            Component: (await import('./writing/needles/NeedlesPaper.tsx')).NeedlesPaper,
          }),
        },
        {
          path: 'patterns/:id/guide',
          lazy: async () => ({ Component: (await import('./guide/GuidePage.tsx')).GuidePage }),
        },
        {
          path: 'patterns/:id/papers',
          lazy: async () => ({ Component: (await import('./booklet/BookletPage.tsx')).BookletPage }),
        },
        {
          path: 'patterns/:id/translations/:language',
          lazy: async () => ({ Component: (await import('./booklet/TranslationPage.tsx')).TranslationPage }),
        },
        {
          path: 'bring-in',
          lazy: async () => ({ Component: (await import('./patterns/BringInPage.tsx')).BringInPage }),
        },
        {
          path: 'begin',
          lazy: async () => ({ Component: (await import('./begin/BeginPage.tsx')).BeginPage }),
        },
        {
          path: 'begin/shelf',
          lazy: async () => ({ Component: (await import('./begin/ShelfStartPage.tsx')).ShelfStartPage }),
        },
        {
          path: 'techniques/:id?',
          lazy: async () => ({
            Component: (await import('./techniques/TechniquesPage.tsx')).TechniquesPage,
          }),
        },
        {
          path: 'compare',
          lazy: async () => ({ Component: (await import('./patterns/ComparePage.tsx')).ComparePage }),
        },
        {
          path: 'shelf/import',
          lazy: async () => ({ Component: (await import('./shelf/ImportPage.tsx')).ImportPage }),
        },
        {
          path: 'shelf/:section?',
          lazy: async () => ({ Component: (await import('./shelf/ShelfPage.tsx')).ShelfPage }),
        },
        {
          path: 'count',
          lazy: async () => ({ Component: (await import('./shelf/CountPage.tsx')).CountPage }),
        },
        {
          path: 'network/:side?',
          lazy: async () => ({ Component: (await import('./network/NetworkPage.tsx')).NetworkPage }),
        },
        {
          path: 'runs/:id/codes',
          lazy: async () => ({ Component: (await import('./network/CodesPage.tsx')).CodesPage }),
        },
        { path: 'pair', Component: Paired },
        {
          path: 'buying/:side?',
          lazy: async () => ({ Component: (await import('./buying/BuyingPage.tsx')).BuyingPage }),
        },
        {
          path: 'logbook/new',
          lazy: async () => ({ Component: (await import('./logbook/making/NewMaking.tsx')).NewMaking }),
        },
        {
          path: 'logbook/learnt',
          lazy: async () => ({ Component: (await import('./logbook/learnt/LearntPage.tsx')).LearntPage }),
        },
        {
          path: 'logbook/questions',
          lazy: async () => ({ Component: (await import('./logbook/QuestionsPage.tsx')).QuestionsPage }),
        },
        {
          path: 'logbook/good',
          lazy: async () => ({ Component: (await import('./logbook/good/GoodPage.tsx')).GoodPage }),
        },
        {
          path: 'logbook/asked',
          lazy: async () => ({ Component: (await import('./logbook/asked/AskedPage.tsx')).AskedPage }),
        },
        {
          path: 'logbook/asked/:id',
          lazy: async () => ({
            Component: (await import('./logbook/asked/OpenCommission.tsx')).OpenCommission,
          }),
        },
        {
          path: 'logbook/gallery',
          lazy: async () => ({ Component: (await import('./logbook/year/GalleryPage.tsx')).GalleryPage }),
        },
        {
          path: 'logbook/seasons',
          lazy: async () => ({ Component: (await import('./logbook/year/SeasonsPage.tsx')).SeasonsPage }),
        },
        {
          path: 'logbook/year',
          lazy: async () => ({ Component: (await import('./logbook/year/YearPage.tsx')).YearPage }),
        },
        {
          path: 'logbook/making/:makingId',
          lazy: async () => ({ Component: (await import('./logbook/LogbookPage.tsx')).LogbookPage }),
        },
        {
          path: 'logbook/:id?',
          lazy: async () => ({ Component: (await import('./logbook/LogbookPage.tsx')).LogbookPage }),
        },
        { path: 'runs', lazy: async () => ({ Component: (await import('./runs/RunsPage.tsx')).RunsPage }) },
        {
          path: 'runs/:id',
          ...asksEarly('/runs'),
          lazy: async () => ({ Component: (await import('./runs/RunPage.tsx')).RunPage }),
        },
        {
          path: 'runs/:id/weigh-out',
          lazy: async () => ({ Component: (await import('./runs/WeighOutPage.tsx')).WeighOutPage }),
        },
        {
          path: 'runs/:id/packing',
          lazy: async () => ({ Component: (await import('./runs/PackingPage.tsx')).PackingPage }),
        },
        {
          path: 'runs/:id/needles',
          lazy: async () => ({ Component: (await import('./runs/NeedlesPage.tsx')).NeedlesPage }),
        },
        {
          path: 'runs/:id/day',
          lazy: async () => ({ Component: (await import('./runs/day/DayPage.tsx')).DayPage }),
        },
        {
          path: 'runs/:id/class',
          lazy: async () => ({ Component: (await import('./runs/class/ClassPage.tsx')).ClassPage }),
        },
        {
          path: 'runs/:id/tray',
          lazy: async () => ({ Component: (await import('./runs/TrayPage.tsx')).TrayPage }),
        },
        {
          path: 'runs/:id/pattern',
          lazy: async () => ({ Component: (await import('./runs/RunPatternPage.tsx')).RunPatternPage }),
        },
        {
          path: 'runs/:id/booklets',
          lazy: async () => ({ Component: (await import('./runs/RunBookletsPage.tsx')).RunBookletsPage }),
        },
        {
          path: 'runs/:id/cards',
          lazy: async () => ({ Component: (await import('./runs/CardsPage.tsx')).CardsPage }),
        },
        {
          path: 'runs/:id/guide',
          lazy: async () => ({ Component: (await import('./runs/RunGuidePage.tsx')).RunGuidePage }),
        },
        {
          path: 'runs/:id/papers/:name',
          lazy: async () => ({ Component: (await import('./runs/PaperPage.tsx')).PaperPage }),
        },
        {
          path: 'backups/bring-in',
          lazy: async () => ({
            Component: (await import('./backups/BringStudioInPage.tsx')).BringStudioInPage,
          }),
        },
        {
          path: 'backups',
          lazy: async () => ({ Component: (await import('./backups/BackupsPage.tsx')).BackupsPage }),
        },
        {
          path: 'bin',
          lazy: async () => ({ Component: (await import('./backups/BinPage.tsx')).BinPage }),
        },
        {
          path: 'history/:kind/:id',
          lazy: async () => ({ Component: (await import('./history/HistoryPage.tsx')).HistoryPage }),
        },
        { path: '*', Component: NotFound },
      ],
    },
  ],
  { basename: studioPath || '/' },
);
