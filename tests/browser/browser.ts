import puppeteer, { type Browser, type Page } from 'puppeteer-core';

/** How long anything is waited for, ms: a busy machine is no fault. What is held to a clock says so itself. */
export const PATIENCE_MS = 60_000;

/** Debian's Chromium, headless, with a fresh profile that goes when it closes. */
export async function openBrowser(): Promise<Browser> {
  const browser = await puppeteer.launch({
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
  browser.on('targetcreated', (target) => void target.page().then((page) => page?.setDefaultTimeout(PATIENCE_MS)));
  return browser;
}

/** Signs a person in on this page's browser context. */
export async function signIn(page: Page, origin: string, personId: string, pin: string): Promise<void> {
  await page.goto(`${origin}/sign-in`);
  await page.click(`input[value="${personId}"]`);
  await page.waitForFunction(() => document.activeElement?.id === 'pin');
  await page.keyboard.type(pin);
  await page.keyboard.press('Enter');
  await page.waitForSelector('h1::-p-text(on the rack)');
}
