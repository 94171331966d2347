import { expect } from 'chai';
import type { Locator, Page } from 'playwright-core';
import {
  DESK,
  expectAccessible,
  expectFitsThumb,
  open,
  PHONE,
  setStage,
  shows,
  type Stage
} from '../support/browser.ts';

const SETTLED = /^The best plan Brote can find/;

/** Asks for eight weeks and waits until there is something to take. */
async function proposed(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Propose eight weeks' }).click();
  await page.getByRole('button', { name: /^Make (this change|these \d+ changes)$/ }).waitFor();
}

/** Takes a row and carries it over a place, so many days later, without letting go. */
async function drag(page: Page, row: Locator, place: string, days: number): Promise<void> {
  await row.hover();
  await page.mouse.down();
  const { x, y, width, height } = (await row.boundingBox())!;
  const [fromX, day] = [x + width / 2, width / 56];
  // Once it is on its way nothing about it moves any more.
  await page.mouse.move(fromX + day, y + height / 2, { steps: 3 });
  const over = (await page.getByRole('img', { name: `How full ${place} is` }).boundingBox())!;
  await page.mouse.move(fromX + days * day, over.y + over.height / 2, { steps: 6 });
}

describe('the weeks ahead', () => {
  let stage: Stage;
  before(async () => {
    stage = await setStage(true);
  });
  after(() => stage.close());

  it('lay a standing order for fixed days, which the round asks to begin, and leave one out', async () => {
    const page = await stage.page(PHONE);
    await open(page, stage, '/ahead/orders');
    await page.getByRole('button', { name: 'New standing order' }).click();
    await page.getByLabel('Crop', { exact: true }).selectOption({ label: 'Garden cress' });
    await page.getByLabel('Container', { exact: true }).selectOption({ label: 'Six-cell tray' });
    await page.getByLabel('Days between sowings').fill('0');
    await page.getByRole('button', { name: 'Save this order' }).click();
    await page.getByText('At least every day.').waitFor();
    await page.getByLabel('Days between sowings').fill('4');
    await page.getByText(/(sow|soak) today, ready/).waitFor();
    await expectAccessible(page);
    await expectFitsThumb(page);
    await page.getByRole('button', { name: 'Save this order' }).click();
    await page.getByText('begun every 4 days').waitFor();

    await open(page, stage, '/round');
    await page.getByText(/Standing order due: Garden cress/).waitFor();
    await page.getByRole('link', { name: 'Start or skip it' }).click();
    await page.getByRole('button', { name: 'Plan this sowing' }).click();
    await page.getByText('Garden cress is planned.').waitFor();
    await open(page, stage, '/round');
    await page
      .locator('article.stop')
      .filter({ hasText: /Garden cress/ })
      .filter({ hasText: /not started/ })
      .first()
      .waitFor();
    await shows(page.getByText(/Standing order due: Garden cress/), 0);

    await open(page, stage, '/ahead/orders');
    await page.getByRole('button', { name: /^End it/ }).click();
    await page.getByText('No standing orders yet.').waitFor();
  });

  it('lay a blend again and again, and begin it as one sowing', async () => {
    const page = await stage.page(PHONE);
    await open(page, stage, '/ahead/orders');
    await page.getByRole('button', { name: 'New standing order' }).click();
    await page.getByRole('radio', { name: 'Seed blend' }).check();
    await page.getByLabel('Crop 1').selectOption({ label: 'Garden cress' });
    await page.getByLabel('Parts', { exact: true }).first().fill('some');
    await page.getByText('Give its parts, such as 1 or 2.5').waitFor();
    await page.getByLabel('Parts', { exact: true }).first().fill('3');
    // What is still empty is said once it is to be saved.
    await shows(page.getByText('Choose a crop.'), 0);
    await page.getByRole('button', { name: 'Save this order' }).click();
    await page.getByText('Choose a crop.').waitFor();
    await page.getByLabel('Crop 2').selectOption({ label: 'Rocket' });
    await page.getByLabel('Container', { exact: true }).selectOption({ label: 'Blue tray' });
    await page.getByText(/(sow|soak) today, ready/).waitFor();
    await expectAccessible(page);
    await expectFitsThumb(page);
    await page.getByRole('button', { name: 'Save this order' }).click();
    await page.getByText('Garden cress and rocket').first().waitFor();

    await open(page, stage, '/round');
    await page.getByText(/Standing order due: Garden cress and rocket/).waitFor();
    await page.getByRole('link', { name: 'Start or skip it' }).click();
    await page.getByRole('button', { name: 'Plan this sowing' }).click();
    await page.getByText('Garden cress and rocket is planned.').waitFor();

    await open(page, stage, '/ahead/orders');
    await page.getByRole('button', { name: /^Change/ }).click();
    expect(await page.getByLabel('Parts', { exact: true }).first().inputValue()).to.equal('3');
    await page.getByRole('button', { name: 'Cancel' }).click();
    await page.getByRole('button', { name: /^End it/ }).click();
    await page.getByText('No standing orders yet.').waitFor();
  });

  for (const [what, crop, days, aim, rule] of [
    [
      'cuts on two fixed days',
      'Garden cress',
      ['Monday', 'Thursday'],
      'Ready to cut',
      /ready on Mondays and Thursdays/
    ],
    [
      'a slow crop every week, begun weeks before it is wished for',
      'Basil',
      ['Sunday'],
      'At its best',
      /at its best on Sundays/
    ],
    [
      'peas that are not to be cut too young',
      'Pea shoots',
      ['Saturday'],
      'At least so many days old',
      /cut at 16 days or older on Saturdays/
    ]
  ] as const)
    it(`lay ${what}, by days of the week alone`, async () => {
      const page = await stage.page(PHONE);
      await open(page, stage, '/ahead/orders');
      await page.getByRole('button', { name: 'New standing order' }).click();
      await page.getByLabel('Crop', { exact: true }).selectOption({ label: crop });
      await page.getByLabel('Container', { exact: true }).selectOption({ label: 'Six-cell tray' });
      await page.getByRole('radio', { name: 'Ready on certain weekdays' }).check();
      const group = page.getByRole('group', { name: 'Cut on' });
      // No day is chosen for anybody.
      await shows(group.getByRole('button', { pressed: true }), 0);
      for (const day of days) await group.getByRole('button', { name: day }).click();
      await page.getByRole('radio', { name: aim, exact: true }).check();
      if (aim === 'At least so many days old') {
        await page.getByRole('button', { name: 'Save this order' }).click();
        await page.getByText('Give its age in days, from 3 to 90.').waitFor();
        await page.getByLabel('Days after sowing, at least').fill('16');
      }
      await page
        .getByText(/(sow|soak) .*, ready .*, cut /)
        .first()
        .waitFor();
      await page.getByRole('button', { name: 'Save this order' }).click();
      await page.getByRole('listitem').filter({ hasText: crop }).getByText(rule).waitFor();
      await page.getByText(/^Next cuts: /).waitFor();
      await open(page, stage, '/ahead');
      await page
        .getByText(new RegExp(`^(Sow|Soak) ${crop.toLowerCase()}`))
        .first()
        .waitFor();
      await open(page, stage, '/ahead/orders');
      await page.getByRole('button', { name: /^End it/ }).click();
      await page.getByText('No standing orders yet.').waitFor();
    });

  it('begin a first order of six trays in turn, and sow the same again with one touch', async () => {
    const page = await stage.page(DESK);
    await open(page, stage, '/sow?crop=radish');
    await page.getByText('Blue tray 25 × 18', { exact: true }).click();
    await page.getByLabel('How many', { exact: false }).first().fill('6');
    await page.getByText(/With this, about .* will be ready from/).waitFor();
    await page.getByText(/^Blue tray: more would be in use at once than you have/).waitFor();
    await page.getByText(/^Trolley, top tier does not have room for it/).waitFor();
    await page.getByRole('button', { name: /^Start \d now, .* and \d on / }).click();
    await page.waitForURL('**/ahead');
    expect(await page.getByRole('button', { name: /^Radish.*planned/ }).count()).to.be.above(1);

    await open(page, stage, '/notebook?outcome=cut');
    await page.locator('th[scope=row] a').first().click();
    await page.getByRole('button', { name: 'Sow the same again' }).click();
    await page.waitForURL('**/round');
  });

  it('are planned in one go: said what is eaten, proposed, one left, taken, one moved by keys, and away for a week', async () => {
    const page = await stage.page(DESK);
    await open(page, stage, '/ahead/appetite');
    await page.getByRole('group', { name: 'Every day, Nela' }).getByText('A handful').click();
    await page.getByText('Ivo (1)', { exact: true }).click();
    const ivo = page.getByRole('group', { name: 'Radish, Ivo' });
    await ivo.getByText('Favourite').click();
    await ivo.getByText('Doesn’t eat it').click();
    await ivo.getByRole('button', { name: 'Favourite', pressed: false }).waitFor();
    await page.getByText('Ivo (2)', { exact: true }).waitFor();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Remove Ivo' }).click();
    await page.getByLabel('Crops in every week').selectOption({ label: 'at least two' });
    await page.getByRole('group', { name: 'Sunflower shoots', exact: true }).getByText('Never').click();
    await page.getByRole('button', { name: 'Save' }).click();
    await page.waitForURL('**/ahead');
    await expectAccessible(page);

    await proposed(page);
    await page.getByText(SETTLED).waitFor();
    await page.getByText(/^Greens on 5\d of 56 days, as proposed$/).waitFor();
    const list = page.locator('.proposal');
    // Its lines are drawn little by little.
    const take = page.getByRole('button', { name: /^Make these \d+ changes$/ });
    const many = Number(/\d+/.exec(await take.innerText())![0]);
    await shows(list.getByRole('checkbox'), many);
    expect(await list.getByText(/(soak|sow) sunflower/i).count()).to.equal(0);
    // Every line says why, and most say what would be missing.
    const whys = list.getByText(
      /without it you would be|one more crop|better with it|goes to waste|saves a day of work/
    );
    expect(await whys.count()).to.equal(many);
    expect(await list.getByText(/without it you would be/).count()).to.be.above(0);
    await list.getByText(/^You have two crops or more in (every week|\d of 8 weeks)\.$/).waitFor();
    await list.getByText(/^Your variety settings cost /).waitFor();
    await list.getByRole('checkbox').last().uncheck();
    await expectAccessible(page);
    await page
      .getByRole('button', { name: new RegExp(`^Make (this change|these ${many - 1} changes)$`) })
      .click();
    await page.getByText(/^Saved: /).waitFor();
    // The round says of what is planned for later days how much it is and what comes first.
    await open(page, stage, '/round');
    await page.getByRole('link', { name: /^\d+ more planned\. Next: / }).click();
    await page.locator('html[data-hydrated]').waitFor({ state: 'attached' });

    // By keys: two days later, and it stays there.
    const planned = page.getByRole('button', { name: /planned: begins/ }).last();
    const label = (await planned.getAttribute('aria-label'))!;
    await planned.focus();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Enter');
    await page.getByText(/, and stays there\.$/).waitFor();
    const name = label.split(',')[0]!;
    await page
      .getByRole('button', { name: new RegExp(`^${name}.*kept as it is`) })
      .first()
      .waitFor();

    // To another place, from the panel of what is chosen.
    const chosen = page.getByRole('region', { name: /^Chosen: / });
    const first = page.getByRole('button', { name: /planned: begins/ }).first();
    await first.click();
    await page.getByLabel('Place', { exact: true }).selectOption({ label: 'Trolley, bottom tier' });
    await page.getByText(/ goes to Trolley, bottom tier, and stays there\.$/).waitFor();
    await chosen.getByText('Trolley, bottom tier · planned').waitFor();

    // Dragged to a place and a day at once, on a screen that shows both; what comes of it is said while it is dragged.
    await page.setViewportSize({ width: 1280, height: 2400 });
    await drag(page, page.getByRole('button', { name: /planned: begins/ }).first(), 'Stairwell sill', 3);
    await chosen.getByText(/Stairwell sill · planned/).waitFor();
    // The browser drags nothing of its own meanwhile, such as a link that came to lie under the hand.
    const isDragged = () =>
      page.evaluate(() =>
        document.body.dispatchEvent(new DragEvent('dragstart', { bubbles: true, cancelable: true }))
      );
    expect(await isDragged()).to.equal(false);
    await page.mouse.up();
    expect(await isDragged()).to.equal(true);
    await page.getByText(/ goes to Stairwell sill and begins .*, and stays there\.$/).waitFor();
    await chosen.getByText(/Stairwell sill/).waitFor();

    await page.setViewportSize(DESK.viewport);

    // By keys to the next place, and let be.
    const other = page.getByRole('button', { name: /planned: begins.*arrows move/ }).first();
    const where = await other.getAttribute('aria-label');
    await other.focus();
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Escape');
    expect(await other.getAttribute('aria-label')).to.equal(where);

    // Away: nobody eats, and nothing is begun on those days.
    await open(page, stage, '/household/away');
    await page.getByLabel('First day away').fill('2027-02-08');
    await page.getByLabel('Last day away').fill('2027-02-14');
    await page.getByRole('button', { name: 'See what needs care' }).click();
    await page.getByRole('button', { name: 'Save these days' }).click();
    await page.getByRole('heading', { name: 'Away Mon 8 Feb to Sun 14 Feb' }).waitFor();
    await open(page, stage, '/ahead');
    await page.getByText(/^Greens on \d+ of 49 days/).waitFor();
  });

  it('have what sprouts in a cupboard carried to light: as it was said, and back to where it was to stand', async () => {
    const page = await stage.page(DESK);
    await open(page, stage, '/shelf/new');
    await page.getByLabel('Name', { exact: true }).fill('Hall cupboard');
    await page.getByRole('radio', { name: /^Dark/ }).check();
    await page.getByRole('button', { name: 'Save' }).click();
    await page.waitForURL('**/shelf');
    await open(page, stage, '/sow?crop=kale');
    await page.getByLabel('Place', { exact: true }).selectOption({ label: 'Hall cupboard' });
    await page.getByLabel('Move it at first light to').selectOption({ label: 'Stairwell sill' });
    await expectAccessible(page);
    await page.getByRole('button', { name: /^(Plan this sowing)$/ }).click();
    await page.waitForURL('**/round');
    await open(page, stage, '/ahead');
    const kale = page.getByRole('button', { name: /^Kale, .*planned/ });
    await kale.filter({ hasText: 'in light: Stairwell sill' }).click();
    const chosen = page.getByRole('region', { name: 'Chosen: Kale' });
    await chosen.getByText('Hall cupboard, at first light to Stairwell sill · planned').waitFor();

    // Planned for a place with light, it sprouts in the cupboard and comes back there.
    await chosen.getByLabel('Place', { exact: true }).selectOption({ label: 'Trolley, bottom tier' });
    await chosen.getByText(/Trolley, bottom tier · planned/).waitFor();
    await chosen.getByLabel('Place', { exact: true }).selectOption({ label: 'Hall cupboard' });
    await chosen.getByText('Hall cupboard, at first light to Trolley, bottom tier · planned').waitFor();
  });

  it('tell seed to buy as text and as CSV, and what to give while it is good', async () => {
    const page = await stage.page(PHONE);
    await open(page, stage, '/ahead/seed');
    await page.getByRole('row').nth(1).waitFor();
    await expectAccessible(page);
    await expectFitsThumb(page);
    const text = await (await page.request.get(`${stage.url}ahead/seed.txt`)).text();
    expect(text).to.match(/enough of everything|: [\d.]+ k?g/);
    const csv = await (await page.request.get(`${stage.url}ahead/seed.csv`)).text();
    expect(csv.split('\n')[0]!.trim()).to.match(/crop,need_g,have_g,buy_g,buy_by$/);
    await open(page, stage, '/ahead');
    await page.getByText('Day by day').waitFor();
    await expectAccessible(page);
    await expectFitsThumb(page);
    await open(page, stage, '/ahead/appetite');
    await page.getByLabel('Mon').first().fill('much');
    await page.getByRole('button', { name: 'Save' }).click();
    expect(await page.getByLabel('Mon').first().inputValue()).to.equal('much');
    await expectAccessible(page);
    await expectFitsThumb(page);
  });
});

describe('weeks that nothing was planned for yet', () => {
  let stage: Stage;
  before(async () => {
    stage = await setStage(true);
  });
  after(() => stage.close());

  it('stay where they are while what mends a gap is looked for, for a hand may be on its way to them', async () => {
    const page = await stage.page(DESK);
    await open(page, stage, '/ahead/appetite');
    await page.getByRole('button', { name: 'Save' }).click();
    await page.waitForURL('**/ahead');
    // What is asked of the planner is held back until it is let go.
    await page.addInitScript(`{
      const post = Worker.prototype.postMessage;
      const held = [];
      Worker.prototype.postMessage = function (asked) { held.push(() => post.call(this, asked)); };
      globalThis.letGo = () => held.splice(0).forEach((send) => send());
    }`);
    await open(page, stage, '/ahead');
    const looking = page.getByText('Looking for the smallest change that fixes this.');
    await looking.first().waitFor();
    // A search for a plan that is broken off takes nothing away: what mends is asked for again.
    await page.getByRole('button', { name: 'Propose eight weeks' }).click();
    await page.getByRole('button', { name: 'Put it away' }).click();
    await looking.first().waitFor();
    const top = async () => (await page.locator('.weeks').boundingBox())!.y;
    const before = await top();
    await page.evaluate('letGo()');
    await shows(looking, 0);
    await page
      .getByText(/ less (missing|thrown)\.$|while it is good, by /)
      .first()
      .waitFor();
    expect(await top()).to.equal(before);
    const more = page.getByRole('button', { name: /Another way|other ways/ }).first();
    await more.click();
    expect(await more.getAttribute('aria-expanded')).to.equal('true');
    expect(await top()).to.be.above(before);
  });

  it('take a proposal once: whoever comes second is told what changed, and may ask anew', async () => {
    const [one, two] = [await stage.page(DESK), await stage.page(PHONE)];
    for (const page of [one, two]) {
      await open(page, stage, '/ahead');
      await proposed(page);
    }
    const take = (page: Page) =>
      page.getByRole('button', { name: /^Make (this change|these \d+ changes)$/ }).click();
    await take(one);
    await one.getByText(/^Saved: /).waitFor();
    await take(two);
    await two
      .getByRole('alert')
      .getByText(/^Not saved: the sowings.* changed after this was worked out/)
      .waitFor();
    await expectAccessible(two);
    await two.getByRole('button', { name: 'Propose again' }).click();
    await two.getByRole('heading', { name: 'Proposed' }).waitFor();
    await two.getByText(SETTLED).waitFor();
  });
});
