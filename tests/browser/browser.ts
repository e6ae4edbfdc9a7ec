import puppeteer, { type Browser, type Page } from 'puppeteer-core';

/** Debian's Chromium, headless, with a fresh profile that goes when it closes. */
export const openBrowser = (): Promise<Browser> =>
  puppeteer.launch({
    executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
    args: [
      '--headless',
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });

/** Signs a person in on this page's browser context. */
export async function signIn(page: Page, origin: string, personId: string, pin: string): Promise<void> {
  await page.goto(`${origin}/sign-in`);
  await page.click(`input[value="${personId}"]`);
  await page.waitForFunction(() => document.activeElement?.id === 'pin');
  await page.keyboard.type(pin);
  await page.keyboard.press('Enter');
  await page.waitForSelector('h1::-p-text(on the rack)');
}
