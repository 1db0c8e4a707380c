import { expect, type Locator, type Page } from '@playwright/test';
import { expectNothingByAxe } from './axe.ts';

/** How a person works the interface; a journey is written once and done with either pair of hands. */
export interface Hands {
  /** Types into a field, over what is there. */
  readonly fill: (label: string, text: string) => Promise<void>;
  /** A day, YYYY-MM-DD. */
  readonly fillDay: (label: string, day: string) => Promise<void>;
  readonly choose: (label: string, option: string) => Promise<void>;
  readonly press: (target: Locator) => Promise<void>;
  /** Lets axe look at what is shown; the same screens need one look, not two. */
  readonly look: () => Promise<void>;
  /** From one side of a switch with two sides to the other. */
  readonly switchTo: (name: RegExp) => Promise<void>;
  /** One of several pictures or words of which one is chosen. */
  readonly pick: (name: string) => Promise<void>;
  /** Ticks a box. */
  readonly tick: (name: string) => Promise<void>;
}

const option = (page: Page) =>
  page.locator('.ant-select-dropdown:not(.ant-select-dropdown-hidden) .ant-select-item-option');

export function mouse(page: Page): Hands {
  return {
    fill: (label, text) => page.getByLabel(label, { exact: true }).fill(text),
    fillDay: async (label, day) => {
      await page.getByLabel(label, { exact: true }).fill(day);
      await page.keyboard.press('Enter');
    },
    choose: async (label, name) => {
      await page.getByLabel(label, { exact: true }).click();
      await option(page).filter({ hasText: name }).first().click();
    },
    look: () => expectNothingByAxe(page),
    press: (target) => target.click(),
    switchTo: (name) => page.locator('.ant-segmented-item', { hasText: name }).click(),
    pick: (name) => page.locator('label', { hasText: name }).click(),
    tick: (name) => page.getByRole('checkbox', { name, exact: true }).check(),
  };
}

const MOST_TABS = 150;
const MOST_OPTIONS = 40;

/** Nothing but keys: every field is reached by Tab, as a person without a mouse reaches it. */
export function keyboard(page: Page): Hands {
  const reach = async (target: Locator) => {
    await expect(target).toBeVisible();
    // As a person does: back with Shift where what is wanted lies behind; once round where it does not come.
    const isBehind = await target.evaluate((element) => {
      const active = document.activeElement ?? document.body;
      return Boolean(active.compareDocumentPosition(element) & Node.DOCUMENT_POSITION_PRECEDING);
    });
    for (const key of isBehind ? ['Shift+Tab', 'Tab'] : ['Tab']) {
      for (let i = 0; i < MOST_TABS; i++) {
        if (await target.evaluate((element) => element === document.activeElement)) return;
        await page.keyboard.press(key);
      }
    }
    throw new Error(`Tab never came to ${String(target)}`);
  };
  const field = (label: string) => page.getByLabel(label, { exact: true });
  return {
    fill: async (label, text) => {
      await reach(field(label));
      await page.keyboard.press('Control+A');
      await page.keyboard.type(text);
    },
    fillDay: async (label, day) => {
      await reach(field(label));
      await page.keyboard.press('Control+A');
      await page.keyboard.type(day);
      await page.keyboard.press('Enter');
    },
    choose: async (label, name) => {
      await reach(field(label));
      await page.keyboard.press('ArrowDown');
      const active = page.locator(
        '.ant-select-dropdown:not(.ant-select-dropdown-hidden) .ant-select-item-option-active',
      );
      await expect(active).toBeVisible();
      for (let i = 0; i < MOST_OPTIONS; i++) {
        if ((await active.textContent())?.includes(name)) break;
        await page.keyboard.press('ArrowDown');
      }
      await expect(active).toContainText(name);
      await page.keyboard.press('Enter');
    },
    look: async () => undefined,
    press: async (target) => {
      await reach(target);
      await page.keyboard.press('Enter');
    },
    switchTo: async (name) => {
      const side = page.locator('.ant-segmented-item', { hasText: name }).locator('input');
      for (let i = 0; i < MOST_TABS; i++) {
        // Of several switches, the one that has this side.
        const isIn = await side.evaluate(
          (input) => document.activeElement?.closest('.ant-segmented')?.contains(input) ?? false,
        );
        if (isIn) {
          await page.keyboard.press('ArrowRight');
          if (await side.isChecked()) return;
        }
        await page.keyboard.press('Tab');
      }
      throw new Error(`no switch came to ${String(name)}`);
    },
    pick: async (name) => {
      const wanted = page.getByRole('radio', { name, exact: true });
      const group = (await wanted.getAttribute('name')) ?? '';
      // Tab comes to the one of its group that is chosen; arrows go on from there.
      await reach(page.locator(`input[type="radio"][name="${group}"]:checked`));
      for (let i = 0; i < MOST_OPTIONS && !(await wanted.isChecked()); i++)
        await page.keyboard.press('ArrowRight');
      await expect(wanted).toBeChecked();
    },
    tick: async (name) => {
      await reach(page.getByRole('checkbox', { name, exact: true }));
      await page.keyboard.press('Space');
      await expect(page.getByRole('checkbox', { name, exact: true })).toBeChecked();
    },
  };
}
