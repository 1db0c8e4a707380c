import type { Page } from '@playwright/test';
import { expect, test } from './support/studio.ts';

/** What a screen reader goes through on a place, in its order. */
interface Heard {
  /** Landmarks with their names, as they come. */
  readonly landmarks: readonly string[];
  readonly headingLevels: readonly number[];
  /** What is reached after something that it lies above and to the left of. */
  readonly backwards: readonly string[];
}

/** Of what is shown, in the order of the page's own tree. */
const heardOn = (page: Page): Promise<Heard> =>
  page.evaluate(() => {
    const isShown = (element: Element): boolean => {
      const { width, height } = element.getBoundingClientRect();
      return width > 1 && height > 1 && element.checkVisibility({ visibilityProperty: true });
    };
    const nameOf = (element: Element): string =>
      element.getAttribute('aria-label') ?? element.textContent?.trim().slice(0, 40) ?? '';
    const landmarkOf = (element: Element): string => {
      const tag = element.tagName.toLowerCase();
      return tag === 'header' ? 'bar' : tag === 'main' ? 'main' : `${tag} ${nameOf(element)}`;
    };
    const landmarks = [
      ...document.querySelectorAll(
        '.ant-app > header, #root > div > header, main, nav, main section[aria-label], main aside',
      ),
    ]
      .filter((element) => isShown(element) && !element.parentElement?.closest('section, aside'))
      .map(landmarkOf);
    const headingLevels = [...document.querySelectorAll('h1, h2, h3, h4')]
      .filter((heading) => heading.checkVisibility())
      .map((heading) => Number(heading.tagName[1]));
    const reached = [
      ...document.querySelectorAll('a[href], button, input, select, textarea, [tabindex="0"]'),
    ].filter((element) => isShown(element) && !element.closest('[aria-hidden="true"], [inert]'));
    const backwards = reached.flatMap((element, at) => {
      const before = reached[at - 1]?.getBoundingClientRect();
      const here = element.getBoundingClientRect();
      const isBack = before && here.bottom <= before.top && here.left < before.left;
      return isBack ? [`${nameOf(reached[at - 1] as Element)} → ${nameOf(element)}`] : [];
    });
    return { landmarks, headingLevels, backwards };
  });

/** A heading is at most one deeper than the one before it, and the page's own comes first. */
const isOrdered = (levels: readonly number[]): boolean =>
  levels[0] === 1 &&
  levels.filter((level) => level === 1).length === 1 &&
  levels.every((level, at) => at === 0 || level <= (levels[at - 1] ?? 0) + 1);

const PLACES: readonly {
  readonly place: string;
  readonly open: (page: Page, url: string) => Promise<void>;
  /** Within the place, after the bar and the way to the places. */
  readonly landmarks: readonly string[];
}[] = [
  {
    place: 'the bench',
    open: async (page, url) => {
      await page.goto(url);
      await expect(page.getByRole('heading', { name: 'Runs ahead' })).toBeVisible();
    },
    landmarks: [
      'section Runs ahead',
      'section Missing needles',
      'section To do toward what is ahead',
      'section To order',
      'section Short',
      'section Patterns with something unknown',
    ],
  },
  {
    place: 'patterns',
    open: async (page, url) => {
      await page.goto(`${url}/patterns`);
      await expect(page.getByRole('link', { name: /Harbour puffin/ })).toBeVisible();
    },
    landmarks: [],
  },
  {
    place: 'the shelf',
    open: async (page, url) => {
      await page.goto(`${url}/shelf`);
      await expect(page.getByRole('heading', { name: 'Short for what is ahead' })).toBeVisible();
    },
    landmarks: ['section Wool', 'aside Nothing open'],
  },
  {
    place: 'a run',
    open: async (page, url) => {
      await page.goto(`${url}/runs`);
      await page.getByRole('link', { name: /Tide-pool evening/ }).click();
      await expect(page.getByRole('heading', { name: 'Portions' })).toBeVisible();
    },
    landmarks: ['section Who and how', 'section Portions'],
  },
  {
    place: 'the work table',
    open: async (page, url) => {
      await page.goto(`${url}/patterns`);
      await page.getByRole('link', { name: /Stag beetle/ }).click();
      await expect(page.getByRole('complementary', { name: 'One make' })).toBeVisible();
    },
    landmarks: ['section Pieces', 'section Parts', 'aside One make'],
  },
];

for (const { place, open, landmarks } of PLACES)
  test(`a screen reader goes through ${place} as the eye does`, async ({ page, demo }) => {
    await open(page, demo.url);
    const heard = await heardOn(page);
    expect(heard.landmarks).toEqual(['bar', 'nav Places', 'main', ...landmarks]);
    expect(isOrdered(heard.headingLevels), heard.headingLevels.join(' ')).toBe(true);
    expect(heard.backwards).toEqual([]);
  });
