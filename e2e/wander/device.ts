import type { Page, Request } from '@playwright/test';
import { installWalk, type InPage, type Seen } from './in-page.ts';

/** As `client/src/ui/second-tap.ts` has it, and a little more. */
const DOUBLE_TAP_MS = 550;

type Walking = { kotivaWalk: InPage };

/** One device of a walk: its page, what is on its way to it, and what went wrong in it. */
export class WalkedDevice {
  readonly errors: string[] = [];
  private readonly underWay = new Set<Request>();
  /** ms since 1970. */
  private lastTap = 0;

  private constructor(
    readonly who: string,
    readonly page: Page,
  ) {}

  static async of(who: string, page: Page): Promise<WalkedDevice> {
    const device = new WalkedDevice(who, page);
    await page.addInitScript(installWalk);
    page.on('pageerror', (error) => device.errors.push(`page error: ${error.message}`));
    page.on('console', (message) => {
      if (message.type() === 'error') device.errors.push(`console: ${message.text()}`);
    });
    page.on('dialog', (dialog) => void dialog.accept().catch(() => undefined));
    page.context().on('page', (other) => void (other === page ? undefined : other.close()));
    // what was asked for by a page that was left is told no end
    page.on('framenavigated', (frame) => {
      if (frame === page.mainFrame()) device.underWay.clear();
    });
    page.on('request', (request) => {
      if (request.resourceType() !== 'eventsource') device.underWay.add(request);
    });
    const ended = (request: Request) => void device.underWay.delete(request);
    page.on('requestfinished', ended).on('requestfailed', ended);
    return device;
  }

  /** Taps when a hand could have seen what it taps: what comes sooner in the same place is the second of a double tap, and goes nowhere. */
  async tapAt({ x, y }: { x: number; y: number }): Promise<void> {
    await this.page.waitForFunction((tapped) => performance.timeOrigin + performance.now() > tapped, this.lastTap + DOUBLE_TAP_MS);
    await this.page.mouse.click(x, y);
    this.lastTap = Date.now();
  }

  see(): Promise<Seen> {
    return this.page.evaluate(() => (window as unknown as Walking).kotivaWalk.see());
  }

  progress(): ReturnType<InPage['progress']> {
    return this.page.evaluate(() => (window as unknown as Walking).kotivaWalk.progress());
  }

  compare(texts: readonly string[]): ReturnType<InPage['compare']> {
    return this.page.evaluate((all) => (window as unknown as Walking).kotivaWalk.compare(all), texts);
  }

  /** Says whether it came to rest. */
  async idle(): Promise<boolean> {
    for (let tries = 0; tries < 400; tries++) {
      const isHere = await this.page.evaluate(() => (window as unknown as Walking).kotivaWalk.idle().then(() => true)).catch(asOfAnotherPage);
      // a step back over a reload leads to a page that is loaded anew
      if (!isHere) await this.page.getByRole('navigation').waitFor();
      else if (this.underWay.size === 0) return true;
    }
    return false;
  }
}

/** What was asked went with the page it was asked of. */
function asOfAnotherPage(error: Error): false {
  if (/Execution context was destroyed/.test(error.message)) return false;
  throw error;
}
