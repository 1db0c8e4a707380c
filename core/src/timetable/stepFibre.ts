import type { Pattern, Step } from '../pattern/index.ts';
import { isWool } from '../pattern/index.ts';

const CORE_STAGES: ReadonlySet<Step['stage']> = new Set<Step['stage']>(['skeleton', 'core', 'shape']);

/** The wool that tells a step from others: its part’s core while that is made, its coat later. Null: no wool is in it. */
export function stepFibre(step: Step, { parts, joins }: Pattern): string | null {
  const join = joins.find(({ id }) => step.joinIds.includes(id));
  const part = parts.find(({ id }) => id === (step.partIds[0] ?? join?.partId));
  const fibres = (part?.uses ?? []).flatMap((use) =>
    isWool(use) && use.fibreId !== null ? [{ role: use.role, fibreId: use.fibreId }] : [],
  );
  const core = fibres.find(({ role }) => role === 'core');
  const coat = fibres.find(({ role }) => role === 'coat');
  const [first, second] = CORE_STAGES.has(step.stage) ? [core, coat] : [coat, core];
  return (first ?? second ?? fibres[0])?.fibreId ?? null;
}
