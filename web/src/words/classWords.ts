import type {
  BehindOn,
  ClassDayPlan,
  ClassEvent,
  PhotoPermission,
  PlannedMake,
  SaidNow,
  SaidSort,
  ShowEntry,
  ShowNow,
} from '@lanakit/core/classDay';
import type { PartState } from '@lanakit/core/pattern';
import { clockWords, counted, joinWords, showGrams, STATE_WORDS } from '@lanakit/core/words';

/** As a clock shows it: a minute counts when it is over. */
export const clockAt = (minute: number): string => clockWords(Math.floor(minute));

/** Less than a minute is nothing. */
export const lateWords = (minutes: number): string => {
  const whole = Math.round(minutes);
  if (whole === 0) return 'on time';
  return whole > 0 ? `${whole} min late` : `${-whole} min early`;
};

const KIND_WORDS: Readonly<Record<Exclude<ShowEntry['kind'], 'step'>, string>> = {
  talk: 'Talk',
  demo: 'Show',
  break: 'Break',
};

/** What is taught, as it is called. */
export const entryName = ({ kind, name }: ShowEntry): string => {
  if (kind === 'step') return name;
  if (kind === 'demo') return name === '' ? KIND_WORDS.demo : `Show: ${name}`;
  return name || KIND_WORDS[kind];
};

/** When it will be over, against when hands have to stop. */
export function endWords({ endsAt, overMinutes, breakMinutes, sitting }: ShowNow): string {
  const ends = `The last of it ends at about ${clockAt(endsAt)}`;
  const over = Math.round(overMinutes);
  if (over < 1) {
    const spare = Math.round(sitting.workTo - endsAt);
    return spare < 1
      ? `${ends}, just when hands stop.`
      : `${ends}; hands stop at ${clockWords(sitting.workTo)}.`;
  }
  const rest = breakMinutes > 0 ? ` The break ahead has ${Math.round(breakMinutes)} min.` : '';
  return `${ends}: ${over} min after hands have to stop.${rest}`;
}

/** Two glances: how long, in minutes and seconds. */
export function timerWords(leftMs: number): string {
  const seconds = Math.ceil(Math.abs(leftMs) / 1000);
  const words = `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
  return leftMs < 0 ? `−${words}` : words;
}

export const stateWords = (state: PartState | null): string =>
  state === null ? 'not begun' : STATE_WORDS[state];

export const behindWords = (on: readonly BehindOn[]): string =>
  joinWords(on.slice(0, 2).map(({ name, wanted }) => `${name} ${STATE_WORDS[wanted]}`)) +
  (on.length > 2 ? ' and more' : '');

export const SAID_WORDS: Readonly<Record<SaidSort, string>> = {
  question: 'Question',
  trouble: 'Trouble',
  idea: 'Good idea',
};

/** At which step, or on which piece, something was said. @param figures of `figuresOf` */
export function whereWords({ revisionId, stepId, partId }: SaidNow, figures: readonly PlannedMake[]): string {
  const figure = figures.find((each) => each.revisionId === revisionId);
  const step = figure?.steps.find(({ id }) => id === stepId);
  const piece = figure?.pieces.find((each) => each.partId === partId);
  if (step) return `at step ${step.number}, ${step.title}`;
  if (piece) return `on the ${piece.name}`;
  return figure && stepId === null && partId === null ? `of ${figure.title}` : 'of what is no longer made';
}

export const PERMISSION_WORDS: Readonly<Record<PhotoPermission, string>> = {
  none: 'not to be shown',
  studio: 'for the studio alone',
  shown: 'may be shown',
};

/** What acts name. */
export interface ActNames {
  readonly plan: ClassDayPlan;
  readonly seat: (seatKey: string) => string;
  readonly fibre: (fibreId: string) => string;
}

/** What was done, in a few words: to be taken back by, and to say which of two was kept. */
export function actWords({ what }: Pick<ClassEvent, 'what'>, { plan, seat, fibre }: ActNames): string {
  const entryOf = (id: string) => {
    const found = plan.sittings.flatMap(({ entries }) => entries).find((entry) => entry.id === id);
    return found ? entryName(found) : 'what is no longer planned';
  };
  const part = (seatKey: string, partId: string) => {
    const makeAt = plan.seats.find(({ key }) => key === seatKey)?.makeAt ?? -1;
    return plan.makes[makeAt]?.pieces.find((piece) => piece.partId === partId)?.name ?? 'piece';
  };
  const sharp = (key: string) => plan.sharps.find((each) => each.key === key)?.name ?? key;
  switch (what.act) {
    case 'sitting':
      return what.does === 'begin' ? 'the class has begun' : 'the class is over';
    case 'entry':
      return `${entryOf(what.entryId)}: ${what.does === 'begin' ? 'begun' : 'everybody has it'}`;
    case 'more':
      return `${what.minutes} min more for ${entryOf(what.entryId)}`;
    case 'timer':
      return `timer ${what.name}`;
    case 'timer-more':
      return `${what.minutes} min more on the timer`;
    case 'timer-off':
      return 'the timer is put out';
    case 'here':
      return `${seat(what.seatKey)} ${what.isHere ? 'is here' : 'is not here'}`;
    case 'piece':
      return `${seat(what.seatKey)}: ${part(what.seatKey, what.partId)} ${stateWords(what.state)}`;
    case 'help':
      return `${seat(what.seatKey)}: hand ${what.isWanted ? 'up' : 'down'}`;
    case 'prepared':
      return `${seat(what.seatKey)} was given a prepared piece`;
    case 'spare':
      return `${seat(what.seatKey)} took ${showGrams(what.massG)} ${fibre(what.fibreId)}`;
    case 'finished':
      return `${seat(what.seatKey)} ${what.isFinished ? 'is finished' : 'goes on'}`;
    case 'sharp':
      return `${sharp(what.key)}: ${counted(Math.abs(what.amount), 'piece')} ${what.amount < 0 ? 'less ' : ''}${what.pile}`;
    case 'heat':
      return `${sharp(what.key)} ${what.isOn ? 'on' : 'off'}`;
    case 'tip':
      return 'a broken tip';
    case 'tip-found':
      return 'a tip was found';
    case 'said':
      return `${SAID_WORDS[what.sort].toLowerCase()} noted`;
    case 'left':
      return `${showGrams(what.massG)} ${fibre(what.fibreId)} weighed back`;
    case 'photo':
      return 'a photo';
    case 'box-photo':
      return 'a photo of a box';
    case 'back':
      return 'taken back';
  }
}
