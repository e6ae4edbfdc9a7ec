import type { Page } from 'puppeteer-core';
import { expect } from 'vitest';
import { PATIENCE_MS } from './browser';

/** What has the focus, as a person would call it: its label, its words, or its title. Runs in the page. */
const FOCUS = `(() => {
  const e = document.activeElement;
  if (!e || e === document.body) return '';
  const label = e.getAttribute('aria-label') ?? e.labels?.[0]?.innerText ?? e.innerText ?? e.getAttribute('title') ?? '';
  return label.replace(/\\s+/g, ' ').trim();
})()`;

/** A person at a keyboard: goes from one thing to the next with Tab, and types. Never touches the pointer. */
export class Keyboard {
  constructor(readonly page: Page) {}

  focused = (): Promise<string> => this.page.evaluate(FOCUS) as Promise<string>;

  /** Tabs on until something so called has the focus. */
  async tabTo(name: string | RegExp, back = false): Promise<void> {
    const seen: string[] = [];
    const is = (text: string): boolean => (typeof name === 'string' ? text === name || text.startsWith(`${name} `) : name.test(text));
    for (let i = 0; i < 220; i++) {
      if (back) await this.page.keyboard.down('Shift');
      await this.page.keyboard.press('Tab');
      if (back) await this.page.keyboard.up('Shift');
      const text = await this.focused();
      if (is(text)) return;
      seen.push(text);
    }
    throw new Error(`Tab does not come to ${String(name)} on ${this.page.url()}; it comes to: ${[...new Set(seen)].join(' | ')}`);
  }

  async press(...keys: readonly string[]): Promise<void> {
    for (const key of keys) await this.page.keyboard.press(key as 'Enter');
  }

  /** Goes to a field and types into it. */
  async fill(name: string | RegExp, text: string): Promise<void> {
    await this.tabTo(name);
    await this.page.keyboard.type(text);
  }

  /** Goes to a list and chooses by its first letters. */
  async choose(name: string | RegExp, option: string): Promise<void> {
    await this.tabTo(name);
    await this.page.keyboard.type(option);
    const chosen = await this.page.evaluate('document.activeElement.selectedOptions?.[0]?.innerText ?? ""');
    expect(chosen).toBe(option);
  }

  /** Goes to a button and presses it. */
  async push(name: string | RegExp): Promise<void> {
    await this.tabTo(name);
    await this.page.keyboard.press('Enter');
  }

  /** Past the bar, the drawing and the route to a station's work. */
  async skipToWork(): Promise<void> {
    await this.push('Skip to the work');
  }
}

/** Waits until the page shows a text. */
export const shows = (page: Page, text: string | RegExp, timeout = PATIENCE_MS): Promise<unknown> =>
  page
    .waitForFunction(
      (source: string, flags: string) => new RegExp(source, flags).test(document.body.innerText.replace(/\s+/g, ' ')),
      { timeout, polling: 100 },
      typeof text === 'string' ? text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&') : text.source,
      typeof text === 'string' ? '' : text.flags,
    )
    .catch(async () => {
      const body = await page.evaluate(() => document.querySelector('#station')?.parentElement?.innerText ?? document.body.innerText);
      throw new Error(`${page.url()} does not show ${String(text)}; it shows: ${body.replace(/\s+/g, ' ').slice(0, 2000)}`);
    });

/** Waits until the address is that of a unit's station, and its page hears keys and fingers. */
export const isAt = async (page: Page, station: string): Promise<void> => {
  await page.waitForFunction((s: string) => location.pathname.endsWith(`/${s}`), {}, station);
  await ready(page);
};

/** Waits until the route shows a station as done. */
export const isDone = (page: Page, station: string): Promise<unknown> =>
  page.waitForFunction(
    (s: string) =>
      document
        .querySelector(`nav[aria-label="Route"] a[aria-current][href$="/${s}"], nav[aria-label="Route"] a[href$="/${s}"]:not(.sr-only)`)
        ?.textContent?.endsWith('done'),
    {},
    station,
  );

/** Waits until the page hears keys: until React has taken the server's page over, and done its effects. */
export const ready = async (page: Page): Promise<void> => {
  await page.waitForFunction(() => Object.keys(document.querySelector('header input') ?? {}).some((k) => k.startsWith('__reactProps')));
  await page.evaluate(() => new Promise((resolve) => requestIdleCallback(() => resolve(undefined), { timeout: 500 })));
};

/** The part whose turn it is at close-up, as its heading says; empty once all are in. What was put in before is stored by then. */
export const nowIn = async (page: Page): Promise<string> => {
  await page.waitForFunction(
    () =>
      document.querySelector('[data-testid="now"][aria-busy="false"]') !== null ||
      document.body.innerText.includes('EVERYTHING IS IN') ||
      [...document.querySelectorAll('button')].some((b) => b.textContent === 'Closed up' && !b.disabled),
  );
  return page.evaluate(() => document.querySelector('[data-testid="now"] h2')?.textContent ?? '');
};

/** Puts in what has its turn, until a part so called has it. */
export const putInUntil = async (page: Page, last: RegExp): Promise<void> => {
  for (let now = await nowIn(page); now !== '' && !last.test(now); now = await nowIn(page)) {
    if (/CUP$/.test(now)) await page.keyboard.press('1');
    else if (/SPRING$/.test(now)) await page.keyboard.press('3');
    else await page.$eval('[data-testid="now"] button.btn', (b) => (b as HTMLElement).click());
    await page.waitForFunction((h: string) => document.querySelector('[data-testid="now"] h2')?.textContent !== h, {}, now);
  }
};

/** What the vacuum gauge read, ten seconds apart, into one of a booster's cards; the hold is kept. @param at which card @param kPa as read */
export const holdVacuum = async (page: Page, at: number, kPa: readonly number[]): Promise<void> => {
  const card = (await page.$$('#station section:has(> h3)'))[at];
  for (const [i, value] of kPa.entries()) {
    const [seconds, vacuum] = (await card?.$$('form input')) ?? [];
    for (const [field, text] of [
      [seconds, String(i * 10)],
      [vacuum, String(value)],
    ] as const) {
      await field?.click({ count: 3 });
      await page.keyboard.type(text);
    }
    await page.keyboard.press('Enter');
  }
  await card?.$$eval('button', (all) => all.find((b) => b.textContent === 'Keep this hold')?.click());
};

/** The shield is shut and the button pressed, as soon as the page hears it. */
export const startOnRig = async (page: Page, button = 'Pressurise and hold'): Promise<void> => {
  await page.waitForFunction(
    (text: string) => {
      const wanted = [...document.querySelectorAll('button')].find((b) => b.textContent === text);
      if (wanted?.disabled === false) return true;
      document.querySelector<HTMLInputElement>('#station input[type="checkbox"]')?.click();
      return false;
    },
    { polling: 200 },
    button,
  );
  const found = await page.waitForSelector(`::-p-xpath(//button[normalize-space(.)="${button}" and not(@disabled)])`);
  await found?.evaluate((b) => (b as HTMLElement).click());
};
