import type {
  ClassDayPlan,
  PieceLife,
  PlannedMake,
  PlannedSeat,
  PlannedSharp,
  PlannedSitting,
  ShowEntry,
} from '../classDay/index.ts';
import { byCodePoint, roundToMicrogram } from '../base/index.ts';
import type { Step } from '../pattern/index.ts';
import { type PackGroup, type RoomTool, seatsOf, toolsOfRun } from '../run/index.ts';
import { untimedSteps } from '../timetable/index.ts';
import { needName, stepTitle } from '../words/index.ts';
import { lifeLines } from '../writing/index.ts';
import type { PaperSource } from './paper.ts';
import {
  distinctSteps,
  handedOut,
  numberOf,
  type ShownStep,
  sittingOfTime,
  watchedFor,
} from './stepsOfDay.ts';
import { type Times, timesOfRun } from './timesOfRun.ts';

/** A class as it is planned, for the day itself: the same times as on its run sheet. @param source of a class */
export function classDayPlan(source: PaperSource): ClassDayPlan {
  const times = timesOfRun(source);
  const groups = source.toPack.groups.filter(({ sample, seats }) => !sample && seats.length > 0);
  return {
    sittings: times ? times.room.sittings.map((_sitting, at) => sittingOf(source, times, at)) : [],
    untimed: times ? untimedSteps(times.room) : 0,
    makes: groups.map((group) => makeOf(source, group, times)),
    seats: seatsPlanned(source, groups),
    sharps: sharpsOf(source),
    spare: spareOf(source),
  };
}

function sittingOf(source: PaperSource, times: Times, at: number): PlannedSitting {
  const { room } = times;
  const sitting = room.sittings[at];
  if (!sitting) throw new Error(`no sitting ${at}`);
  const rows = room.rows
    .filter(({ sessionId }) => sessionId === sitting.id)
    .map(({ id, kind, name, atMinute, minutes, groups }): ShowEntry => ({
      id: `${sitting.id}:${id}`,
      kind,
      name,
      from: sitting.from + atMinute,
      to: sitting.from + atMinute + minutes * groups,
      stepId: null,
      waitMinutes: 0,
      watchFor: '',
      handOut: '',
    }));
  const steps = distinctSteps(times)
    .filter((shown) => sittingOfTime(room, shown.times) === at)
    .flatMap((shown) => stepEntry(source, shown, sitting.id));
  const entries = [...rows, ...steps].toSorted((a, b) => a.from - b.from || byCodePoint(a.id, b.id));
  return { id: sitting.id, from: sitting.from, workTo: sitting.workTo, to: sitting.to, entries };
}

function stepEntry(
  source: PaperSource,
  { graph: { build, revisionId, tasks }, times }: ShownStep,
  sittingId: string,
): ShowEntry[] {
  const step = build.steps.find(({ id }) => id === times.stepId);
  const task = tasks.find(({ stepId }) => stepId === times.stepId);
  if (!step || !task) return [];
  return [
    {
      id: `${sittingId}:${step.id}`,
      kind: 'step',
      name: nameOf(source, revisionId, step),
      from: times.start.half,
      to: Math.max(times.start.half, times.end.half),
      stepId: step.id,
      waitMinutes: task.waitMinutes,
      watchFor: watchedFor(step),
      handOut: handedOut(step, build),
    },
  ];
}

const wholeOf = ({ toPack }: PaperSource, revisionId: string) =>
  toPack.groups.flatMap(({ makes }) => makes).find((make) => make.revisionId === revisionId)?.pattern;

/** With its number as it is printed; where the class makes several designs, with its own. */
function nameOf(source: PaperSource, revisionId: string, step: Step): string {
  const whole = wholeOf(source, revisionId);
  const designs = new Set(source.toPack.groups.flatMap(({ makes }) => makes.map((make) => make.revisionId)));
  const title = `${whole ? numberOf(step, whole) : ''} ${stepTitle(step, 60)}`.trim();
  return designs.size > 1 && whole ? `${whole.title}: ${title}` : title;
}

function makeOf(source: PaperSource, { makes, build, seats }: PackGroup, times: Times | null): PlannedMake {
  const revisionId = makes[0]?.revisionId ?? source.input.revisionId;
  const whole = wholeOf(source, revisionId) ?? build;
  const graphAt = times?.room.people.find(({ seat }) => seats.includes(seat))?.graphAt ?? -1;
  const byStep = new Map((times?.outcome.steps[graphAt] ?? []).map((each) => [each.stepId, each]));
  const elsewhere = new Set(
    source.input.plan.elsewhere.flatMap((each) =>
      each.revisionId === revisionId && each.where === 'before' ? [each.stepId] : [],
    ),
  );
  const nameOfPart = new Map(build.parts.map(({ id, name }) => [id, name]));
  return {
    revisionId,
    title: whole.title,
    pieces: lifeLines(build).flatMap(({ partId, marks }): PieceLife[] => {
      const changes = marks.filter(({ isChange }) => isChange);
      if (changes.length === 0) return [];
      return [
        {
          partId,
          name: nameOfPart.get(partId) ?? '',
          marks: changes.map(({ state, stepId }) => ({
            state,
            stepId,
            by: byStep.get(stepId)?.end.half ?? null,
            isElsewhere: elsewhere.has(stepId),
          })),
        },
      ];
    }),
    steps: build.steps.map((step) => ({
      id: step.id,
      number: numberOf(step, whole),
      title: stepTitle(step, 60),
      handOverBy: byStep.get(step.id)?.handOverBy ?? null,
    })),
  };
}

function seatsPlanned({ input }: PaperSource, groups: readonly PackGroup[]): PlannedSeat[] {
  return seatsOf(input).flatMap(({ seat, key }, at): PlannedSeat[] => {
    const makeAt = groups.findIndex(({ seats }) => seats.includes(seat));
    const tableAt = Math.floor(at / Math.max(1, input.seatsPerTable));
    return makeAt < 0 ? [] : [{ seat, key, makeAt, tableAt }];
  });
}

/** Sharp or hot by what they are; anything else as the shelf says. */
const SHARP_TOOLS: ReadonlySet<string> = new Set([
  'scissors',
  'sewing-needle',
  'pins',
  'wire-cutters',
  'pliers',
]);
const HOT_TOOLS: ReadonlySet<string> = new Set(['iron']);

function sharpsOf({ toPack, input, tools, promised }: PaperSource): PlannedSharp[] {
  const sharps = toolsOfRun(toPack, input, tools, promised).flatMap((tool): PlannedSharp[] => {
    const isHot = HOT_TOOLS.has(tool.key) || tool.tools.some((each) => each.isHot);
    const isSharp = SHARP_TOOLS.has(tool.key) || tool.tools.some((each) => each.isSharp);
    return isHot || isSharp ? [{ key: tool.key, name: needName(tool), wanted: tool.total, isHot }] : [];
  });
  return cutsWire(sharps) ? [...sharps, WIRE_ENDS] : sharps;
}

/** Ends fly when they are cut: counted off, and into the tin. */
const WIRE_ENDS: PlannedSharp = { key: 'wire-ends', name: 'cut ends of wire', wanted: null, isHot: false };
const cutsWire = (sharps: readonly Pick<RoomTool, 'key'>[]): boolean =>
  sharps.some(({ key }) => key === 'wire-cutters');

/** What lies in the spare bag for all. */
function spareOf({ plan }: PaperSource): ClassDayPlan['spare'] {
  const keys = new Set(plan.bags.filter(({ holds }) => holds.kind === 'spare-bag').map(({ key }) => key));
  const by = new Map<string, number>();
  for (const { fibreId, bag, classG } of plan.fibres) {
    if (keys.has(bag)) by.set(fibreId, roundToMicrogram((by.get(fibreId) ?? 0) + classG));
  }
  return [...by].map(([fibreId, massG]) => ({ fibreId, massG }));
}
