import type { PackCodes, PackReading } from '@lanakit/core/api';
import { packedForReader } from '@lanakit/core/papers';
import { openToLearnersUntil, patternOfPack, type Run } from '@lanakit/core/run';
import { patternFile } from '@lanakit/core/files';
import type { Wool } from '@lanakit/core/engine';
import { learntOfFibres } from '@lanakit/core/learning';
import type { Pattern } from '@lanakit/core/pattern';
import { codeInGroups, newCode, PACK_SIGNS, readCode } from '../access/codes.ts';
import type { PackPlace } from '../access/packSessions.ts';
import { todayOf, type ServiceDeps } from './deps.ts';
import { answering, foundOr, Refusal } from './refusal.ts';
import { inForceOf } from './runInForce.ts';
import { designsOf } from './runSources.ts';

export type LearnerService = ReturnType<typeof learnerService>;

/** Codes of packs, and what a learner’s phone sees by one. */
export function learnerService({ store, now }: ServiceDeps) {
  const today = () => todayOf(now());
  const found = (id: string): Run => foundOr(store.runs.find(id));
  /** The run of a place while it is open to learners. */
  const openRun = ({ runId, number }: PackPlace): { run: Run; until: string } | null => {
    const run = store.runs.find(runId);
    const until = run && openToLearnersUntil(run);
    return run && until && today() <= until && number <= run.seats ? { run, until } : null;
  };
  const codes = (run: Run): Omit<PackCodes, 'url'> => {
    const until = openToLearnersUntil(run);
    return {
      items: store.packCodes
        .of(run.id)
        .filter(({ number }) => number <= run.seats)
        .map(({ number, code }) => ({ number, code: codeInGroups(code) })),
      until,
      isOver: until !== null && today() > until,
    };
  };
  const opened = (place: PackPlace): PackReading => {
    const { run, until } = foundOr(openRun(place));
    const { packed } = inForceOf(store, run, today());
    const found = foundOr(patternOfPack(designsOf(store, packed.input), packed.input, place.number));
    const { make, build, seat } = found;
    const { bagOf, spares, ...packs } = packedForReader(packed, make, [place.number]);
    return {
      className: run.name,
      date: run.date,
      until,
      number: place.number,
      revisionNumber: foundOr(store.patterns.findRevision(make.revisionId)).number,
      whole: forLearners(make.pattern),
      build: forLearners(build),
      choices: make.choices,
      sizeFraction: make.sizeFraction,
      isLeftHanded: seat?.isLeftHanded ?? false,
      ...plainWool(make.pattern, packed.wool),
      packed: { ...packs, bagOf: [...bagOf], spares: [...spares] },
    };
  };
  return answering({
    codes: (runId: string) => codes(found(runId)),
    /** One for every seat that has none. */
    makeCodes: (runId: string) =>
      store.together(() => {
        const run = found(runId);
        if (run.kind !== 'class') throw new Refusal({ code: 'not_found' });
        const had = new Set(store.packCodes.of(runId).map(({ number }) => number));
        for (let number = 1; number <= run.seats; number++)
          if (!had.has(number))
            store.packCodes.add({ code: newCode(PACK_SIGNS), runId, number }, now().toISOString());
        return codes(run);
      }),
    /** None of them opens anything any more; new ones are others. */
    endCodes: (runId: string) => store.packCodes.end(found(runId).id),
    /** Of which pack a code is; null: of none, or it is not open. */
    placeOf(text: string): PackPlace | null {
      const code = readCode(text, PACK_SIGNS);
      const place = code === null ? null : store.packCodes.find(code);
      return place && openRun(place) ? { runId: place.runId, number: place.number } : null;
    },
    /** Whether its code still stands and its run is still open. */
    isOpen: (place: PackPlace): boolean =>
      openRun(place) !== null &&
      store.packCodes.of(place.runId).some(({ number }) => number === place.number),
    open: opened,
    /** Whether this picture is in the pattern of the pack. */
    hasPicture: (place: PackPlace, pictureId: string): boolean =>
      openRun(place) !== null && opened(place).build.pictures.some(({ id }) => id === pictureId),
  });
}

/** What its author noted for themselves stays in the studio. */
const forLearners = (pattern: Pattern): Pattern => ({ ...pattern, meant: [] });

/** The wool and findings a pattern names, with what is to be known to work with them: no stock, no price, no place, no note. */
function plainWool(
  pattern: Pattern,
  wool: Wool,
): Pick<PackReading, 'fibres' | 'findings' | 'handMeasures' | 'learnt'> {
  const { shelf } = patternFile(pattern, {
    fibres: [...wool.fibres.values()],
    findings: [...wool.findings.values()],
    needles: [],
  });
  const fibreIds = new Set(shelf.fibres.map(({ id }) => id));
  return {
    fibres: shelf.fibres.map(({ id, is }) => ({ ...is, id, version: 0, lots: [], onHandG: null, peakG: 0 })),
    findings: shelf.findings.map(({ id, is }) => ({ ...is, id, version: 0, onHand: null, peak: 0 })),
    handMeasures: wool.handMeasures,
    learnt: wool.learnt && learntOfFibres(wool.learnt, fibreIds),
  };
}
