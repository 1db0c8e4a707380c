import { at, type KeyLine, type PlaceHelp } from './helpOfPlace.ts';

const UNDO: KeyLine = ['Ctrl Z', 'Take back the last change; Ctrl Shift Z does it again'];

/** The logbook: pages, and what they say together. */
export const LOGBOOK_PLACES: readonly PlaceHelp[] = [
  {
    isAt: at(/^\/logbook\/new$/),
    title: 'A new page',
    answers: 'Which figure is being made?',
    ways: [
      'Along a pattern the page has a line for each bag of wool, each piece and each step; or make first and write later.',
    ],
    terms: ['likely'],
    keys: [],
  },
  {
    isAt: at(/^\/logbook\/making\/[^/]+$/),
    title: 'A making',
    answers: 'What did this one take?',
    ways: [
      'Weigh a bag before you begin and when you are done; half of the page is enough. Start and stop a step’s watch by a press.',
      'What can hardly be is asked about and kept. What is ticked for the next revision goes into the draft.',
    ],
    terms: ['likely'],
    keys: [UNDO],
  },
  {
    isAt: at(/^\/logbook\/learnt$/),
    title: 'What was learnt',
    answers: 'What do all pages teach together, and what would it change?',
    ways: [
      'Each range as it was before anything was weighed, and as it is now. Nothing is in force before you take it; runs that are bought keep what they were planned with.',
      'What is far off all others is asked about and does not count until you say that it is meant so. Anything can be left out.',
    ],
    terms: ['likely'],
    keys: [],
  },
  {
    isAt: at(/^\/logbook\/good$/),
    title: 'How good are we?',
    answers: 'How far off were the estimates, and did ranges keep what they promise?',
    ways: [
      'Each weighing is held against the estimate of the day before. Eight in ten are promised to fall into their range.',
      'At the end: what is most worth weighing next, by how much doubt of the runs ahead it takes away.',
    ],
    terms: ['likely'],
    keys: [],
  },
  {
    isAt: at(/^\/logbook\/questions$/),
    title: 'Asked in classes',
    answers: 'What is the next revision to answer?',
    ways: ['By pattern and step, as it was said in front of a class. Tick what the pattern answers by now.'],
    terms: ['likely'],
    keys: [],
  },
  {
    isAt: at(/^\/logbook(?:\/[^/]+)?$/),
    title: 'Logbook',
    answers: 'What did it really take?',
    ways: [
      'A page for each figure that was made, and for each class that was taught; a class writes its page by itself.',
    ],
    terms: ['portion', 'spare'],
    keys: [],
  },
];
