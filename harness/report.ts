/** What a harness found: a line each of what was tried, and of what did not hold. */
export interface Report {
  readonly name: string;
  /** What was done, with its figures. */
  readonly figures: Readonly<Record<string, number | string>>;
  /** Empty where all held. */
  readonly faults: readonly string[];
}

/** More of one kind tell no more. */
const FAULTS_SHOWN = 20;

export function reportWords({ name, figures, faults }: Report): string {
  const told = Object.entries(figures).map(([what, figure]) => `${what} ${figure}`);
  return [
    `${name}: ${faults.length === 0 ? 'held' : `${faults.length} FAULTS`} (${told.join(', ')})`,
    ...faults.slice(0, FAULTS_SHOWN).map((fault) => `  ${fault}`),
  ].join('\n');
}
