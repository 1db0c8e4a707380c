export {
  creditsOf,
  READERS,
  readingOf,
  ticksOf,
  type Reader,
  type Reading,
  type ReadingSession,
  type ReadingStage,
  type ReadingStep,
} from './reading.ts';
