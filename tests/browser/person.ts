import type { ElementHandle, Page } from 'puppeteer-core';
import { isAt } from './bench';
import type { Hand } from './hand';

/** Someone at the screen, counted. */
export class Person {
  clicks = 0;
  keys = 0;
  readonly at: Page;
  constructor(readonly hand: Hand) {
    this.at = hand.page;
  }

  private readonly named = async (name: string | RegExp): Promise<ElementHandle<HTMLElement>> => {
    const source = typeof name === 'string' ? `^${name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}$` : name.source;
    const found = await this.at
      .waitForFunction(
        (pattern: string) =>
          [...document.querySelectorAll<HTMLElement>('button, a, summary, [role="tab"], label:has(input[type="checkbox"])')].find(
            (e) =>
              e.checkVisibility() &&
              !(e as HTMLButtonElement).disabled &&
              new RegExp(pattern).test((e.getAttribute('aria-label') ?? e.textContent ?? '').replace(/\s+/g, ' ').trim()),
          ),
        { polling: 50 },
        source,
      )
      .catch(async () => {
        const text = await this.at.evaluate(() => document.querySelector('#station')?.parentElement?.innerText ?? document.body.innerText);
        throw new Error(`nothing is called ${String(name)} on ${this.at.url()}: ${text.replace(/\s+/g, ' ').slice(-1500)}`);
      });
    return found as ElementHandle<HTMLElement>;
  };

  async click(name: string | RegExp): Promise<void> {
    const e = await this.named(name);
    // Wherever it lies by now: tabs hear the button going down.
    await e.evaluate((x) => {
      x.focus();
      x.dispatchEvent(new MouseEvent('mousedown', { bubbles: true, button: 0 }));
      x.click();
    });
    this.clicks += 1;
  }
  async type(label: string, text: string): Promise<void> {
    // Where the page has put the focus already, nothing is pressed to get there.
    const there = await (await this.hand.field(label)).evaluate((e) => document.activeElement === e);
    await this.hand.fill(label, text);
    this.clicks += there ? 0 : 1;
    this.keys += text.length;
  }
  /** A number that was measured. */
  read = (label: string, text: string): Promise<void> => this.hand.fill(label, text);
  async choose(label: string, value: string): Promise<void> {
    await (await this.hand.field(label)).select(value);
    this.clicks += 2;
  }
  async press(key: 'n' | 'Enter' | '1' | '2' | '3'): Promise<void> {
    await this.at.keyboard.press(key);
    this.keys += 1;
  }
  /** To the station that is next, by the key that the page names. */
  async next(station: string): Promise<void> {
    await this.at.waitForSelector('#next-station');
    await this.press('n');
    await isAt(this.at, station);
  }
}
