import { readdirSync } from 'node:fs';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { expectAccessible, open, setStage, type Stage } from '../support/browser.ts';

/** The routes of all views behind the sign-in, as `/shelf/[id=idOrNew]`. */
const ROUTES = readdirSync('src/routes/(app)', { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('+page.svelte'))
  .map((file) => `/${file.slice(0, -'/+page.svelte'.length)}`)
  .sort();

/** 320 px is also 400 % of a desk, and 640 px 200 %. */
const WIDTHS = [320, 390, 640, 1280];

/** The least that WCAG 1.4.12 asks a page to bear. */
const SPACING = `* { line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important; }
  p { margin-bottom: 2em !important; }`;

/** Does something on one address of every view, and on two where a thing can be new: as links lead to them. */
async function onEveryView(page: Page, stage: Stage, act: (view: string) => Promise<void>): Promise<void> {
  const links = new Set<string>();
  const visit = async (view: string) => {
    await open(page, stage, view);
    const here = page.locator('main a[href^="/"]');
    for (const link of await here.evaluateAll((all) => all.map((a) => a.getAttribute('href')!)))
      links.add(link);
    await act(view);
  };
  const [fixed, varied] = [
    ROUTES.filter((route) => !route.includes('[')),
    ROUTES.filter((route) => route.includes('['))
  ];
  for (const view of fixed) await visit(view);
  for (const route of varied) {
    const address = new RegExp(`^${route.replace(/\[[^\]]+\]/g, '[^/?#]+')}(\\?|$)`);
    const found = [...links].filter((link) => address.test(link));
    const isNew = (link: string) => /\/new(\?|$)/.test(link);
    const views = [found.find(isNew), found.find((link) => !isNew(link))].filter(
      (view) => view !== undefined
    );
    expect(views, `links to ${route}`).not.to.be.empty;
    for (const view of views) await visit(view);
  }
}

/** Elements that reach past the edge of the screen, where the page is wider than it. */
const tooWide = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const { scrollWidth, clientWidth } = document.documentElement;
    if (scrollWidth <= clientWidth) return [];
    const over = [...document.querySelectorAll('body *')].filter(
      (element) => element.getBoundingClientRect().right > clientWidth + 0.5
    );
    return [`${scrollWidth} px`, ...over.slice(-3).map((element) => element.outerHTML.slice(0, 120))];
  });

/**
 * What a page says in metric or by 24 hours: folded or not, and to those who do not see it. Said in both worlds, it may be;
 * seed is weighed in grams in either, and litres stand in what is bought or mixed by the litre.
 */
const metricOn = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const said = [...document.querySelectorAll('main [aria-label]')].map(
      (element) => element.getAttribute('aria-label') ?? ''
    );
    const texts = document.createTreeWalker(document.querySelector('main')!, NodeFilter.SHOW_TEXT);
    while (texts.nextNode())
      if (!texts.currentNode.parentElement!.closest('script, style'))
        said.push(texts.currentNode.textContent!.trim());
    const both = /\d+ °C \(\d+ °F\)|\d+ mm \([^)]* in\)|\d+ cm² \([^)]* in²\)|1 kg dry|µmol\/m²s/g;
    const metric =
      /\d ?(?:cm|mm|cm²|m²|kg|°C)(?![\w²])|[(/](?:cm|mm|cm²|m²|kg|°C)\b|\b\d?\d:\d\d\b(?!:|\s?[ap]\.?m)/i;
    return said.filter((text) => metric.test(text.replace(both, '')));
  });

/** As it is looked at: a desk by day, a phone in the dark, and a desk enlarged four times. */
const LOOKED_AT = [
  { width: 1280, colorScheme: 'light' },
  { width: 390, colorScheme: 'dark' },
  { width: 320, colorScheme: 'light' }
] as const;

describe('every view', () => {
  let stage: Stage;
  afterEach(async () => {
    delete process.env.BROTE_LANGUAGE;
    await stage.close();
  });

  for (const [language, words] of [
    ['en', 'in English'],
    ['en-XA', 'with words 40 % longer']
  ] as const)
    it(`is no wider than the screen, ${words}, however narrow, zoomed or spaced`, async () => {
      process.env.BROTE_LANGUAGE = language;
      stage = await setStage(true);
      const page = await stage.page();
      const over: string[] = [];
      await onEveryView(page, stage, async (view) => {
        for (const spaced of [false, true]) {
          await page.evaluate(
            (css) => {
              const sheet = new CSSStyleSheet();
              sheet.replaceSync(css);
              document.adoptedStyleSheets = [sheet];
            },
            spaced ? SPACING : ''
          );
          for (const width of WIDTHS) {
            await page.setViewportSize({ width, height: 800 });
            const wide = await tooWide(page);
            if (wide.length > 0)
              over.push(`${view} at ${width} px${spaced ? ', spaced' : ''}: ${wide.join(' ')}`);
          }
        }
        await page.setViewportSize({ width: 1280, height: 800 });
      });
      expect(over).to.deep.equal([]);
    });

  it('has nothing serious or moderate for axe, by day and in the dark, at a desk and on a phone', async () => {
    stage = await setStage(true);
    const page = await stage.page();
    await onEveryView(page, stage, async () => {
      for (const { width, colorScheme } of LOOKED_AT) {
        await page.emulateMedia({ colorScheme });
        await page.setViewportSize({ width, height: 800 });
        await expectAccessible(page);
      }
    });
  });

  it('reads in inches, cups, °F and by a clock of twelve hours in a household on US units', async () => {
    stage = await setStage(true);
    const page = await stage.page();
    await open(page, stage, '/household');
    await page.getByLabel('Units').selectOption('us');
    await page.getByRole('button', { name: 'Save', exact: true }).first().click();
    await page.getByText('Saved.').waitFor();
    const foreign: string[] = [];
    await onEveryView(page, stage, async (view) => {
      // The choice of units names both.
      if (view === '/household') return;
      for (const text of await metricOn(page)) foreign.push(`${view}: ${text}`);
    });
    expect(foreign).to.deep.equal([]);
  });
});
