import type { Wool } from '../engine/index.ts';
import { type FactorShare, SIGMA } from '../learning/index.ts';
import type { Part, Pattern } from '../pattern/index.ts';
import {
  type Evidence,
  type Gathered,
  type NotTaught,
  observed,
  otherHandsSigma,
  type Untaught,
} from './evidence.ts';
import { type Expected, expectedOf, type ExpectedSum, expectedSum, type ExpectedUse } from './expected.ts';
import type { Making, MakingLine, MakingPiece } from './making.ts';
import { minutesEvidence } from './minutesEvidence.ts';
import { rolledEvidence } from './rolledEvidence.ts';
import { tookOfLine } from './took.ts';

/** What a studio weighs on when nobody has said, grams. */
const USUAL_STEP_G = 0.1;

export interface MakingSources {
  /** As it was made; null: there was no pattern, or it is gone. */
  readonly build: Pattern | null;
  readonly wool: Wool;
  /** The lot of each fibre that is in use now. */
  readonly lotInUse: (fibreId: string) => string | null;
  readonly stepG?: number;
  /** What the build comes to by these hands, where it is worked out already. */
  readonly expected?: Expected;
}

/** Everything a making says of what is the same in other figures; and what of it says nothing, and why. */
export function makingEvidence(making: Making, sources: MakingSources): Gathered {
  if (!sources.build) {
    const weighed = making.lines.filter((line) => tookOfLine(line) !== null);
    return {
      evidence: [],
      untaught: weighed.map(({ id }) => ({ id: idOf(making, id), why: { code: 'no_pattern' } })),
    };
  }
  const expected = sources.expected ?? expectedOf(sources.build, sources.wool, making.madeBy);
  const gathering = new Gathering(making, sources, expected);
  for (const grain of ['use', 'part', 'said', 'fibre'] as const)
    for (const line of making.lines) if (line.of === grain) gathering.line(line);
  for (const piece of making.pieces) gathering.piece(piece);
  gathering.whole();
  return {
    evidence: [
      ...gathering.evidence,
      ...rolledEvidence(making, sources.build, sources.wool, expected),
      ...minutesEvidence(making, sources.build),
    ],
    untaught: gathering.untaught,
  };
}

const idOf = ({ id }: Pick<Making, 'id'>, place: string): string => `${id}:${place}`;

/** Something that is no wool lies inside. */
const holdsMore = ({ uses }: Part): boolean => uses.some(({ role }) => role === 'insert');

/** From the finest to the coarsest: wool that is told of once counts once. */
class Gathering {
  readonly evidence: Evidence[] = [];
  readonly untaught: NotTaught[] = [];
  readonly #told = new Set<string>();
  readonly #making: Making;
  readonly #sources: MakingSources;
  readonly #expected: Expected;

  constructor(making: Making, sources: MakingSources, expected: Expected) {
    this.#making = making;
    this.#sources = sources;
    this.#expected = expected;
  }

  line(line: MakingLine): void {
    const tookG = tookOfLine(line);
    if (tookG === null) return;
    if (line.fibreId !== null && !this.#sources.wool.fibres.has(line.fibreId))
      return this.#not(line.id, { code: 'fibre_not_found' });
    const uses = this.#usesOf(line);
    this.#weigh(line.id, uses, tookG, {
      kind: 'wool',
      fibreId: line.fibreId ?? uses[0]?.fibreId ?? null,
      partId: line.partId,
      lotSigma: this.#lotSigma(line),
      oneEach: false,
    });
  }

  piece({ id, partId, massG }: MakingPiece): void {
    if (massG === null || partId === null) return;
    const part = this.#sources.build?.parts.find((each) => each.id === partId);
    if (part && holdsMore(part)) return this.#not(id, { code: 'not_only_wool' });
    const uses = this.#expected.uses.filter((use) => use.partId === partId);
    this.#weigh(id, uses, massG, { kind: 'piece', fibreId: null, partId, lotSigma: 0, oneEach: true });
  }

  whole(): void {
    const { wholeG } = this.#making;
    if (wholeG === null) return;
    // Eyes, wire and what lies inside are on the scale too, and are no wool.
    const build = this.#sources.build;
    if (build && (build.findings.length > 0 || build.cuts.length > 0 || build.parts.some(holdsMore)))
      return this.#not('whole', { code: 'not_only_wool' });
    this.#weigh('whole', this.#expected.uses, wholeG, {
      kind: 'whole',
      fibreId: null,
      partId: null,
      lotSigma: 0,
      oneEach: false,
    });
  }

  #partNamed(name: string): string | null {
    return this.#sources.build?.parts.find((part) => part.name === name.trim())?.id ?? null;
  }

  #usesOf({ of, useId, partId, fibreId, name }: MakingLine): ExpectedUse[] {
    return this.#expected.uses.filter((use) => {
      if (of === 'use') return use.useId === useId;
      // Named before there was a pattern: the part of that name.
      if (of === 'said') return use.fibreId === fibreId && use.partId === this.#partNamed(name);
      if (of === 'part') return use.partId === partId && (fibreId === null || use.fibreId === fibreId);
      return use.fibreId === fibreId;
    });
  }

  /** Another lot than the one in use tells less of it. */
  #lotSigma({ fibreId, lotId }: MakingLine): number {
    const inUse = fibreId === null ? null : this.#sources.lotInUse(fibreId);
    return lotId !== null && inUse !== null && lotId !== inUse ? SIGMA.lot : 0;
  }

  #not(place: string, why: Untaught): void {
    this.untaught.push({ id: idOf(this.#making, place), why });
  }

  #weigh(place: string, uses: readonly ExpectedUse[], tookG: number, about: Weighed): void {
    if (tookG <= 0)
      return this.#not(place, tookG < 0 ? { code: 'below_nothing', tookG } : { code: 'nothing_took' });
    if (uses.length === 0)
      return this.#not(place, { code: this.#isUnknown(about) ? 'expected_unknown' : 'not_in_pattern' });
    if (this.#isUnknown(about)) return this.#not(place, { code: 'expected_unknown' });
    if (uses.some(({ useId }) => this.#told.has(useId))) return this.#not(place, { code: 'told_by_finer' });
    const sum: ExpectedSum = expectedSum(uses, about.oneEach);
    if (sum.massG <= 0) return this.#not(place, { code: 'expected_unknown' });
    if (sum.of.length === 0) return this.#not(place, { code: 'only_stated' });
    for (const { useId } of uses) this.#told.add(useId);
    const of: readonly FactorShare[] = sum.of;
    this.evidence.push({
      ...observed(
        of,
        tookG,
        sum.massG,
        Math.hypot(sum.ownSigma, about.lotSigma, otherHandsSigma(of, this.#making.madeBy)),
        this.#sources.stepG ?? USUAL_STEP_G,
      ),
      id: idOf(this.#making, place),
      source: { kind: 'making', makingId: this.#making.id },
      kind: about.kind,
      date: this.#making.date,
      who: this.#making.madeBy,
      fibreId: about.fibreId,
      partId: about.partId,
      stepId: null,
      expected: sum.massG,
      found: tookG,
    });
  }

  /** A use of what was weighed of which nobody knows what it comes to. */
  #isUnknown({ kind, fibreId, partId }: Weighed): boolean {
    return this.#expected.estimate.uses.some((use) => {
      if (use.kind === 'known' || use.isIfNeeded) return false;
      if (kind === 'whole') return true;
      if (partId !== null) return use.owner.id === partId && (fibreId === null || use.fibreId === fibreId);
      return use.fibreId === fibreId;
    });
  }
}

interface Weighed {
  readonly kind: 'wool' | 'piece' | 'whole';
  readonly fibreId: string | null;
  readonly partId: string | null;
  readonly lotSigma: number;
  /** One piece of each was on the scale. */
  readonly oneEach: boolean;
}
