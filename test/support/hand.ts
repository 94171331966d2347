import { expect } from 'chai';
import type { Locator, Page } from 'playwright-core';

/** How a person touches what is on the screen. */
export interface Hand {
  press(target: Locator): Promise<void>;
  fill(target: Locator, text: string): Promise<void>;
  /** Chooses an option of a list by its words. */
  choose(target: Locator, words: string): Promise<void>;
}

/** A mouse, or a thumb where the page has touch. */
export const pointer: Hand = {
  press: (target) => target.click(),
  fill: (target, text) => target.fill(text),
  choose: async (target, words) => void (await target.selectOption({ label: words }))
};

/** The keyboard and nothing else: every target is reached by Tab, in the order the page gives. */
export function keyboard(page: Page): Hand {
  return {
    async press(target) {
      await reach(page, target);
      await page.keyboard.press('Enter');
    },
    async fill(target, text) {
      await reach(page, target);
      await page.keyboard.press('ControlOrMeta+A');
      await page.keyboard.type(text);
    },
    async choose(target, words) {
      await reach(page, target);
      await page.keyboard.type(words);
    }
  };
}

const isFocused = (target: Locator): Promise<boolean> =>
  target.evaluate((element) => element === document.activeElement);

/** Tabs from where the focus is to the target, forwards or backwards, as many stops as there are between. */
async function reach(page: Page, target: Locator): Promise<void> {
  await target.waitFor();
  // The buttons of a toolbar are one stop, with arrow keys among them.
  const toolbar = page.getByRole('toolbar').filter({ has: target });
  if (
    (await target.evaluate((element) => (element as HTMLElement).tabIndex)) < 0 &&
    (await toolbar.count()) > 0
  ) {
    await reach(page, toolbar.locator('button[tabindex="0"]'));
    const buttons = toolbar.locator('button:not(:disabled)');
    for (let steps = await buttons.count(); steps > 0 && !(await isFocused(target)); steps -= 1)
      await page.keyboard.press('ArrowRight');
    expect(await isFocused(target), 'reached by arrow keys').to.equal(true);
    return;
  }
  for (let tries = 0; tries < 4; tries += 1) {
    const steps = await target.evaluate((element) => {
      const stops = [
        ...document.querySelectorAll<HTMLElement>(
          'a[href], button, input, select, textarea, summary, [tabindex]'
        )
      ].filter(
        (one) =>
          one.tabIndex >= 0 &&
          !one.hasAttribute('disabled') &&
          one.checkVisibility({ visibilityProperty: true }) &&
          // Of a group of radio buttons, one is a stop.
          !(one instanceof HTMLInputElement && one.type === 'radio' && !one.checked && one !== element)
      );
      return stops.indexOf(element as HTMLElement) - stops.indexOf(document.activeElement as HTMLElement);
    });
    if (steps === 0) break;
    for (let step = 0; step < Math.abs(steps); step += 1)
      await page.keyboard.press(steps > 0 ? 'Tab' : 'Shift+Tab');
  }
  expect(await isFocused(target), 'reached by Tab').to.equal(true);
}
