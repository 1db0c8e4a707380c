import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** Nothing by axe, of any impact, on what is shown now: by every rule, or by the ones named. */
export async function expectNothingByAxe(page: Page, rules?: readonly string[]): Promise<void> {
  // Only what is wrong is asked for: naming every place that is right takes most of the time.
  const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).setLegacyMode();
  const { violations } = await (rules ? axe.withRules([...rules]) : axe).analyze();
  expect(
    violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.target.join(' ')).join('; ')}`),
  ).toEqual([]);
}
