import type { Browser, ElementHandle, Page } from 'puppeteer-core';
import { type App, startApp } from './app';
import { ready } from './bench';
import { openBrowser, signIn } from './browser';

/** The running demo shop, and a person signed in at a screen of 1280 by 800. */
export type AtWork = { readonly app: App; readonly browser: Browser; readonly page: Page; readonly hand: Hand };

export const openShopAs = async (personId: string, pin: string): Promise<AtWork> => {
  const app = await startApp();
  const browser = await openBrowser();
  const page = await browser.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  await signIn(page, app.origin, personId, pin);
  return { app, browser, page, hand: new Hand(page, app.origin) };
};
export const closeShop = async ({ app, browser }: AtWork): Promise<void> => {
  await browser.close();
  await app.stop();
};

/** A person at a bench who knows what buttons and fields are called. */
export class Hand {
  constructor(
    readonly page: Page,
    private readonly origin: string,
  ) {}

  async go(path: string): Promise<void> {
    await this.page.goto(`${this.origin}${path}`);
    await ready(this.page);
  }

  /** Goes to a unit of the demo that stands at a station; of a family, where it matters. @returns its address */
  async at(shelf: string, station: string, family?: string): Promise<string> {
    await this.page.goto(this.origin);
    const of = family === undefined ? '' : `:has(svg[aria-label="${family}"])`;
    const trays = await this.page.$$eval(`section[aria-label="${shelf}"] a[data-tray]${of}`, (all) =>
      all.map((a) => (a as HTMLAnchorElement).href),
    );
    for (const tray of trays) {
      await this.page.goto(tray);
      if (!this.page.url().endsWith(`/${station}`)) continue;
      await ready(this.page);
      return tray;
    }
    throw new Error(`no unit at ${station}`);
  }

  async press(text: string): Promise<void> {
    const button = await this.page.waitForSelector(
      `::-p-xpath(//*[self::button or self::summary][(normalize-space(.)="${text}" or @aria-label="${text}") and not(@disabled)])`,
    );
    await button?.evaluate((b) => (b as HTMLElement).focus());
    await this.page.keyboard.press('Enter');
  }

  field = async (label: string): Promise<ElementHandle<HTMLInputElement>> =>
    (await this.page
      .waitForSelector(
        `::-p-xpath(//*[@aria-label="${label}"] | //*[@id=//label[normalize-space(.)="${label}"]/@for] | //label[starts-with(normalize-space(.), "${label}")]//*[self::input or self::select])`,
      )
      .catch(async () => {
        const text = await this.page.evaluate(() => document.body.innerText);
        throw new Error(`no field is called ${label} on ${this.page.url()}: ${text.replace(/\s+/g, ' ').slice(0, 1500)}`);
      })) as ElementHandle<HTMLInputElement>;

  async fill(label: string, text: string): Promise<void> {
    const once = async (): Promise<void> => {
      const input = await this.field(label);
      await input.evaluate((e) => e.select?.());
      await input.focus();
      await this.page.keyboard.type(text);
    };
    // A page that a slow server could not bring up to date is loaded anew under one's fingers: then one types again.
    await once().catch((error: Error) =>
      /context was destroyed|does not belong to the document/.test(error.message) ? once() : Promise.reject(error),
    );
  }

  download = async (path: string): Promise<string> =>
    this.page.evaluate(async (url: string) => (await fetch(url)).text(), path) as Promise<string>;
}
