import type { EvidenceLine, LearningState, PatternChange, RunChange } from '@lanakit/core/api';
import { isEqual } from '@lanakit/core/base';
import { defaultBuild } from '@lanakit/core/build';
import {
  expectedOf,
  type ExpectedUse,
  type FibreChange,
  foretold,
  type JudgedEvidence,
  learntRows,
  makeChange,
  worthWeighing,
} from '@lanakit/core/logbook';
import type { Learnt } from '@lanakit/core/learning';
import { differenceFrom, planOfToday, type Run } from '@lanakit/core/run';
import type { Store } from '../db/index.ts';
import type { EvidenceChoice } from '../db/learnt.ts';
import { todayOf, type ServiceDeps } from './deps.ts';
import {
  gatherEvidence,
  LEARNT_BY,
  learningNow,
  learningSetting,
  setLearningSetting,
} from './gatherEvidence.ts';
import { answering, Refusal } from './refusal.ts';
import { packedAlone, runsAhead, shelfOf, sourcesOf } from './runSources.ts';

export type LearningService = ReturnType<typeof learningService>;

/** What everything that was weighed teaches, what taking it would change, and taking it. */
export function learningService({ store, now }: ServiceDeps) {
  const at = () => now().toISOString();
  return answering({
    inForce: (): { readonly learnt: Learnt | null } => ({ learnt: store.learnt.last()?.learnt ?? null }),
    state: (): LearningState => stateOf(store, now()),
    /** Only how much there is to take: asked on every page of the book. */
    fresh: (): { readonly fresh: number } => ({
      fresh: freshOf(store, learningNow(store, now()).judged),
    }),
    /** From now on in every pattern; what is written down of runs stays as it is. */
    take(): LearningState {
      const { judged, learnt } = learningNow(store, now());
      store.learnt.take({ learnt, evidenceIds: idsThatCount(judged) }, at());
      return stateOf(store, now());
    },
    choose(evidenceId: string, choice: EvidenceChoice | null): LearningState {
      const { evidence } = gatherEvidence(store, todayOf(now()));
      const isKnown = evidence.some(({ id }) => id === evidenceId);
      if (!isKnown && !store.learnt.choices().has(evidenceId)) throw new Refusal({ code: 'not_found' });
      store.learnt.choose(evidenceId, choice, at());
      return stateOf(store, now());
    },
    setHalfLife(halfLifeMonths: number | null): LearningState {
      setLearningSetting(store, { halfLifeMonths }, at());
      return stateOf(store, now());
    },
  });
}

/** Evidence that counts and is not in what is in force, or is in it and counts no longer. */
function freshOf(store: Store, judged: readonly JudgedEvidence[]): number {
  const taken = new Set(store.learnt.last()?.evidenceIds ?? []);
  const counting = new Set(idsThatCount(judged));
  return (
    [...counting].filter((id) => !taken.has(id)).length + [...taken].filter((id) => !counting.has(id)).length
  );
}

const idsThatCount = (judged: readonly { readonly id: string; readonly counts: boolean }[]): string[] =>
  judged.flatMap(({ id, counts }) => (counts ? [id] : []));

/** While nothing it rests on is written it is the same for whoever asks. */
function stateOf(store: Store, now: Date): LearningState {
  const { halfLifeMonths } = learningSetting(store);
  const key = `state of learning, ${todayOf(now)}, ${halfLifeMonths ?? 'for good'}`;
  return store.remember(LEARNT_BY, key, () => workedOut(store, now));
}

function workedOut(store: Store, now: Date): LearningState {
  const today = todayOf(now);
  const { judged, belief, learnt } = learningNow(store, now);
  const { untaught, titles } = gatherEvidence(store, today);
  const taken = store.learnt.last();
  const takenIds = new Set(taken?.evidenceIds ?? []);
  const fresh = freshOf(store, judged);
  const isNews = fresh > 0 || (taken !== null && !isEqual(taken.learnt, learnt));
  const titleOf = (id: string): string => titles.get(id.slice(0, id.indexOf(':'))) ?? '';
  return {
    takenAt: taken?.takenAt ?? null,
    rows: learntRows(taken?.learnt ?? null, learnt),
    hands: learnt.hands,
    fresh,
    evidence: judged.map((each): EvidenceLine => ({
      ...each,
      title: titleOf(each.id),
      what: whatOf(store, each),
      isTaken: takenIds.has(each.id),
    })),
    untaught: untaught.map((each) => ({ ...each, title: titleOf(each.id) })),
    foretold: foretold(judged.filter(({ counts }) => counts)),
    worth: worthWeighing(belief, usesAhead(store, today)).slice(0, MOST_WORTH),
    losses: store.makings.all().flatMap(({ things }) => things ?? []),
    taken: store.learnt.all(),
    halfLifeMonths: learningSetting(store).halfLifeMonths,
    patterns: isNews ? patternChanges(store, learnt) : [],
    runs: isNews ? runChanges(store, learnt, today) : [],
  };
}

const MOST_WORTH = 5;

/** What a part or step is called where it was weighed. */
function whatOf(
  store: Store,
  { source, partId, stepId }: Pick<EvidenceLine, 'source' | 'partId' | 'stepId'>,
): string | null {
  if (source.kind !== 'making' || (partId === null && stepId === null)) return null;
  const build = store.makings.buildOf(source.makingId);
  const part = build?.parts.find(({ id }) => id === partId)?.name;
  const step = build?.steps.findIndex(({ id }) => id === stepId) ?? -1;
  return part ?? (step >= 0 ? `step ${step + 1}` : null);
}

function patternChanges(store: Store, learnt: Learnt): PatternChange[] {
  const wool = shelfOf(store);
  return store.patterns.page(null, MOST_PATTERNS).flatMap(({ id, document }): PatternChange[] => {
    const change = makeChange(defaultBuild(document), wool, learnt);
    return change ? [{ ...change, patternId: id, title: document.title }] : [];
  });
}

const MOST_PATTERNS = 500;

/** Runs ahead, as they would be packed; one whose numbers are written down keeps them. */
function runChanges(store: Store, learnt: Learnt, today: string): RunChange[] {
  return runsAhead(store, today).flatMap((run): RunChange[] => {
    const isKept = store.runs.frozen(run.id) !== null;
    const fibres = fibreChanges(store, run, learnt);
    return fibres.length > 0 ? [{ runId: run.id, name: run.name, date: run.date, isKept, fibres }] : [];
  });
}

/** Under this no scale would tell. */
const STILL_G = 0.05;

/** As a run that is bought tells what would be other now. */
function fibreChanges(store: Store, run: Run, learnt: Learnt): readonly FibreChange[] {
  const sources = sourcesOf(store, run);
  const after = planOfToday(run, { ...sources, shelf: { ...sources.shelf, learnt } });
  return differenceFrom(packedAlone(store, run), after).fibres.filter(
    ({ wasG, nowG }) => Math.abs(nowG - wasG) >= STILL_G,
  );
}

/** All wool of the runs ahead, as often as it is made. */
const usesAhead = (store: Store, today: string): ExpectedUse[] =>
  store.remember(['things', 'ledger', 'patterns', 'runs', 'logbook'], `uses ahead of ${today}`, () =>
    runsAhead(store, today).flatMap((run) => {
      const { toPack, wool } = packedAlone(store, run);
      return toPack.groups.flatMap(({ makes, packs }) =>
        makes.flatMap(({ build, copies }) =>
          expectedOf(build, wool, '').uses.map((use): ExpectedUse => ({
            ...use,
            count: use.count * packs * copies,
          })),
        ),
      );
    }),
  );
